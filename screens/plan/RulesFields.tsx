import { Controller, useFormContext, useWatch } from 'react-hook-form';
import type { Water } from '@/store/records';
import { Block, Choice, Hint, plainOptions } from '@/ui';
import { QuantityField } from '../shared/QuantityField';
import { FormText, FormYesNo, YesNo } from './formFields';

/** What one starts from where a water has a season, or closes when it is warm. */
const SEASON = { from: '03-15', to: '09-30' };
const CLOSES_AT_C = 20;

/** The rules of a water as its angler noted them. */
export function RulesFields() {
  const { control, setValue, getFieldState, formState } = useFormContext<Water>();
  const season = useWatch({ control, name: 'rules.season' });
  const closes = useWatch({ control, name: 'rules.closesAtC' });
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
        onChange={(yes) => setValue('rules.closesAtC', yes ? CLOSES_AT_C : null)}
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
      <FormText name="rules.text" label="What else" multiline />
      <FormText name="rules.source" label="Where you read it, and when" />
      <Hint>These are your notes. The authority’s current text decides.</Hint>
    </Block>
  );
}
