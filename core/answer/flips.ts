import { shared } from '../maths/work';
import { openingOf } from '../cast';
import { swingOnRun } from '../cast/case';
import { groundFor, keepGround } from '../cover/casts';
import { inWater } from '../lies';
import { groundOf } from '../showing';
import { flyAt, HZ } from '../swing/series';
import type { FlyItem } from '../tackle';
import type { Reading } from '../water';
import { fliesFor, judgeFly } from './flies';
import { type Method, METHODS, methodsFor } from './methods';
import { leadStand } from './reasons';
import { takesDown } from './fits';
import { refitted, tipsOf } from './rigs';
import { glance } from './fished';
import type { Served } from './stands';
import { type Situation, situationOf } from './situation';
import { type Bench, isBetter, lookFor, worthOf } from './setupWorth';

/** A reading that, were it otherwise, would change the answer. */
export interface Flip {
  readonly when: FlipWhen;
  readonly then: FlipThen;
}

/** How a reading would be otherwise; m and °C. */
export type FlipWhen =
  | { readonly code: 'deeper' | 'shallower'; readonly byM: number }
  | { readonly code: 'clears' | 'colours'; readonly toM: number }
  | { readonly code: 'warms'; readonly toC: number }
  | { readonly code: 'faster' | 'slower' | 'light goes' | 'hatch' | 'refusals' | 'hatch stops' };

/** What one would do then: another tip, or another method with its fly. */
export type FlipThen =
  | { readonly code: 'tip'; readonly tip: string | null }
  | { readonly code: 'method'; readonly method: Method; readonly fly: FlyItem; readonly angleDeg: number | null };

const LEAST_DEPTH_M = 0.2;
const OFF = { depthM: 0.15, speed: 0.3 } as const;
const TIPS_EITHER_WAY = 2;
/** Tips that take down as much as each other within a tenth are alike. */
const UNLIKE = 1.1;
/** Another tip must be better by so much before it is told. */
const BETTER = 1.1;
const MOST_FLIPS = 5;

/** The situation in water that is so much deeper, and so many times as fast. */
function inOther(s: Situation, deeperM: number, times: number): Situation {
  const channel = {
    ...s.channel,
    h: s.channel.h.map((h) => (h > 0 ? Math.max(0, h + deeperM) : h)),
    u: s.channel.u.map((u) => times * u),
  };
  // The same fish where they were.
  const { places, willing } = groundFor(s);
  const there = places.map((p) => ({ ...p, depthM: p.depthM + deeperM })).filter((p) => p.depthM > LEAST_DEPTH_M);
  keepGround({ ...s, channel }, groundOf(there, willing));
  return {
    ...s,
    channel,
    lies: s.lies
      .filter((l) => l.depthM + deeperM > LEAST_DEPTH_M)
      .map((l) => ({ ...inWater(l, (l.depthM + deeperM) / l.depthM), speedMps: times * l.speedMps })),
  };
}

/** The tip that would serve best in other water, where it is another; null where the same does. Deeper and faster water never
 * wants a lighter one, nor the other way round. */
function* otherTip(
  b: Bench,
  served: Served,
  s: Situation,
  heavier: boolean,
): Generator<void, FlipThen | null, undefined> {
  const other: Bench = { ...b, s };
  const on = takesDown(served.setup.rig.tip);
  const tips = tipsOf(s, served.setup.method).filter(
    (t) => t?.id === served.setup.rig.tip?.id || (heavier ? takesDown(t) > UNLIKE * on : UNLIKE * takesDown(t) < on),
  );
  const now = tips.findIndex((t) => t?.id === served.setup.rig.tip?.id);
  let here = 0;
  let best: { readonly tip: string | null; readonly worth: number } | null = null;
  for (let i = Math.max(0, now - TIPS_EITHER_WAY); i <= Math.min(tips.length - 1, now + TIPS_EITHER_WAY); i++) {
    const setup = refitted(s, served.setup, { tip: tips[i]! });
    if (!setup) continue;
    const worth = worthOf(other, setup, yield* glance(other, setup, served.way));
    if (i === now) here = worth;
    else if (!best || worth > best.worth) best = { tip: tips[i]?.name ?? null, worth };
  }
  return best && best.worth > BETTER * here ? { code: 'tip', tip: best.tip } : null;
}

/** What would be done with other readings or sightings, where that is another method or fly. */
function* otherDays(b: Bench, served: Served): Generator<void, Flip[], undefined> {
  const { s } = b;
  const { method, rig } = served.setup;
  const with_ = (part: Partial<Reading>, seen = s.seen): Situation =>
    situationOf({ ...s, reading: { ...s.reading, ...part }, seen });
  const days: { readonly when: FlipWhen; readonly s: Situation; readonly fly: boolean }[] = [
    s.dirty
      ? { when: { code: 'clears', toM: 1.2 }, s: with_({ visibilityM: 1.2, colour: 'green' }), fly: true }
      : {
          when: { code: 'colours', toM: 0.5 },
          s: with_({ visibilityM: 0.5, atLeast: false, colour: 'grey-brown' }),
          fly: true,
        },
    ...(s.warm && !s.dusk ? [{ when: { code: 'light goes' } as const, s: with_({ sky: 'dusk' }), fly: false }] : []),
    // In mud nothing comes up to them, and nobody sees a fish refuse where the water is dirty.
    ...(s.seen.includes('hatch') || s.mud
      ? []
      : [{ when: { code: 'hatch' } as const, s: with_({}, [...s.seen, 'hatch']), fly: false }]),
    ...(s.seen.includes('refusals') || s.dirty
      ? []
      : [{ when: { code: 'refusals' } as const, s: with_({}, [...s.seen, 'refusals']), fly: false }]),
    ...(s.seen.includes('hatch')
      ? [
          {
            when: { code: 'hatch stops' } as const,
            s: with_(
              {},
              s.seen.filter((x) => x !== 'hatch' && x !== 'rises'),
            ),
            fly: false,
          },
        ]
      : []),
    ...(s.cold ? [{ when: { code: 'warms', toC: 10 } as const, s: with_({ waterTempC: 10 }), fly: false }] : []),
  ];
  const out: Flip[] = [];
  const now = b.votes.find((v) => !v.noFly)?.method;
  for (const day of days) {
    yield;
    const first = methodsFor(day.s).find((v) => !v.noFly);
    if (!first) continue;
    const [fly] = fliesFor(day.s, first.method, lookFor(day.s));
    const swings = day.fly && METHODS[first.method].ways[0] === 'swing';
    const angleDeg = swings && fly ? openingOf(day.s.reading, { fly: fly.fly }, s.school.depth).angleDeg : null;
    const other = first.method !== method && first.method !== now;
    const beside = day.fly && judgeFly(day.s, first.method, rig.fly, lookFor(day.s)).merit;
    if (fly && (other || (beside && isBetter(fly.merit, beside))))
      out.push({ when: day.when, then: { code: 'method', method: first.method, fly: fly.fly, angleDeg } });
  }
  return out;
}

/** What would change the answer: the depth and speed of the water by simulating its tips again, other readings by the method. */
export function* flipsOf(b: Bench, served: Served): Generator<number, Flip[], undefined> {
  const { s } = b;
  const waters = served.setup.rig.float
    ? []
    : ([
        [{ code: 'deeper', byM: OFF.depthM }, OFF.depthM, 1],
        [{ code: 'shallower', byM: OFF.depthM }, -OFF.depthM, 1],
        [{ code: 'faster' }, 0, 1 + OFF.speed],
        [{ code: 'slower' }, 0, 1 - OFF.speed],
      ] as const);
  const out: Flip[] = [];
  for (const [i, [when, deeperM, times]] of waters.entries()) {
    const then = yield* shared(
      otherTip(b, served, inOther(s, deeperM, times), deeperM > 0 || times > 1),
      i / 5,
      1 / 5,
      32,
    );
    if (then) out.push({ when, then });
  }
  const days = yield* shared(otherDays(b, served), 4 / 5, 1 / 5, 6);
  return [...out.slice(0, MOST_FLIPS - Math.min(2, days.length)), ...days].slice(0, MOST_FLIPS);
}

/** What to see at the river when it is right. */
export type Check =
  | { readonly code: 'tight'; readonly byS: number }
  | { readonly code: 'touches'; readonly times: number }
  | { readonly code: 'out of sight'; readonly afterS: number }
  | { readonly code: 'wake' | 'float drift' | 'drift' | 'touch now and then' | 'no touch' };

/** How to see at the river that it is right: the count to come tight, the touch, how long the fly is seen. */
export function checksOf({ s }: Bench, served: Served): Check[] {
  const lead = leadStand(served);
  if (!lead) return [];
  const r = swingOnRun({ channel: s.channel, rig: served.setup.rig, plan: lead.plan, lies: [lead.lie] });
  const out: Check[] = [];
  if (r.fishing && METHODS[served.setup.method].ways[0] === 'swing') out.push({ code: 'tight', byS: r.fishing.fromS });
  const { band } = lead.verdict.lie;
  if (served.setup.method === 'wake fly') out.push({ code: 'wake' });
  else if (served.setup.method === 'drift or float')
    out.push({ code: served.setup.rig.float ? 'float drift' : 'drift' });
  else if (band.bottomM <= NEAR_BED * lead.lie.depthM) out.push({ code: 'no touch' });
  else if (r.fishing && r.fishing.touches > 0) out.push({ code: 'touches', times: r.fishing.touches });
  else out.push({ code: 'touch now and then' });
  let i = 0;
  while (i < r.rows && flyAt(r, i).depthM < s.visibilityM) i++;
  if (i < r.rows && i > 0 && s.visibilityM < lead.lie.depthM) out.push({ code: 'out of sight', afterS: i / HZ });
  return out;
}
const NEAR_BED = 0.8;
