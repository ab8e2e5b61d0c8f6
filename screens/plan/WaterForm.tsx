import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Controller, FormProvider, set, useForm, useFormContext, useWatch } from 'react-hook-form';
import { RIVER_KINDS } from '@/core/colour/kinds';
import { QUARRIES, type Quarry } from '@/core/lies/suitability'; // not the barrel: this weighs on the first look
import type { Water } from '@/store/records';

import { fileOfStation, stationOfFile, useStations } from '@/store/gauge';
import { useSimulated } from '@/store/weather';
import { newId, useRecords, useSave, useSession } from '@/store/hooks';

import { Button, Choice, IconButton, ManyChoice, plainOptions, Screen, Stack, Text, useToast } from '@/ui';
import { YesNo } from '../shared/YesNo';
import { ReleasesField, TidesField } from './CalendarFields';
import { FormNumber, FormText } from './formFields';
import { GaugeFileSheet } from './GaugeFileSheet';
import { PlaceField } from './PlaceField';
import { RulesFields } from './RulesFields';
import { useGaugeFile } from './useGaugeFile';
import { saidOf } from '@/words/said';

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
  const fished = useWatch({ control: form.control, name: 'quarry' });
  const save = form.handleSubmit(
    async (values) => {
      const water = { ...values, id: start.id || newId() };
      try {
        await put(water);
      } catch (error) {
        return setProblem(saidOf(error));
      }
      setSession({ waterId: water.id });
      router.replace('/');
    },
    () => setProblem('Some fields are missing or out of range: see the marked ones.'),
  );
  return (
    <Screen
      title={isNew ? 'A new water' : start.name}
      lead={<IconButton label="Back to the plan" icon="back" onPress={() => router.replace('/')} />}
      footer={
        <>
          {problem ? <Text role="alert">{problem}</Text> : null}
          <Button label="Save water" kind="primary" onPress={() => void save()} />
        </>
      }
    >
      <FormProvider {...form}>
        <FormText name="name" label="Name" />
        <FormText name="character" label="Description" hint="e.g. sea-trout river, small stream" />
        <Controller
          control={form.control}
          name="quarry"
          render={({ field }) => (
            <Choice label="Fished for" options={plainOptions(QUARRIES)} value={field.value} onChange={field.onChange} />
          )}
        />
        <Controller
          control={form.control}
          name="also"
          render={({ field }) => (
            <ManyChoice
              label="Other fish"
              options={plainOptions(QUARRIES.filter((f) => f !== fished))}
              values={field.value ?? NO_FISH}
              onChange={(also) => field.onChange(also.length > 0 ? also : undefined)}
            />
          )}
        />
        <PlaceField />
        <StationChoice />
        <RiverChoice />
        <FormNumber name="driveMin" label="Driving time, one way" unit="min" digits={0} />
        <ReleasesField />
        <TidesField />
        <RulesFields />
      </FormProvider>
      {isNew ? null : <RemoveWater water={start} />}
    </Screen>
  );
}

const NO_FISH: readonly Quarry[] = [];
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
            label="Kind of river"
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

/** The gauge: a station that the server knows, or a file from any agency. */
function StationChoice() {
  const { control, setValue } = useFormContext<Water>();
  const [simulated] = useWatch({ control, name: ['simulated'] });
  const offered = useSimulated({ simulated });
  const stations = useStations(offered);
  const { data: feeds } = useRecords('feed');
  const { put } = useSave('feed');
  const file = useGaugeFile();
  const keep = async (onChange: (stationId: string) => void) => {
    if (!file.open || !file.preview) return;
    const id = newId();
    const { values, usualStageM } = file.preview;
    const name = file.open.name.trim().slice(0, 80) || 'a gauge’s file';
    try {
      await put({ id, name, importedAt: Date.now(), values });
    } catch (error) {
      return file.refuse(saidOf(error));
    }
    onChange(stationOfFile(id));
    setValue('normalStageM', usualStageM);
    file.close();
  };
  return (
    <Controller
      control={control}
      name="stationId"
      render={({ field }) => {
        const own = feeds?.find((f) => f.id === fileOfStation(field.value));
        return (
          <Stack gap="s">
            <Choice
              label={offered ? 'Gauge station (simulated)' : 'Gauge'}
              options={[
                { value: '', label: 'none' },
                ...(offered ? (stations.data ?? []) : []).map((s) => ({ value: s.id, label: s.name })),
                ...(own ? [{ value: stationOfFile(own.id), label: own.name }] : []),
              ]}
              value={field.value ?? ''}
              onChange={(id) => {
                field.onChange(id || null);
                const normal = stations.data?.find((s) => s.id === id)?.normalStageM;
                if (normal !== undefined || id === '') setValue('normalStageM', normal ?? null);
              }}
            />
            <Button
              label={own ? 'Import its file again' : 'A gauge’s file'}
              hint="Levels or flows from any agency: a table, or WaterML"
              onPress={() => void file.choose()}
            />
            <GaugeFileSheet file={file} onKeep={() => void keep(field.onChange)} />
          </Stack>
        );
      }}
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
        toast(`${water.name} removed. Its runs and outings stay.`, () => void put(water));
      }}
    />
  );
}
