import { useRouter } from 'expo-router';
import { type ReactNode, useMemo, useState } from 'react';
import { useWindowDimensions, View } from 'react-native';
import { compareDays, type Survey } from '@/core/lies';
import { type Reading, type Run, SKIES, type Sky, TYPICAL_DAY } from '@/core/water';

import { useRecords, useSettings } from '@/store/hooks';
import {
  Block,
  Button,
  Choice,
  IconButton,
  Loading,
  plainOptions,
  Screen,
  Slider,
  Stack,
  Text,
  useWide,
  WaterSwatch,
} from '@/ui';
import { type Moved, RunSheet } from '@/ui/charts';
import { acrossOf } from '@/ui/charts/plane';
import { NotRebuilt, RunGate, type RunReady } from '../shared/RunGate';
import { Fold } from '../shared/Fold';
import { clock, longDayText } from '../shared/time';
import { useLieOptions, useRunDay, useSurvey, useUsualQuery } from '../shared/useRunDay';
import { readingLine } from '@/words/water';
import { useSettled } from './useWhatIf';
import { shiftNames, shiftWords } from '@/words/lies';
import { format, formatLevel, type UnitSystem } from '@/words/units';

const SIGHT = [
  { value: '0.3', label: 'dirty' },
  { value: '1.2', label: 'green' },
  { value: '2.5', label: 'clear' },
] as const;
const SETTLED_MS = 200;

/** A dozen lies that moved, on a phone, px. */
const SHIFTS_PX = 1000;

/** Two days of one run beside each other, and what moved. */
export function CompareScreen({ runId }: { runId: string }) {
  const router = useRouter();
  const back = (
    <IconButton
      label="Back to the run"
      icon="back"
      onPress={() => router.navigate({ pathname: '/read/[run]', params: { run: runId } })}
    />
  );
  return (
    <RunGate
      title="Two days"
      day={useRunDay(runId)}
      lead={back}
      missing="This run is not here"
      none="The run may have been removed on this device."
      actions={<Button label="All runs" onPress={() => router.navigate('/read')} />}
    >
      {(ready) => <TwoDays {...ready} lead={back} />}
    </RunGate>
  );
}

function TwoDays({ run, water, today, survey, lead }: RunReady & { lead: ReactNode }) {
  const [{ units }] = useSettings();
  const base = today.reading;
  const [other, setOther] = useState<Reading | null>(null);
  const made = useMemo<Reading>(
    () => ({ ...thoughtOf(base), levelM: base.levelM + 0.4, visibilityM: 0.3, colour: 'grey-brown' }),
    [base],
  );
  const day = other ?? made;
  const settled = useSettled(day, SETTLED_MS);
  const usual = useUsualQuery();
  const second = useSurvey(run, bare(settled), water, usual);
  const options = useLieOptions(water, usual);
  const across = useMemo(() => widest(survey, second.data), [survey, second.data]);
  const shifts = useMemo(
    () =>
      second.data
        ? compareDays(run, { ...survey, reading: base }, { ...second.data, reading: settled }, options)
        : null,
    [run, base, settled, survey, second.data, options],
  );
  const named = useMemo(() => shiftNames(shifts ?? []), [shifts]);
  const names = useMemo(
    () => new Map((shifts ?? []).flatMap((s, i) => (s.after ? [[s.after.rank, named[i]!] as const] : []))),
    [shifts, named],
  );
  const moved = useMemo(
    () =>
      (shifts ?? []).flatMap(({ before, after, held }): Moved[] =>
        before && !held ? [{ from: [before.xM, before.yM], to: after && [after.xM, after.yM] }] : [],
      ),
    [shifts],
  );
  const wide = useWide();
  const controls = <OtherDay runId={run.id} base={base} day={day} onDay={setOther} />;
  const both = { run, units, across };
  return (
    <Screen
      title={run.name}
      subtitle={`Two days side by side, both in the light of ${clock(usual.sunAt!)}`}
      lead={lead}
      picture={
        <Stack>
          {wide ? null : controls}
          <Stack row>
            <Side {...both} survey={survey} title="Today" reading={base} />
            {second.data ? (
              <Side {...both} survey={second.data} title="The other day" reading={day} names={names} moved={moved} />
            ) : (
              <View style={{ flex: 1 }}>
                {second.isError ? <NotRebuilt survey={second} /> : <Loading what="Rebuilding…" />}
              </View>
            )}
          </Stack>
        </Stack>
      }
    >
      {wide ? controls : null}
      <Block title="What changes, and why">
        {shifts ? (
          <Stack role="list" aria-live="polite">
            {shifts.map((s, i) => (
              <View key={i} role="listitem">
                <Text>{shiftWords(s, named[i]!, units)}</Text>
              </View>
            ))}
          </Stack>
        ) : (
          <Loading what="Comparing…" room={SHIFTS_PX} />
        )}
      </Block>
    </Screen>
  );
}

interface OtherDayProps {
  runId: string;
  base: Reading;
  day: Reading;
  onDay: (day: Reading) => void;
}

/** Which day to compare with: one that was read, or any that one thinks of. */
function OtherDay({ runId, base, day, onDay }: OtherDayProps) {
  const [{ units }] = useSettings();
  const { data: readings } = useRecords('reading');
  const past = (readings ?? []).filter((r) => r.runId === runId && r.id !== base.id).sort((a, b) => b.at - a.at);
  // A day that one thinks of is neither read nor guessed.
  const set = (part: Partial<Reading>) => onDay({ ...thoughtOf(day), ...part });
  return (
    <Stack gap="s" role="group" aria-label="The other day">
      {past.length > 0 ? (
        <Choice
          label="A day you read it"
          options={past.slice(0, 5).map((r) => ({ value: r.id, label: longDayText(r.at) }))}
          value={past.some((r) => r.id === day.id) ? day.id : null}
          onChange={(id) => onDay(past.find((r) => r.id === id)!)}
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
      <Fold title="Water, sky, temperature" summary={readingLine(day, units)}>
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
          format={(v) => format('temperature', v, units)}
        />
      </Fold>
    </Stack>
  );
}

const thoughtOf = ({ levelFrom: _from, guessed: _guessed, ...day }: Reading): Reading => ({ ...day, id: 'other' });

/** A day with its level alone: what was measured on another day does not belong to it. */
function bare(r: Reading): Reading {
  const { flowM3s: _flow, pace: _pace, depths: _depths, ...rest } = r;
  return r.id === 'other' ? { ...rest, speed: null } : r;
}

/** From the nearest to the furthest edge of both days. */
function widest(a: Survey, b: Survey | undefined): readonly [number, number] {
  const [n1, f1] = acrossOf(a.channel);
  const [n2, f2] = b ? acrossOf(b.channel) : [n1, f1];
  return [Math.min(n1, n2), Math.max(f1, f2)];
}

interface SideProps {
  run: Run;
  survey: Survey;
  units: UnitSystem;
  title: string;
  reading: Reading;
  /** The same for both: they are compared by eye. */
  across: readonly [number, number];
  /** By which names the lies go on both, and where they were on the first. */
  names?: ReadonlyMap<number, string>;
  moved?: readonly Moved[];
}

function Side({ run, survey, units, title, reading, across, names, moved }: SideProps) {
  const { height } = useWindowDimensions();
  return (
    <Stack gap="xs" style={{ flex: 1 }}>
      <Stack row align="center" gap="xs">
        <Text size="strong">{title}</Text>
        <WaterSwatch colour={reading.colour} />
      </Stack>
      <RunSheet
        run={run}
        survey={survey}
        units={units}
        height={Math.min(520, height * 0.5)}
        showKey={false}
        across={across}
        {...(names && { names })}
        {...(moved && { moved })}
        summary={`${title}: ${readingLine(reading, units)}. ${survey.lies.length} lies.`}
      />
      <Text size="small" tone="ink2">
        {readingLine(reading, units)}
      </Text>
    </Stack>
  );
}
