import { Controller, useFormContext, useWatch } from 'react-hook-form';
import type { WaterRules } from '@/core/rules';
import { STOP_FISHING_C } from '@/core/water/warmth';
import type { Water } from '@/store/records';
import { useRecords } from '@/store/hooks';
import { Block, Button, Choice, Hint, NumberField, plainOptions } from '@/ui';
import { QuantityField } from '../shared/QuantityField';
import { YesNo } from '../shared/YesNo';
import { FormText, FormYesNo } from './formFields';

/** What one starts from where a water has a season, or closes when it is warm. */
const SEASON = { from: '03-15', to: '09-30' };
const HOURS = { beforeSunriseMin: 60, afterSunsetMin: 60 };

/** Rules that bar nothing: what one starts from who enters them. */
const NONE_BARRED: WaterRules = {
  ...{ maxFlies: 3, barbless: false, noAddedWeight: false, season: null, closesAtC: null, text: '', source: '' },
};

/** The rules of a water as its angler noted them; until then that there are none. */
export function RulesFields() {
  const { control, setValue } = useFormContext<Water>();
  const rules = useWatch({ control, name: 'rules' });
  if (rules) return <Entered />;
  return (
    <Block title="Rules">
      <Hint>No rules entered yet, so none are checked.</Hint>
      <Button label="Enter the rules" onPress={() => setValue('rules', NONE_BARRED)} />
    </Block>
  );
}

function Entered() {
  const { control, setValue, getFieldState, formState } = useFormContext<Water>();
  const season = useWatch({ control, name: 'rules.season' });
  const closes = useWatch({ control, name: 'rules.closesAtC' });
  const hours = useWatch({ control, name: 'rules.hours' });
  const noScent = useWatch({ control, name: 'rules.noScent' });
  return (
    <Block title="Rules">
      <Controller
        control={control}
        name="rules.maxFlies"
        render={({ field }) => (
          <Choice
            label="Flies allowed"
            options={plainOptions(['1', '2', '3'])}
            value={String(field.value)}
            onChange={(v) => field.onChange(Number(v))}
          />
        )}
      />
      <FormYesNo name="rules.barbless" label="Barbless only" />
      <FormYesNo name="rules.noAddedWeight" label="No weighted flies" />
      <YesNo
        label="No scent on flies"
        value={noScent ?? false}
        onChange={(yes) => setValue('rules.noScent', yes || undefined)}
      />
      <YesNo
        label="Closed at night"
        value={hours !== undefined}
        onChange={(yes) => setValue('rules.hours', yes ? HOURS : undefined)}
      />
      {hours ? (
        <>
          <Minutes
            label="Opens before sunrise"
            value={hours.beforeSunriseMin}
            onChange={(beforeSunriseMin) => setValue('rules.hours', { ...hours, beforeSunriseMin })}
          />
          <Minutes
            label="Closes after sunset"
            value={hours.afterSunsetMin}
            onChange={(afterSunsetMin) => setValue('rules.hours', { ...hours, afterSunsetMin })}
          />
        </>
      ) : null}
      <ClosedRuns />
      <YesNo
        label="Has a season"
        value={season !== null}
        onChange={(yes) => setValue('rules.season', yes ? SEASON : null)}
      />
      {season ? (
        <>
          <FormText name="rules.season.from" label="Season from (month-day, MM-DD)" />
          <FormText name="rules.season.to" label="Season to (month-day, MM-DD)" />
        </>
      ) : null}
      <YesNo
        label="Closes when the water is warm"
        value={closes !== null}
        onChange={(yes) => setValue('rules.closesAtC', yes ? STOP_FISHING_C : null)}
      />
      {closes !== null ? (
        <QuantityField
          label="Closes at"
          quantity="temperature"
          digits={1}
          value={closes}
          onChange={(c) => c !== null && setValue('rules.closesAtC', c)}
          error={getFieldState('rules.closesAtC', formState).error?.message ?? null}
        />
      ) : null}
      <FormText name="rules.text" label="Other rules" multiline />
      <FormText name="rules.source" label="Source and date" />
      <Hint>These are your notes. The authority’s current text decides.</Hint>
    </Block>
  );
}

function Minutes({ label, value, onChange }: { label: string; value: number; onChange: (min: number) => void }) {
  return (
    <NumberField
      label={label}
      unit="min"
      digits={0}
      min={0}
      max={240}
      value={value}
      onChange={(v) => v !== null && onChange(v)}
    />
  );
}

/** Reaches of the water that are closed, out of those one has. */
function ClosedRuns() {
  const { control, setValue } = useFormContext<Water>();
  const [id, closed = []] = useWatch({ control, name: ['id', 'rules.closedRuns'] });
  const { data: runs } = useRecords('run');
  return (runs ?? [])
    .filter((r) => r.waterId === id)
    .map((r) => (
      <YesNo
        key={r.id}
        label={`${r.name} is closed`}
        value={closed.includes(r.id)}
        onChange={(yes) => {
          const next = yes ? [...closed, r.id] : closed.filter((c) => c !== r.id);
          setValue('rules.closedRuns', next.length > 0 ? next : undefined);
        }}
      />
    ));
}
