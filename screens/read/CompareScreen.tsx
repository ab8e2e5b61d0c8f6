import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { useWindowDimensions, View } from 'react-native';
import { compareDays, shiftWords, type Survey } from '@/core/lies';
import { formatLevel, type UnitSystem } from '@/core/units';
import { type Reading, type Run, SKIES, type Sky, TYPICAL_DAY } from '@/core/water';

import { useRecords, useSettings } from '@/store/hooks';
import {
  Block,
  Button,
  Choice,
  Empty,
  IconButton,
  Loading,
  plainOptions,
  Problem,
  Screen,
  Slider,
  space,
  Text,
} from '@/ui';
import { RunSheet } from '@/ui/charts';
import { dayOf } from '../shared/time';
import { useLieOptions, useRunDay, useSurvey, useUsualQuery } from '../shared/useRunDay';
import { readingLine } from '../shared/words';
import { useSettled } from './useWhatIf';

const SIGHT = [
  { value: '0.3', label: 'dirty' },
  { value: '1.2', label: 'fair' },
  { value: '2.5', label: 'clear' },
] as const;
const SETTLED_MS = 200;

/** Two days of one run beside each other, and what moved. */
export function CompareScreen({ runId }: { runId: string }) {
  const router = useRouter();
  const [{ units }] = useSettings();
  const { run, water, today, survey } = useRunDay(runId);
  const { data: readings } = useRecords('reading');
  const past = (readings ?? [])
    .filter((r) => r.runId === runId && r.id !== today?.reading.id)
    .sort((a, b) => b.at - a.at);
  const [other, setOther] = useState<Reading | null>(null);
  const base = today?.reading;
  const made = useMemo<Reading | null>(
    () => (base ? { ...base, id: 'other', levelM: base.levelM + 0.4, visibilityM: 0.3, colour: 'grey-brown' } : null),
    [base],
  );
  const day = other ?? made;
  const settled = useSettled(day, SETTLED_MS);
  const usual = useUsualQuery();
  const second = useSurvey(run, settled ? bare(settled) : undefined, water, usual);
  const options = useLieOptions(water, usual);
  const shifts = useMemo(
    () =>
      run && base && settled && survey.data && second.data
        ? compareDays(run, { ...survey.data, reading: base }, { ...second.data, reading: settled }, options)
        : null,
    [run, base, settled, survey.data, second.data, options],
  );
  const back = (
    <IconButton
      label="Back to the run"
      icon="back"
      onPress={() => router.navigate({ pathname: '/read/[run]', params: { run: runId } })}
    />
  );
  if (run === null)
    return (
      <Screen title="Two days" lead={back}>
        <Empty
          title="This run is not here"
          actions={<Button label="All runs" onPress={() => router.navigate('/read')} />}
        >
          It may have been removed on this device.
        </Empty>
      </Screen>
    );
  if (!run || !base || !day || !survey.data)
    return (
      <Screen title="Two days" lead={back}>
        <Loading what="Opening the run…" />
      </Screen>
    );
  const set = (part: Partial<Reading>) => setOther({ ...day, id: 'other', ...part });
  return (
    <Screen
      title={run.name}
      subtitle="Two days side by side"
      lead={back}
      picture={
        <View style={{ flexDirection: 'row', gap: space.s }}>
          <Side run={run} survey={survey.data} units={units} title="Today" reading={base} />
          {second.data ? (
            <Side run={run} survey={second.data} units={units} title="The other day" reading={day} />
          ) : (
            <View style={{ flex: 1 }}>
              {second.isError ? (
                <Problem title="Cannot be rebuilt">{second.error.message}</Problem>
              ) : (
                <Loading what="Rebuilding…" />
              )}
            </View>
          )}
        </View>
      }
    >
      <Block title="What moves and why">
        {shifts ? (
          <View role="list" style={{ gap: space.s }} aria-live="polite">
            {shifts.map((s, i) => (
              <View key={i} role="listitem">
                <Text>{shiftWords(s, units)}</Text>
              </View>
            ))}
          </View>
        ) : (
          <Loading what="Comparing…" />
        )}
      </Block>
      <Block title="The other day">
        {past.length > 0 ? (
          <Choice
            label="A day you read it"
            options={past.slice(0, 5).map((r) => ({ value: r.id, label: dayOf(r.at) }))}
            value={past.some((r) => r.id === other?.id) ? other!.id : null}
            onChange={(id) => setOther(past.find((r) => r.id === id)!)}
          />
        ) : null}
        <Slider
          label="Level"
          value={Math.round(day.levelM * 100) / 100}
          min={Math.round((base.levelM - 0.5) * 20) / 20}
          max={Math.round((base.levelM + 1.2) * 20) / 20}
          step={0.05}
          onChange={(levelM) => set({ levelM })}
          format={(v) => formatLevel(v, units)}
        />
        <Choice
          label="Water"
          options={SIGHT}
          value={SIGHT.find((s) => Number(s.value) === day.visibilityM)?.value ?? null}
          onChange={(v) =>
            set({ visibilityM: Number(v), colour: v === '0.3' ? 'grey-brown' : v === '1.2' ? 'green' : 'clear' })
          }
        />
        <Choice label="Sky" options={plainOptions(SKIES)} value={day.sky} onChange={(sky: Sky) => set({ sky })} />
        <Slider
          label="Water temperature"
          value={day.waterTempC ?? TYPICAL_DAY.waterTempC}
          min={1}
          max={22}
          step={1}
          onChange={(waterTempC) => set({ waterTempC })}
          format={(v) => `${v} °C`}
        />
      </Block>
    </Screen>
  );
}

/** A day with its level alone: what was measured on another day does not belong to it. */
function bare(r: Reading): Reading {
  const { flowM3s: _flow, pace: _pace, depths: _depths, ...rest } = r;
  return r.id === 'other' ? { ...rest, speed: null } : r;
}

interface SideProps {
  run: Run;
  survey: Survey;
  units: UnitSystem;
  title: string;
  reading: Reading;
}

function Side({ run, survey, units, title, reading }: SideProps) {
  const { height } = useWindowDimensions();
  return (
    <View style={{ flex: 1, gap: space.xs }}>
      <Text size="strong">{title}</Text>
      <RunSheet
        run={run}
        survey={survey}
        units={units}
        height={Math.min(520, height * 0.5)}
        showKey={false}
        summary={`${title}: ${readingLine(reading, units)}. ${survey.lies.length} lies.`}
      />
      <Text size="small" tone="ink2">
        {readingLine(reading, units)}
      </Text>
    </View>
  );
}
