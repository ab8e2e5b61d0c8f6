import { type CastPlan, handsOf } from '../cast';
import type { EventOf, LogEvent, OnRun } from '../logbook';

/** Where one is in a plan: what comes next of it, as it is cast from where one stands. */
interface Position {
  /** Index of the planned cast that comes next; as many as there are when none is left. */
  readonly next: number;
  /** The last thing that one chose to do otherwise, and how many casts were made since. */
  readonly gone: EventOf<'go'> | null;
  readonly castsSince: number;
  /** From a boat: nobody wades. */
  readonly afloat: boolean;
  /** What a planned cast becomes. */
  readonly set: (plan: CastPlan) => CastPlan;
}

/** Casts are taken for planned ones that are as near as this: metres along and out, of line, and degrees that count as one. */
const ALIKE = { standM: 1, lineM: 1.5, angleDeg: 20, most: 0.7 } as const;
/** One who stands so near to where a cast is planned from casts it from there, m. */
const FROM_HERE_M = 1.6;
/** Who casts from so far behind has gone back, m. */
const BACK_M = 4;
/** Looked ahead no further than this for the cast that was made. */
const AHEAD = 14;

/** Another way of showing the fly has an angle of its own: then place and length tell which cast it was. */
const unlike = (a: CastPlan, b: CastPlan): number =>
  Math.hypot(a.xM - b.xM, a.yM - b.yM) / ALIKE.standM +
  Math.abs(a.outM - b.outM) / ALIKE.lineM +
  (handsOf(a).way === handsOf(b).way ? Math.abs(a.angleDeg - b.angleDeg) / ALIKE.angleDeg : 0);

/** Nearer than this it is the same stand, m. */
const SAME_STAND_M = 0.3;
const stoodAt = (made: CastPlan, { xM, yM }: Pick<CastPlan, 'xM' | 'yM'>): boolean =>
  Math.hypot(made.xM - xM, made.yM - yM) < SAME_STAND_M;

/** The index of the least of some numbers; −1 where there are none. */
const least = (list: readonly number[]): number =>
  list.reduce((best, v, i) => (best < 0 || v < list[best]! ? i : best), -1);

/** What comes after a cast that was made: after the planned one it was, or what is planned from there on. */
function after(
  planned: readonly CastPlan[],
  from: number,
  made: CastPlan,
  sign: 1 | -1,
  set: (plan: CastPlan) => CastPlan,
): number {
  const ahead = planned.slice(from, from + AHEAD).map((p) => unlike(set(p), made));
  const same = least(ahead);
  if (same >= 0 && ahead[same]! < ALIKE.most) return from + same + 1;
  const next = planned[from];
  if (!next) return from;
  // Who has gone back comes over it again.
  const back = sign * (next.xM - made.xM) > BACK_M;
  return onwards(planned, back ? 0 : from, made, sign);
}

/** The first cast that is planned from a place on, in the pass that is nearest to it. */
function onwards(
  planned: readonly CastPlan[],
  from: number,
  { xM, yM }: Pick<CastPlan, 'xM' | 'yM'>,
  sign: 1 | -1,
): number {
  const away = planned
    .slice(from)
    .map((p) => (sign * (p.xM - xM) > -0.3 ? Math.abs(p.xM - xM) + Math.abs(p.yM - yM) : Infinity));
  const at = least(away);
  return at < 0 || away[at] === Infinity ? planned.length : from + at;
}

/**
 * Where one is in a plan, read off what was logged on the run: casts move it on, also those made otherwise than planned; what one
 * chose for oneself moves it, too.
 *
 * @param sign +1 where one works down the run
 * @param fit makes a cast from another stand one that can be made there; @param moved one from further along the run, from where one may
 * stand
 */
export function positionIn(
  planned: readonly CastPlan[],
  { events }: Pick<OnRun, 'events'>,
  sign: 1 | -1,
  fit: (plan: CastPlan) => CastPlan = (plan) => plan,
  moved: (plan: CastPlan) => CastPlan = fit,
): Position {
  let next = 0;
  let gone: EventOf<'go'> | null = null;
  let here: EventOf<'go'> | null = null;
  let castsSince = 0;
  let made: CastPlan | null = null;
  const set = (plan: CastPlan): CastPlan => {
    if (!here) return plan;
    const { xM, yM } = placeOf(here);
    if (Math.abs(plan.xM - xM) < FROM_HERE_M) return fit({ ...plan, xM, yM });
    return here.afloat ? fit({ ...plan, yM }) : moved({ ...plan, yM });
  };
  for (const e of events) {
    if (e.kind === 'cast') {
      made = e.plan;
      castsSince++;
      if (!stays(gone, castsSince)) next = after(planned, next, e.plan, sign, set);
    }
    if (e.kind !== 'go') continue;
    gone = e;
    castsSince = 0;
    if (e.how === 'again') next = 0;
    if (e.how === 'plan' && made) {
      // What was cast before was cast by another plan: on from where one is, or from its first cast.
      const at = onwards(planned, 0, made, sign);
      next = at === planned.length ? 0 : at;
    }
    if (e.how === 'skip')
      next = Math.max(0, least(planned.map((p) => Math.abs(p.xM - e.xM!) + Math.abs(p.yM - e.yM!))));
    // Who stands where the last cast was made has not stepped: what comes next is cast from there.
    if (e.how === 'here' && !(made && stoodAt(made, placeOf(e)))) next = onwards(planned, 0, placeOf(e), sign);
    if (e.how === 'here') here = e;
    else if (e.how === 'again' || e.how === 'skip') here = null;
  }
  return { next, gone, castsSince, afloat: here?.afloat === true, set };
}

const placeOf = (e: LogEvent): { xM: number; yM: number } => ({ xM: e.xM ?? 0, yM: e.yM ?? 0 });

/** From one stand all round: so far off the angle one stood at, degrees, the steep ones first. */
export const FAN_DEG = [-30, -15, 0, 15, 30] as const;

/** Whether the plan waits while one does something else. */
const stays = (gone: EventOf<'go'> | null, castsSince: number): boolean =>
  gone?.how === 'same lane' || (gone?.how === 'fan' && castsSince <= FAN_DEG.length);

export const inFan = ({ gone, castsSince }: Position): boolean => gone?.how === 'fan' && castsSince < FAN_DEG.length;
