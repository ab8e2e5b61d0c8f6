import { useRouter } from 'expo-router';
import { useState } from 'react';
import { type Quarry, QUARRIES } from '@/core/lies';
import { USUAL_QUARRY } from '@/core/lies/options';
import {
  featureAt,
  type Feature,
  type FeatureKind,
  levelAtGauge,
  type Pace,
  PACES,
  type Reading,
  type Run,
  TYPICAL_DAY,
} from '@/core/water';
// not the barrel: this would weigh on the first screen
import {
  BODY_MARKS,
  bodyDepthM,
  type BodyMark,
  type Glance,
  KINDS_AT_A_GLANCE,
  type KindOfWater,
  runAtAGlance,
  usualDeepest,
  usualPace,
} from '@/core/water/glance';
import type { GaugePoint } from '@/core/gauge';
import { HOUR_MS, MINUTE_MS } from '@/core/units';
import { put } from '@/store/changes';
import type { Water } from '@/store/records';
import { newId, useCommit, useRecords, useSession, useSettings } from '@/store/hooks';
import { Button, Choice, Hint, plainOptions, Slider, Stack } from '@/ui';
import { capital } from '@/words/capital';
import { format, fromShown, type UnitSystem } from '@/words/units';
import { NO_WATER } from '../plan/noWater';
import { dayText } from '../shared/time';
import { useGaugeNow } from '../shared/useGauge';
import { useNow } from '../shared/useNow';
import { useSurvey } from '../shared/useRunDay';
import { DraftScreen } from './DraftScreen';
import { saidOf } from '@/words/said';

/** Widths as one counts them out in paces, in the unit shown. */
const WIDTHS: Record<UnitSystem, readonly number[]> = {
  metric: [5, 10, 15, 20, 30, 50],
  imperial: [15, 30, 50, 70, 100, 160],
};
/** Until it is chosen the picture is drawn so wide and so deep, m. */
const DRAWN = { widthM: 15, deepestM: 1 } as const;
/** What one sees standing in water without wading. */
const STANDS = ['boulder', 'log', 'bar', 'drop-off'] as const satisfies readonly FeatureKind[];

/** The water in front of one: a handful of taps, and it is a run with its lies. No river, name, place or rules are asked for. */
export function GlanceScreen() {
  const router = useRouter();
  const commit = useCommit();
  const [session, setSession] = useSession();
  const { data: waters } = useRecords('water');
  const [{ units, heightM }] = useSettings();
  const [seen, setSeen] = useState<Partial<Seen>>({});
  const [stands, setStands] = useState<readonly Feature[]>([]);
  const [placing, setPlacing] = useState<FeatureKind | null>(null);
  const [quarry, setQuarry] = useState<Quarry>(USUAL_QUARRY);
  const [problem, setProblem] = useState<string | null>(null);
  const set = (part: Partial<Seen>) => setSeen((s) => ({ ...s, ...part }));
  const water = waters?.find((w) => w.id === session?.waterId) ?? waters?.[0] ?? null;
  const hour = Math.floor(useNow(5 * MINUTE_MS) / HOUR_MS) * HOUR_MS;
  const level = levelOf(water, useGaugeNow(water?.stationId ?? null, hour).data?.points.at(-1));
  const { kind } = seen;
  const glance: Glance | null = kind
    ? {
        ...{ kind, flows: seen.flows ?? 'to the left', stands },
        widthM: seen.widthM ?? DRAWN.widthM,
        deepestM: seen.deep ? bodyDepthM(seen.deep, heightM) : DRAWN.deepestM,
        ...(seen.deepestAt === undefined ? null : { deepestAt: seen.deepestAt }),
      }
    : null;
  const draft = glance && runOf(glance, level);
  const survey = useSurvey(draft, draft && readingOf(draft, level, seen.pace ?? usualPace(glance.kind)), water);
  const missing = MISSING.filter((part) => seen[part] === undefined);

  const save = async () => {
    if (!draft || missing.length > 0 || !seen.pace)
      return setProblem(`Still to answer: ${missing.map((m) => ASKS[m]).join(', ')}.`);
    const home = water ?? { ...NO_WATER, id: newId(), name: 'New water', quarry };
    const run: Run = {
      ...draft,
      id: newId(),
      waterId: home.id,
      name: `${capital(draft.name)}, ${dayText(Date.now())}`,
    };
    try {
      await commit(
        ...(water ? [] : [put('water', home)]),
        put('run', run),
        put('reading', readingOf(run, level, seen.pace, Date.now())),
      );
    } catch (error) {
      return setProblem(saidOf(error));
    }
    setSession({ waterId: home.id, runId: run.id, cast: null });
    router.replace({ pathname: '/read/[run]', params: { run: run.id } });
  };

  return (
    <DraftScreen
      title="The water in front of you"
      subtitle={water ? `saved under ${water.name}` : 'as you see it from the bank'}
      draft={draft}
      survey={survey.data}
      problem={problem}
      save={{ label: 'Show where fish hold', big: true, onPress: () => void save() }}
      height={230}
      summary={
        draft
          ? `${capital(draft.name)} from above, flowing down the picture, your bank at the ${draft.bank === 'left' ? 'right' : 'left'}`
          : ''
      }
      onPoint={
        placing
          ? ({ xM, yM }) => {
              setStands([...stands, featureAt(newId(), placing, xM, yM)]);
              setPlacing(null);
            }
          : undefined
      }
    >
      <Choice
        label="What does it look like?"
        options={plainOptions(KINDS_AT_A_GLANCE)}
        value={kind ?? null}
        onChange={(k) => set({ kind: k })}
      />
      {glance ? (
        <>
          <Choice
            label={`How wide? A long pace is about ${units === 'metric' ? 'a metre' : '3 ft'}`}
            options={WIDTHS[units].map((w) => ({
              value: String(w),
              label: format('length', fromShown('length', w, units), units),
            }))}
            value={widthChosen(seen.widthM, units)}
            onChange={(w) => set({ widthM: fromShown('length', Number(w), units) })}
          />
          <Choice
            label="How deep at the deepest?"
            options={plainOptions(BODY_MARKS)}
            value={seen.deep ?? null}
            onChange={(deep) => set({ deep })}
          />
          <Choice
            label="How fast is the main current?"
            options={plainOptions(Object.keys(PACES) as Pace[])}
            value={seen.pace ?? null}
            onChange={(pace) => set({ pace })}
          />
          <Choice
            label="Facing the water, it flows"
            options={plainOptions(['to the left', 'to the right'] as const)}
            value={seen.flows ?? null}
            onChange={(flows) => set({ flows })}
          />
          {water ? null : (
            <Choice label="Fish you are after" options={plainOptions(QUARRIES)} value={quarry} onChange={setQuarry} />
          )}
          <Slider
            label="Deepest"
            min={0.1}
            max={0.9}
            step={0.05}
            value={seen.deepestAt ?? usualDeepest(glance.kind)}
            onChange={(deepestAt) => set({ deepestAt })}
            format={(share) =>
              `${format('length', share * glance.widthM, units)} out${seen.deepestAt === undefined ? `, as usual for such water` : ''}`
            }
          />
          <Choice
            label="What else stands in it? Choose, then tap the picture"
            options={plainOptions(STANDS)}
            value={placing as Standing | null}
            onChange={setPlacing}
          />
          {placing ? <Hint>{`Tap the picture where the ${placing} is.`}</Hint> : null}
          {stands.length > 0 ? (
            <Stack row>
              <Button
                label={`Remove the last ${stands.at(-1)!.kind}`}
                kind="quiet"
                onPress={() => setStands(stands.slice(0, -1))}
              />
            </Stack>
          ) : null}
        </>
      ) : (
        <Hint>Five answers from the bank are enough. Name, place and rules can wait.</Hint>
      )}
    </DraftScreen>
  );
}

interface Seen {
  readonly kind: KindOfWater;
  readonly widthM: number;
  readonly deep: BodyMark;
  readonly deepestAt: number;
  readonly pace: Pace;
  readonly flows: Glance['flows'];
}
type Standing = (typeof STANDS)[number];

/** What must be answered, and how it is called. */
const ASKS = {
  kind: 'what it looks like',
  widthM: 'width',
  deep: 'depth',
  pace: 'current',
  flows: 'which way it flows',
} as const;
const MISSING = Object.keys(ASKS) as (keyof typeof ASKS)[];

const widthChosen = (widthM: number | undefined, units: UnitSystem): string | null =>
  WIDTHS[units]
    .map(String)
    .find((w) => widthM !== undefined && Math.abs(fromShown('length', Number(w), units) - widthM) < 0.01) ?? null;

/** The level at which one looks; by no gauge today's water is what is called normal. */
interface Level {
  readonly levelM: number;
  readonly levelFrom?: 'gauge';
  readonly flowM3s?: number;
}
function levelOf(water: Water | null, now: GaugePoint | undefined): Level {
  const levelM = levelAtGauge(now ?? null, water?.normalStageM ?? null);
  if (!now || levelM === null) return { levelM: 0 };
  return { levelM, levelFrom: 'gauge', ...(now.flowM3s > 0 && { flowM3s: now.flowM3s }) };
}

const runOf = (glance: Glance, { levelM, flowM3s }: Level): Run => {
  let n = 0;
  return {
    ...{ id: 'draft', waterId: 'none', name: glance.kind, levelM, speed: null, notes: '', glance: true },
    ...(flowM3s && { flowM3s }),
    ...runAtAGlance(glance, () => `kind ${n++}`),
  };
};

/** What was seen is today's reading; the rest of it is a guess. */
const readingOf = (run: Run, level: Level, pace: Pace, at = 0): Reading => ({
  ...{ id: at ? newId() : 'draft', runId: run.id, at, speed: null, pace, ...level },
  ...{ ...TYPICAL_DAY, waterTempC: null, guessed: ['visibility', 'colour', 'sky'] },
});
