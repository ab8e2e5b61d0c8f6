import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Controller, set, useForm, useWatch, type FieldPath } from 'react-hook-form';
import { QUARRIES } from '@/core/lies';
import { fromShown, toShown, unitOf } from '@/core/units';
import type { Water } from '@/store/records';

import { useStations } from '@/store/gauge';
import { newId, useRecord, useSave, useSession, useSettings } from '@/store/hooks';

import {
  Block,
  Button,
  Choice,
  Hint,
  IconButton,
  Loading,
  NumberField,
  plainOptions,
  Screen,
  Text,
  TextField,
  useToast,
} from '@/ui';

const NEW: Water = {
  id: '',
  name: '',
  character: '',
  quarry: 'brown trout',
  latDeg: 57,
  lonDeg: -5,
  stationId: null,
  normalStageM: null,
  rules: { maxFlies: 1, barbless: true, noAddedWeight: false, season: null, closesAtC: null, text: '', source: '' },
};
const YES_NO = [
  { value: 'yes', label: 'yes' },
  { value: 'no', label: 'no' },
] as const;
const yes = (b: boolean) => (b ? 'yes' : 'no');

/** Adds a water, or changes one. */
export function WaterScreen({ id }: { id?: string }) {
  const water = useRecord('water', id ?? null);
  if (id && water === undefined)
    return (
      <Screen title="Water">
        <Loading what="Opening the water…" />
      </Screen>
    );
  return <WaterForm start={water ?? NEW} isNew={!water} />;
}

function WaterForm({ start, isNew }: { start: Water; isNew: boolean }) {
  const router = useRouter();
  const toast = useToast();
  const [{ units }] = useSettings();
  const [, setSession] = useSession();
  const { put, remove } = useSave('water');
  const stations = useStations();
  const [problem, setProblem] = useState<string | null>(null);
  const { control, handleSubmit, setValue, formState } = useForm<Water>({
    defaultValues: start,
    resolver: async (values) => {
      const { faultsOf } = await import('@/store/parsers');
      const errors = {};
      for (const [path, message] of Object.entries(faultsOf('water', { ...values, id: values.id || 'new' })))
        set(errors, path, { type: 'schema', message });
      return Object.keys(errors).length > 0 ? { values: {}, errors } : { values, errors: {} };
    },
  });
  const errorAt = (path: FieldPath<Water>): string | null => {
    const found = path
      .split('.')
      .reduce<unknown>((e, k) => (e as Record<string, unknown> | undefined)?.[k], formState.errors);
    return (found as { message?: string } | undefined)?.message ?? null;
  };
  const text = (name: FieldPath<Water>, label: string, more: { multiline?: boolean; hint?: string } = {}) => (
    <Controller
      control={control}
      name={name}
      render={({ field }) => (
        <TextField
          label={label}
          value={String(field.value ?? '')}
          onChange={field.onChange}
          error={errorAt(name)}
          {...more}
        />
      )}
    />
  );
  const number = (name: FieldPath<Water>, label: string, unit: string, digits: number) => (
    <Controller
      control={control}
      name={name}
      render={({ field }) => (
        <NumberField
          label={label}
          unit={unit}
          digits={digits}
          value={field.value as number | null}
          onChange={field.onChange}
          error={errorAt(name)}
        />
      )}
    />
  );
  const save = handleSubmit(
    async (values) => {
      const water = { ...values, id: start.id || newId() };
      try {
        await put(water);
      } catch (error) {
        return setProblem((error as Error).message);
      }
      setSession({ waterId: water.id });
      router.replace('/');
    },
    () => setProblem('Something is missing or out of range: see the marked fields.'),
  );
  const season = useWatch({ control, name: 'rules.season' });
  const closes = useWatch({ control, name: 'rules.closesAtC' });
  return (
    <Screen
      title={isNew ? 'A new water' : start.name}
      lead={<IconButton label="Back to the plan" icon="back" onPress={() => router.replace('/')} />}
      footer={
        <>
          {problem ? <Text role="alert">{problem}</Text> : null}
          <Button label="Keep the water" kind="primary" onPress={() => void save()} />
        </>
      }
    >
      {text('name', 'Name')}
      {text('character', 'What it is, in your words', { hint: 'e.g. sea-trout river, small stream' })}
      <Controller
        control={control}
        name="quarry"
        render={({ field }) => (
          <Choice label="Fished for" options={plainOptions(QUARRIES)} value={field.value} onChange={field.onChange} />
        )}
      />
      {number('latDeg', 'Latitude', '° north', 3)}
      {number('lonDeg', 'Longitude', '° east', 3)}
      <Controller
        control={control}
        name="stationId"
        render={({ field }) => (
          <Choice
            label="Gauge station"
            options={[
              { value: '', label: 'none' },
              ...(stations.data ?? []).map((s) => ({ value: s.id, label: s.name })),
            ]}
            value={field.value ?? ''}
            onChange={(id) => {
              field.onChange(id || null);
              setValue('normalStageM', stations.data?.find((s) => s.id === id)?.normalStageM ?? null);
            }}
          />
        )}
      />
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
        <Controller
          control={control}
          name="rules.barbless"
          render={({ field }) => (
            <Choice
              label="Barbless only"
              options={YES_NO}
              value={yes(field.value)}
              onChange={(v) => field.onChange(v === 'yes')}
            />
          )}
        />
        <Controller
          control={control}
          name="rules.noAddedWeight"
          render={({ field }) => (
            <Choice
              label="No weighted flies"
              options={YES_NO}
              value={yes(field.value)}
              onChange={(v) => field.onChange(v === 'yes')}
            />
          )}
        />
        <Choice
          label="Has a season"
          options={YES_NO}
          value={yes(season !== null)}
          onChange={(v) => setValue('rules.season', v === 'yes' ? { from: '03-15', to: '09-30' } : null)}
        />
        {season ? text('rules.season.from', 'Season from (month-day, MM-DD)') : null}
        {season ? text('rules.season.to', 'Season to (month-day, MM-DD)') : null}
        <Choice
          label="Closes when the water is warm"
          options={YES_NO}
          value={yes(closes !== null)}
          onChange={(v) => setValue('rules.closesAtC', v === 'yes' ? 20 : null)}
        />
        {closes !== null ? (
          <NumberField
            label="Closes at"
            unit={unitOf('temperature', units)}
            digits={1}
            value={toShown('temperature', closes, units)}
            onChange={(v) => v !== null && setValue('rules.closesAtC', fromShown('temperature', v, units))}
            error={errorAt('rules.closesAtC')}
          />
        ) : null}
        {text('rules.text', 'What else', { multiline: true })}
        {text('rules.source', 'Where you read it, and when')}
        <Hint>These are your notes. The authority’s current text decides.</Hint>
      </Block>
      {isNew ? null : (
        <Button
          label="Remove this water"
          onPress={() => {
            void remove(start.id);
            setSession({ waterId: null, runId: null });
            router.replace('/');
            toast(`${start.name} was removed; its runs and outings are kept.`, () => void put(start));
          }}
        />
      )}
    </Screen>
  );
}
