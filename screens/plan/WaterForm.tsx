import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Controller, FormProvider, set, useForm, useFormContext } from 'react-hook-form';
import { RIVER_KINDS } from '@/core/colour/kinds';
import { QUARRIES } from '@/core/lies';
import type { Water } from '@/store/records';

import { useStations } from '@/store/gauge';
import { newId, useSave, useSession } from '@/store/hooks';

import { Button, Choice, IconButton, plainOptions, Screen, Text, useToast } from '@/ui';
import { YesNo } from '../shared/YesNo';
import { FormNumber, FormText } from './formFields';
import { RulesFields } from './RulesFields';

/** The one long form: a water and its rules, checked by the schema it is stored by. */
export function WaterForm({ start, isNew }: { start: Water; isNew: boolean }) {
  const router = useRouter();
  const [, setSession] = useSession();
  const { put } = useSave('water');
  const [problem, setProblem] = useState<string | null>(null);
  const form = useForm<Water>({
    defaultValues: { ...start, driveMin: start.driveMin ?? null },
    resolver: async (values) => {
      const { faultsOf } = await import('@/store/parsers');
      const errors = {};
      for (const [path, message] of Object.entries(faultsOf('water', { ...values, id: values.id || 'new' })))
        set(errors, path, { type: 'schema', message });
      return Object.keys(errors).length > 0 ? { values: {}, errors } : { values, errors: {} };
    },
  });
  const save = form.handleSubmit(
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
      <FormProvider {...form}>
        <FormText name="name" label="Name" />
        <FormText name="character" label="What it is, in your words" hint="e.g. sea-trout river, small stream" />
        <Controller
          control={form.control}
          name="quarry"
          render={({ field }) => (
            <Choice label="Fished for" options={plainOptions(QUARRIES)} value={field.value} onChange={field.onChange} />
          )}
        />
        <FormNumber name="latDeg" label="Latitude" unit="° north" digits={3} />
        <FormNumber name="lonDeg" label="Longitude" unit="° east" digits={3} />
        <StationChoice />
        <RiverChoice />
        <FormNumber name="driveMin" label="Minutes of road, one way" unit="min" digits={0} />
        <RulesFields />
      </FormProvider>
      {isNew ? null : <RemoveWater water={start} />}
    </Screen>
  );
}

const NOT_SAID = 'not said';

/** How the river colours and clears: what is believed of it before it was read. */
function RiverChoice() {
  const { control } = useFormContext<Water>();
  return (
    <Controller
      control={control}
      name="river"
      render={({ field }) => (
        <>
          <Choice
            label="What kind of river"
            options={plainOptions([NOT_SAID, ...RIVER_KINDS])}
            value={field.value?.kind ?? NOT_SAID}
            onChange={(kind) =>
              field.onChange(kind === NOT_SAID ? undefined : { kind, peaty: field.value?.peaty ?? false })
            }
          />
          {field.value ? (
            <YesNo
              label="Stained by peat"
              value={field.value.peaty}
              onChange={(peaty) => field.onChange({ ...field.value, peaty })}
            />
          ) : null}
        </>
      )}
    />
  );
}

function StationChoice() {
  const { control, setValue } = useFormContext<Water>();
  const stations = useStations();
  return (
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
  );
}

function RemoveWater({ water }: { water: Water }) {
  const router = useRouter();
  const toast = useToast();
  const [, setSession] = useSession();
  const { put, remove } = useSave('water');
  return (
    <Button
      label="Remove this water"
      onPress={() => {
        void remove(water.id);
        setSession({ waterId: null, runId: null });
        router.replace('/');
        toast(`${water.name} was removed; its runs and outings are kept.`, () => void put(water));
      }}
    />
  );
}
