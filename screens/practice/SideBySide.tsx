import { useMemo } from 'react';
import { worthsOf } from '@/core/practice/marks';
import type { ChosenRound } from '@/core/practice/rounds';
import { flyAt, lengthS, rowOf } from '@/core/swing/series';
import { useSettings } from '@/store/hooks';
import { DepthTracks } from '@/ui/charts';
import { shortChoice } from '@/words/rounds';
import { toShown, unitOf } from '@/words/units';
import { simulate } from '@/workers/river';
import { useJob } from '../shared/useJob';

const TRACKS_PX = 220;
/** A second at a time is enough to draw. */
const STEP_S = 0.5;

const swum = ({ survey: { channel }, lie, options }: ChosenRound) =>
  Promise.all(options.map(({ trial: { rig, plan } }) => simulate({ channel, rig, plan, lies: [lie] })));

/** The swings of all choices side by side, and the depths that the lie wants. */
export function SideBySide({ round }: { round: ChosenRound }) {
  const [{ units }] = useSettings();
  const { value: swings } = useJob(round, swum, 0);
  const tracks = useMemo(() => {
    const worths = worthsOf(round);
    return swings?.flatMap((r, i) => {
      if (round.options[i]!.barred) return [];
      const seconds = Array.from({ length: 1 + Math.floor(lengthS(r) / STEP_S) }, (_, k) => k * STEP_S);
      return {
        name: shortChoice(round, i),
        points: seconds.map((s) => [s, toShown('depth', flyAt(r, rowOf(r, s)).depthM, units)] as const),
        strong: worths[i] === 1,
      };
    });
  }, [round, swings, units]);
  if (!tracks || tracks.length === 0) return null;
  const { topM, bottomM } = round.lie.band;
  return (
    <DepthTracks
      tracks={tracks}
      wanted={[toShown('depth', topM, units), toShown('depth', bottomM, units)]}
      unit={unitOf('depth', units)}
      height={TRACKS_PX}
      summary={`How deep each fly is from landing to the end of its swing; the band is what lie ${round.lie.rank} wants. Best: ${tracks.find((t) => t.strong)?.name ?? 'none'}`}
    />
  );
}
