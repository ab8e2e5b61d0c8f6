import { useMemo, useState } from 'react';
import type { Survey } from '@/core/lies';
import { LETTERS } from '@/core/practice/played';
import type { MomentRound } from '@/core/practice/moment';
import type { DayRound } from '@/core/practice/judged';
import type { NumberRound, Round } from '@/core/practice/rounds';
import { lengthS } from '@/core/swing/series';
import type { PlanPoint } from '@/core/water';
import { useSettings } from '@/store/hooks';
import { Stack } from '@/ui';
import { Hydrograph, RunSheet } from '@/ui/charts';
import type { Handle } from '@/ui/charts/RunSheet';
import { runSummary } from '@/words/practice';
import { toShown, unitOf } from '@/words/units';
import { PlayBar } from '../rig/PlayBar';

/** Its place is kept while a round is made up. */
export const SHEET_PX = 400;

type OnWaterRound = Extract<Round, { survey: Survey }>;

interface Props<R> {
  round: R;
  places: readonly PlanPoint[];
  /** The round has been answered. */
  open: boolean;
  onPlace: (p: PlanPoint) => void;
  /** Told the second that a swing which plays has reached: each frame, so that nothing but the picture may be drawn anew for it. */
  onTime: (t: number) => void;
}

const ORDER = ['1st', '2nd', '3rd'];

/** What is looked at for an answer, without what would tell it until it is given; null: words are all there is. */
export function RoundPicture({ round, ...rest }: Props<Round>) {
  if (round.kind === 'day') return <DayPicture round={round} />;
  if (!('survey' in round)) return null;
  return round.kind === 'moment' || round.kind === 'speed' ? (
    <Moving round={round} {...rest} />
  ) : (
    <Sheet round={round} {...rest} t={0} />
  );
}

/** A run on which a swing plays, or a float drifts. */
function Moving({ round, onTime, ...rest }: Props<MomentRound | NumberRound>) {
  const [t, setT] = useState(0);
  const reach = (to: number) => {
    setT(to);
    onTime(to);
  };
  return (
    <Stack gap="s">
      <Sheet round={round} {...rest} onTime={onTime} t={t} />
      <PlayBar t={t} seconds={endOf(round)} onTime={reach} what={round.kind === 'moment' ? 'the swing' : 'the float'} />
    </Stack>
  );
}

/** A float drifts so far past its place, m, half of it above. */
const DRIFT_M = 6;
/** How long a swing, or a float, is looked at, s. */
const endOf = (round: MomentRound | NumberRound): number =>
  round.kind === 'moment' ? Math.max(1, lengthS(round.swing)) : DRIFT_M / round.truth;

/** Where a float is after so many seconds. */
const floatAt = ({ at, truth }: NumberRound, t: number): PlanPoint => ({ ...at, xM: at.xM - DRIFT_M / 2 + truth * t });

function Sheet({ round, places, open, onPlace, t }: Props<OnWaterRound> & { t: number }) {
  const [{ units }] = useSettings();
  const survey = useMemo(() => (open ? round.survey : hidden(round)), [round, open]);
  const own = places.map((p, i): Handle => ({ id: ORDER[i]!, ...p, grip: true }));
  const lie = 'lie' in round ? round.lie : null;
  return (
    <RunSheet
      run={round.water.run}
      survey={survey}
      units={units}
      height={SHEET_PX}
      handles={[...askedOf(round), ...own]}
      {...(lie && { chosen: lie.rank })}
      {...('plan' in round && round.kind !== 'stand' && round.kind !== 'angle' && { angler: round.plan })}
      {...(round.kind === 'speed' && { takes: [floatAt(round, t)] })}
      {...(round.kind === 'moment' && { swing: { result: round.swing, t, hushed: !open } })}
      {...(round.kind === 'lies' && !open && { onPoint: (p: PlanPoint) => onPlace(p) })}
      showKey={round.kind !== 'depth' || open}
      summary={`${runSummary(round, units)}${open && survey.lies.length > 0 ? `, with its ${survey.lies.length} best lies` : ''}`}
    />
  );
}

/** Places that a question names. */
function askedOf(round: OnWaterRound): Handle[] {
  switch (round.kind) {
    case 'depth':
    case 'speed':
      return [
        { id: 'A', ...round.told, grip: true },
        { id: 'B', ...round.at, grip: true },
      ];
    case 'stand':
      return round.options.map(({ what, trial }) => ({ id: what, xM: trial.plan.xM, yM: trial.plan.yM, grip: true }));
    default:
      return [];
  }
}

/** A survey without what is asked. */
function hidden(round: OnWaterRound): Survey {
  const { survey } = round;
  switch (round.kind) {
    // The first tint is all water; the others tell how deep it is.
    case 'depth':
      return { ...survey, tints: survey.tints.slice(0, 1) };
    case 'speed':
      return { ...survey, flow: [] };
    case 'lies':
      return { ...survey, lies: [] };
    case 'order':
      return { ...survey, lies: round.lies };
    case 'fly':
      return survey;
    default:
      return { ...survey, lies: [round.lie] };
  }
}

const HYDROGRAPH_PX = 200;

function DayPicture({ round: { series, days } }: { round: DayRound }) {
  const [{ units }] = useSettings();
  const points = useMemo(
    () => series.map(({ at, stageM }) => ({ at, value: toShown('level', stageM ?? 0, units) })),
    [series, units],
  );
  return (
    <Hydrograph
      points={points}
      unit={unitOf('level', units)}
      now={series.at(-1)!.at}
      asked={days.map(({ at }, i) => ({ at, text: LETTERS[i]! }))}
      height={HYDROGRAPH_PX}
      summary={`The river’s level over ${Math.round(series.length / 24)} days: ${days
        .map(({ trend }, i) => `${LETTERS[i]} ${trend}`)
        .join(', ')}`}
    />
  );
}
