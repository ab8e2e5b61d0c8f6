import { shared } from '../maths/work';
import { openingOf } from '../cast';
import { swingOnRun } from '../cast/case';
import { groundFor, keepGround } from '../cover/casts';
import { inWater } from '../lies';
import { groundOf } from '../showing';
import { flyAt, HZ } from '../swing/series';
import { describeFly } from '../tackle';
import { format } from '../units';
import type { Reading } from '../water';
import { fliesFor, judgeFly } from './flies';
import { METHODS, methodsFor } from './methods';
import { leadStand } from './reasons';
import { takesDown } from './fits';
import { refitted, tipsOf } from './rigs';
import { glance } from './fished';
import type { Served } from './stands';
import { type Situation, situationOf } from './situation';
import { type Bench, isBetter, lookFor, worthOf } from './setupWorth';

/** A reading that, were it otherwise, would change the answer. */
export interface Flip {
  readonly when: string;
  readonly then: string;
}

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
): Generator<void, string | null, undefined> {
  const other: Bench = { ...b, s };
  const on = takesDown(served.setup.rig.tip);
  const tips = tipsOf(s, served.setup.method).filter(
    (t) => t?.id === served.setup.rig.tip?.id || (heavier ? takesDown(t) > UNLIKE * on : UNLIKE * takesDown(t) < on),
  );
  const now = tips.findIndex((t) => t?.id === served.setup.rig.tip?.id);
  let here = 0;
  let best: { readonly name: string; readonly worth: number } | null = null;
  for (let i = Math.max(0, now - TIPS_EITHER_WAY); i <= Math.min(tips.length - 1, now + TIPS_EITHER_WAY); i++) {
    const setup = refitted(s, served.setup, { tip: tips[i]! });
    if (!setup) continue;
    const worth = worthOf(other, setup, yield* glance(other, setup, served.way));
    if (i === now) here = worth;
    else if (!best || worth > best.worth) best = { name: tips[i]?.name ?? 'no tip', worth };
  }
  return best && best.worth > BETTER * here ? best.name : null;
}

/** What would be done with other readings or sightings, where that is another method or fly. */
function* otherDays(b: Bench, served: Served): Generator<void, Flip[], undefined> {
  const { s } = b;
  const { method, rig } = served.setup;
  const sight = (visibilityM: number) => format('depth', visibilityM, s.units);
  const with_ = (part: Partial<Reading>, seen = s.seen): Situation =>
    situationOf({ ...s, reading: { ...s.reading, ...part }, seen });
  const days: { readonly when: string; readonly s: Situation; readonly fly: boolean }[] = [
    s.dirty
      ? { when: `It clears to ${sight(1.2)} of sight`, s: with_({ visibilityM: 1.2, colour: 'green' }), fly: true }
      : {
          when: `It colours to ${sight(0.5)} of sight`,
          s: with_({ visibilityM: 0.5, atLeast: false, colour: 'grey-brown' }),
          fly: true,
        },
    ...(s.warm && !s.dusk ? [{ when: 'The light goes', s: with_({ sky: 'dusk' }), fly: false }] : []),
    // In mud nothing comes up to them, and nobody sees a fish refuse where the water is dirty.
    ...(s.seen.includes('hatch') || s.mud
      ? []
      : [{ when: 'Insects come up, with few rises', s: with_({}, [...s.seen, 'hatch']), fly: false }]),
    ...(s.seen.includes('refusals') || s.dirty
      ? []
      : [{ when: 'Fish look and refuse', s: with_({}, [...s.seen, 'refusals']), fly: false }]),
    ...(s.seen.includes('hatch')
      ? [
          {
            when: 'The hatch stops',
            s: with_(
              {},
              s.seen.filter((x) => x !== 'hatch' && x !== 'rises'),
            ),
            fly: false,
          },
        ]
      : []),
    ...(s.cold
      ? [{ when: `It warms to ${format('temperature', 10, s.units)}`, s: with_({ waterTempC: 10 }), fly: false }]
      : []),
  ];
  const out: Flip[] = [];
  const now = b.votes.find((v) => !v.noFly)?.method;
  for (const day of days) {
    yield;
    const first = methodsFor(day.s).find((v) => !v.noFly);
    if (!first) continue;
    const [fly] = fliesFor(day.s, first.method, lookFor(day.s));
    const angle =
      METHODS[first.method].ways[0] === 'swing' && fly
        ? `, cast at ${openingOf(day.s.reading, { fly: fly.fly }, s.school.depth).angleDeg}°`
        : '';
    const other = first.method !== method && first.method !== now;
    const beside = day.fly && judgeFly(day.s, first.method, rig.fly, lookFor(day.s)).merit;
    if (fly && (other || (beside && isBetter(fly.merit, beside))))
      out.push({ when: day.when, then: `${first.method} with the ${describeFly(fly.fly)}${day.fly ? angle : ''}` });
  }
  return out;
}

/** What would change the answer: the depth and speed of the water by simulating its tips again, other readings by the method. */
export function* flipsOf(b: Bench, served: Served): Generator<number, Flip[], undefined> {
  const { s } = b;
  const by = format('depth', OFF.depthM, s.units);
  const waters = served.setup.rig.float
    ? []
    : ([
        [`${by} deeper than read`, OFF.depthM, 1],
        [`${by} shallower than read`, -OFF.depthM, 1],
        ['A third faster than read', 0, 1 + OFF.speed],
        ['A third slower than read', 0, 1 - OFF.speed],
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

/** How to see at the river that it is right: the count to come tight, the touch, how long the fly is seen. */
export function checksOf({ s }: Bench, served: Served): string[] {
  const lead = leadStand(served);
  if (!lead) return [];
  const r = swingOnRun({ channel: s.channel, rig: served.setup.rig, plan: lead.plan, lies: [lead.lie] });
  const out: string[] = [];
  const swings = METHODS[served.setup.method].ways[0] === 'swing';
  if (r.fishing && swings)
    out.push(
      r.fishing.fromS < 1.5
        ? 'The line should come tight at once.'
        : `The line should come tight by the count of ${Math.round(r.fishing.fromS)}.`,
    );
  const { band } = lead.verdict.lie;
  if (served.setup.method === 'wake fly')
    out.push('The fly should draw a wake all the way; where it dives, hold the rod higher.');
  else if (served.setup.method === 'drift or float') out.push(served.setup.rig.float ? FLOATED : DRIFTED);
  else if (band.bottomM > NEAR_BED * lead.lie.depthM)
    out.push(
      r.fishing && r.fishing.touches > 0
        ? `It touches the bed ${r.fishing.touches === 1 ? 'once' : `${r.fishing.touches} times`} here: now and then is right, at every cast lighten.`
        : 'A touch of the bed now and then shows that the depth is right; at every cast, lighten.',
    );
  else out.push('It should not touch the bed; a splash behind it means that it skates: sink it a step.');
  let i = 0;
  while (i < r.rows && flyAt(r, i).depthM < s.visibilityM) i++;
  if (i < r.rows && i > 0 && s.visibilityM < lead.lie.depthM)
    out.push(`A pale fly would go out of sight after ${Math.round(i / HZ)} s.`);
  return out;
}
const NEAR_BED = 0.8;
const FLOATED =
  'The float should stand and go as fast as the foam beside it; where it dips at every drift, set the fly shallower.';
const DRIFTED = 'It should come down as fast as the foam beside it; once the line draws tight the drift is over.';
