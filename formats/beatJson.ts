import type { Beat, Covering } from '@/core/cover';
import { choiceOf, describeRig, type Rig } from '@/core/tackle';

const round = (v: number) => Math.round(1000 * v) / 1000;

const beatJson = ({ casts, minutes, shares, found }: Beat) => ({
  casts: casts.map(({ plan, times, seconds }) => ({ plan, times: times ?? 1, seconds: Math.round(seconds) })),
  minutes: round(minutes),
  shownOnce: round(shares.once),
  shownTwice: round(shares.twice),
  found: round(found),
});

/** The casts of a run and those of the rule of thumb in the names of docs/formats.md; null where there is no set-up. */
export const coverJson = (
  found: {
    readonly rig: Rig;
    readonly covering: Covering;
    readonly beat: Beat;
    readonly rule: Beat;
  } | null,
): object =>
  found
    ? {
        rig: choiceOf(found.rig),
        words: describeRig(found.rig),
        way: found.covering.work.direction,
        reachM: found.covering.flies.map((f) => round(Math.min(f.seen.likelyM, found.covering.ground.willing.sideM))),
        plan: beatJson(found.beat),
        rule: beatJson(found.rule),
      }
    : { rig: null, plan: null, rule: null };
