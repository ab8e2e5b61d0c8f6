import { CAST_ANGLE_DEG, type CastPlan, handsOf, presented } from '../cast';
import type { EventOf, LogEvent, OnRun } from '../logbook';
import { clamp } from '../maths';
import { FAN_DEG, inFan, positionIn } from './position';
import { PACE_M } from './rule';
import { MINUTE_MS } from '../units';

/**
 * What comes next: a cast that is planned; the same one at once; a rest, or one that goes on; a smaller fly; higher up and down
 * again; a step on so that the second fly comes over the fish; one of a fan; the lane once more; or away from here.
 */
export type NextKind =
  | 'swap'
  | 'planned'
  | 'same'
  | 'rest'
  | 'resting'
  | 'smaller'
  | 'higher'
  | 'dropper'
  | 'fan'
  | 'lane'
  | 'leave'
  | 'over';

/** Why the next cast is not simply the next of the plan. */
export type NextWhy =
  | { readonly code: 'same after' | 'rest after'; readonly what: EventOf<'take'>['what'] }
  | { readonly code: 'fan'; readonly cast: number; readonly of: number }
  | {
      readonly code:
        | 'watch for it'
        | 'rested'
        | 'dropper over'
        | 'new fly'
        | 'smaller'
        | 'higher'
        | 'watch'
        | 'clear the fly'
        | 'check the hook'
        | 'other turn'
        | 'juveniles'
        | 'cruises'
        | 'over';
    };

export interface Next {
  readonly kind: NextKind;
  /** The cast that is made next, whatever is said: there always is one. */
  readonly plan: CastPlan;
  /** The last that was made. */
  readonly last: CastPlan | null;
  /** A rest that is asked for, minutes. */
  readonly minutes?: number;
  /** Until when the water, or the lane, is left alone, ms UTC. */
  readonly until?: number;
  /** Why it is not simply the next of the plan. */
  readonly why: NextWhy | null;
  /** Planned casts that are left. */
  readonly left: number;
  /** It is made from a boat. */
  readonly afloat: boolean;
}

/** What is asked of nextOf. */
export interface Going {
  /** The casts of the plan in order, at least one. */
  readonly planned: readonly CastPlan[];
  readonly visit: Pick<OnRun, 'events' | 'casts'>;
  /** +1 where one works down the run. */
  readonly sign: 1 | -1;
  /** Flies on the rig. */
  readonly flies: number;
  /** Whether the bag has a smaller one that may be tied on. */
  readonly hasSmaller: boolean;
  /** Makes a cast from a stand of one’s own one that can be made there; not said: as it is. */
  readonly fit?: (plan: CastPlan) => CastPlan;
  /** Makes a cast from further along the run one that can be made there, from where one may stand; not said: as it is. */
  readonly moved?: (plan: CastPlan) => CastPlan;
  /** Set by hand under Rig since the plan was made: its way is how the fly is shown from now on; not said: as planned, or as was logged
   * last. */
  readonly setByHand?: CastPlan | null;
  /** A fair trial wants the other one on; not said: none does. */
  readonly swap?: boolean;
  /** ms UTC */
  readonly now: number;
}

/** Two to ten minutes (common practice, no source). */
export const REST_MINUTES = 5;
/** A cruiser comes by again: so long a lane is left alone between two casts (assumed). */
const LANE_S = 60;
/** So far one goes up to come down again over a fish that came once, m (assumed: a dozen paces). */
const HIGHER_M = 9;
/** With less room than this above one there is no going up, m. */
const ROOM_M = 3;
/** So many juveniles in so many casts are a swarm (assumed). */
const SWARM = { juveniles: 3, casts: 6 } as const;

/** When a rest is over, ms UTC. */
const endOf = (rest: EventOf<'rest'>): number => rest.at + rest.minutes * MINUTE_MS;
/** Signs of a fish that is still there. */
const CAME: ReadonlySet<EventOf<'take'>['what']> = new Set(['pluck', 'thump', 'stop', 'follow', 'roll']);

/** What was logged since a fish came and stayed; null where none did. */
function sinceItCame(
  events: readonly LogEvent[],
): { readonly what: EventOf<'take'>['what']; readonly since: readonly LogEvent[] } | null {
  for (let i = events.length - 1; i >= 0; i--) {
    const e = events[i]!;
    if (e.kind === 'go' && e.how !== 'here') return null;
    if (e.kind !== 'take' || e.juvenile) continue;
    return CAME.has(e.what) ? { what: e.what, since: events.slice(i + 1) } : null;
  }
  return null;
}

const is =
  <K extends LogEvent['kind']>(kind: K) =>
  (e: LogEvent): e is EventOf<K> =>
    e.kind === kind;

const asItIs = (plan: CastPlan): CastPlan => plan;

type Said = Pick<Next, 'kind' | 'plan' | 'why'> & Partial<Pick<Next, 'minutes' | 'until'>>;

/** After a fish came: the same cast at once; then rest it, same fly; then smaller, or from higher up; with two flies a step on so
 * that the second one comes over it (common practice, no source). Null once all of that is done, or one has cast on instead.
 *
 * @param ahead what the plan has next */
function forTheFish(g: Going, ahead: CastPlan): Said | null {
  const { visit, flies, hasSmaller, sign, now, moved = asItIs } = g;
  const { events, casts } = visit;
  const came = sinceItCame(events);
  const last = casts.at(-1)?.plan;
  if (!came || !last) return null;
  const { what, since } = came;
  const rested = since.findIndex(is('rest'));
  // Whichever way one casts, with a step on the second fly comes to where the point fly was.
  const dropperOver = () => moved({ ...last, xM: last.xM + sign * PACE_M });
  if (rested < 0) {
    const made = since.filter(is('cast')).length;
    if (made === 0) return { kind: 'same', plan: last, why: { code: 'same after', what } };
    if (made > 1) return null; // who casts on instead has left it
    const plan = flies > 1 ? dropperOver() : ahead;
    return { kind: 'rest', plan, minutes: REST_MINUTES, why: { code: 'rest after', what } };
  }
  const later = since.slice(rested + 1);
  const made = later.filter(is('cast')).length;
  if (made === 0) {
    const rest = since[rested] as EventOf<'rest'>;
    const until = endOf(rest);
    if (now < until) return { kind: 'resting', plan: last, until, why: { code: 'watch for it' } };
    return { kind: 'same', plan: last, why: { code: 'rested' } };
  }
  const changed = later.some(is('rig'));
  if (flies > 1) {
    if (made > 1) return null;
    return { kind: 'dropper', plan: dropperOver(), why: { code: 'dropper over' } };
  }
  const madeOnNew = changed && is('cast')(later.at(-1)!);
  if (madeOnNew || made > 1) return null;
  if (changed) return { kind: 'same', plan: last, why: { code: 'new fly' } };
  if (hasSmaller) return { kind: 'smaller', plan: last, why: { code: 'smaller' } };
  const plan = moved({ ...last, xM: Math.max(0, last.xM - sign * HIGHER_M) });
  if (Math.abs(plan.xM - last.xM) < ROOM_M) return null;
  return { kind: 'higher', plan, why: { code: 'higher' } };
}

/** A rest that goes on for another reason than a fish. */
function resting({ visit: { events, casts }, now }: Going, plan: CastPlan): Said | null {
  const at = events.findLastIndex(is('rest'));
  const rest = events[at];
  if (!rest || !is('rest')(rest) || events.slice(at).some(is('cast'))) return null;
  const until = endOf(rest);
  if (now >= until) return null;
  return { kind: 'resting', plan: casts.at(-1)?.plan ?? plan, until, why: { code: 'watch' } };
}

/** Juveniles that pluck at everything. */
function swarm(events: readonly LogEvent[]): boolean {
  let casts = 0;
  let juveniles = 0;
  for (let i = events.length - 1; i >= 0 && casts <= SWARM.casts; i--) {
    const e = events[i]!;
    if (e.kind === 'cast') casts++;
    if (e.kind === 'go') break;
    if (e.kind === 'take' && e.juvenile) juveniles++;
  }
  return juveniles >= SWARM.juveniles;
}

/** A cast as the fly is shown now: by the way that was chosen last, under Rig or here; else as it was planned. */
function shownAs({ visit: { events }, setByHand, fit = asItIs }: Going, plan: CastPlan): CastPlan {
  const hands = setByHand ? handsOf(setByHand) : (events.findLast(is('way'))?.hands ?? null);
  if (!hands) return plan;
  if (handsOf(plan).way === hands.way) return hands.way === 'swing' ? plan : { ...plan, hands };
  const { angleDeg, mendM, rod } = setByHand ?? presented(plan, hands.way);
  return fit({ ...presented(plan, hands.way), angleDeg, mendM, rod, hands });
}

/**
 * What comes next on the water: by what happened, by what one chose, else by the plan. It is read off the log alone, so that it is
 * the same after a reload. There always is a cast that can be made.
 *
 * @throws RangeError when no cast is planned
 */
export function nextOf(g: Going): Next {
  const { planned, visit, sign, now, fit = asItIs, moved } = g;
  if (planned.length === 0) throw new RangeError('planned: must have a cast');
  const position = positionIn(planned, visit, sign, fit, moved);
  const { afloat } = position;
  const last = visit.casts.at(-1)?.plan ?? null;
  const left = planned.length - position.next;
  const tell = (said: Said): Next => ({ ...said, plan: shownAs(g, said.plan), last, left, afloat });
  const ahead = planned[position.next];
  const plan = position.set(ahead ?? last ?? planned.at(-1)!);
  if (visit.events.at(-1)?.kind === 'fouled' && last)
    return tell({ kind: 'same', plan: last, why: { code: 'clear the fly' } });
  const played = visit.events.findLast((e) => is('take')(e) || is('cast')(e));
  if (played && is('take')(played) && !played.juvenile && !CAME.has(played.what) && last)
    return tell({ kind: 'same', plan: last, why: { code: 'check the hook' } });
  const fish = forTheFish(afloat ? { ...g, moved: fit } : g, plan) ?? resting(g, plan);
  if (fish) return tell(fish);
  if (g.swap) return tell({ kind: 'swap', plan, why: { code: 'other turn' } });
  if (swarm(visit.events)) return tell({ kind: 'leave', plan, why: { code: 'juveniles' } });
  const { gone, castsSince } = position;
  if (inFan(position)) {
    const from = visit.casts.at(-castsSince - 1)?.plan ?? plan;
    const angleDeg = clamp(from.angleDeg + FAN_DEG[castsSince]!, CAST_ANGLE_DEG.least, CAST_ANGLE_DEG.most);
    return tell({
      kind: 'fan',
      plan: fit({ ...from, angleDeg }),
      why: { code: 'fan', cast: castsSince + 1, of: FAN_DEG.length },
    });
  }
  if (gone?.how === 'same lane') {
    const lane = last ?? plan;
    const until = (visit.casts.at(-1)?.at ?? now) + 1000 * LANE_S;
    return tell({
      kind: 'lane',
      plan: lane,
      why: { code: 'cruises' },
      ...(until > now ? { until } : null),
    });
  }
  if (!ahead) return tell({ kind: 'over', plan, why: { code: 'over' } });
  return tell({ kind: 'planned', plan, why: null });
}
