import type { LiePart } from '../lies';
import type { SwingResult } from '../swing';
import { format, type UnitSystem } from '../units';
import type { Change, Lever } from './changes';
import type { Shift } from './compare';
import type { Stop } from './order';
import { handsOf } from './presentation';
import type { Trial } from './rank';
import type { Verdict } from './verdict';

const HAND_M = 0.1;

/** A distance as an angler says it. */
function roughly(m: number, system: UnitSystem): string {
  if (m < 0.06) return 'a finger';
  if (m < 1.6 * HAND_M) return 'a hand';
  return format('depth', m, system);
}

/** How one passes the lie, without its number, e.g. "0.80 m, a hand too high; slow enough". */
export function passWords(v: Verdict, system: UnitSystem): string {
  if (v.fit === 'not reached') return `passes ${format('length', v.pass.missM, system)} away`;
  const depth = {
    right: 'at the right depth',
    'too shallow': `${roughly(v.byM, system)} too high`,
    'too deep': `${roughly(v.byM, system)} too deep`,
    'on the bed': 'on the bed there',
  }[v.fit];
  const speed = v.tooFast ? `too fast across (${format('speed', v.pass.crossSpeedMps, system)})` : 'slow enough';
  return `${format('depth', v.pass.depthM, system)}, ${depth}; ${speed}`;
}

/** One verdict in a sentence, e.g. "Passes 1 at 0.80 m, a hand too high; slow enough." */
export function verdictSentence(v: Verdict, system: UnitSystem): string {
  const n = v.lie.rank;
  return v.fit === 'not reached'
    ? `Does not reach ${n}: ${passWords(v, system)}.`
    : `Passes ${n} at ${passWords(v, system)}.`;
}

/** The whole swing in two or three sentences; a reader without the picture gets all of it. */
export function swingSentence(r: SwingResult, system: UnitSystem): string {
  const parts: string[] = [];
  const tight = r.tightAtFlyS ?? r.tightAtRodS;
  if (tight !== null) parts.push(`Comes tight at the count of ${Math.max(1, Math.round(tight))}.`);
  parts.push(`Deepest ${format('depth', r.maxDepthM, system)} after ${Math.round(r.maxDepthS)} s.`);
  if (r.dangleS !== null)
    parts.push(`On the dangle after ${Math.round(r.dangleS)} s, at ${format('depth', r.dangleDepthM, system)}.`);
  if (r.firstTouchS !== null) parts.push(`Touches the bed at ${Math.round(r.firstTouchS)} s.`);
  if (r.groundedS !== null)
    parts.push(`Comes to rest on the bed after ${Math.round(r.groundedS)} s: lift it off before.`);
  return parts.join(' ');
}

/** What to do, one lever after the other, e.g. "Cast 10° further upstream, mend 1.00 m upstream". */
export function changeWords(c: Change, from: Trial, system: UnitSystem): string {
  const words = c.levers.map((l) => leverWords(l, c, from, system)).join(', ');
  return words.charAt(0).toUpperCase() + words.slice(1);
}

function leverWords(lever: Lever, to: Trial, from: Trial, system: UnitSystem): string {
  const length = (m: number) => format('line', Math.abs(m), system);
  const hands = handsOf(to.plan);
  const { plan, rig } = to;
  switch (lever) {
    case 'angle': {
      const by = plan.angleDeg - from.plan.angleDeg;
      return `cast ${Math.abs(by)}° further ${by > 0 ? 'upstream' : 'downstream'}`;
    }
    case 'rod':
      if (plan.tipUnder !== from.plan.tipUnder)
        return plan.tipUnder ? 'hold the rod tip under water' : 'lift the rod tip out of the water';
      return { still: 'hold the rod still', follow: 'follow the fly with the rod', lead: 'lead the fly with the rod' }[
        plan.rod
      ];
    case 'count':
      return `begin at the count of ${Math.round(hands.countS)}`;
    case 'mend':
      return plan.mendM === 0
        ? 'leave the mend out'
        : `mend ${length(plan.mendM)} ${plan.mendM > 0 ? 'upstream' : 'downstream'}`;
    case 'feed':
      return hands.feedM === 0 ? 'pay no line in' : `pay ${length(hands.feedM)} of line into the drift`;
    case 'walk':
      return hands.walkM === 0 ? 'stand while it sinks' : `step down ${length(hands.walkM)} while it sinks`;
    case 'length': {
      const by = plan.outM - from.plan.outM;
      return `cast ${length(by)} ${by > 0 ? 'longer' : 'shorter'}`;
    }
    case 'stand': {
      const down = plan.xM - from.plan.xM;
      const out = plan.yM - from.plan.yM;
      return down !== 0
        ? `stand ${length(down)} further ${down > 0 ? 'down' : 'up'}`
        : `stand ${length(out)} ${out > 0 ? 'further out' : 'nearer your bank'}`;
    }
    case 'shot':
      return rig.shot ? `pinch on ${(1000 * rig.shot.massKg).toFixed(1)} g of shot` : 'take the shot off';
    case 'tip':
      return rig.tip ? `loop on ${rig.tip.name}` : 'take the tip off';
    case 'fly':
      return `tie on ${rig.fly.name}`;
    case 'head':
      return `change to ${rig.head.name}`;
  }
}

const PART_WORDS: Record<LiePart, readonly [string, string]> = {
  depth: ['the depth suits less', 'the depth suits better'],
  speed: ['the current suits less', 'the current suits better'],
  seam: ['there is less fast water next door', 'there is more fast water next door'],
  cover: ['there is less cover', 'there is more cover'],
  edge: ['the bank no longer draws them', 'the bank draws them'],
  light: ['the light lies on it', 'it is darker there'],
  place: ['this part of the run draws them less', 'this part of the run draws them more'],
  temperature: ['the temperature suits less', 'the temperature suits better'],
};

/** What became of a lie from one day to the other, and why. */
export function shiftWords(s: Shift, system: UnitSystem): string {
  const length = (m: number) => format('length', Math.abs(m), system);
  const [d0, d1] = s.depthM.map((d) => format('depth', d, system));
  const [u0, u1] = s.speedMps.map((u) => format('speed', u, system));
  const why = `${PART_WORDS[s.part][s.byPart >= 0 ? 1 : 0]} (${d0} to ${d1}, ${u0} to ${u1})`;
  if (!s.before) return `New at ${length(s.after!.x)} down: ${why}.`;
  if (!s.after) return `${s.before.rank} is gone: ${why}.`;
  const dx = s.after.x - s.before.x;
  const dy = s.after.y - s.before.y;
  const moves = [
    ...(Math.abs(dx) >= 1 ? [`${length(dx)} ${dx > 0 ? 'down' : 'up'}`] : []),
    ...(Math.abs(dy) >= 1 ? [`${length(dy)} ${dy > 0 ? 'out' : 'in'}`] : []),
  ];
  const now = s.before.rank === s.after.rank ? '' : ` and is ${s.after.rank} now`;
  return `${s.before.rank} ${moves.length > 0 ? `moves ${moves.join(', ')}` : 'stays'}${now}: ${why}.`;
}

/** What hinders, as a warning. */
const HINDERED: Record<NonNullable<Stop['hindered']>, string> = {
  'trees behind': 'trees behind: roll or sustained-anchor casts with a short head',
  'bushes behind': 'bushes behind: a high back cast, or roll it',
  'wood in front': 'wood in front: no cast from here, step past it first',
};

/** One stop of the work in a sentence. */
export function stopWords(s: Stop, first: boolean, system: UnitSystem): string {
  const length = (m: number) => format('length', Math.abs(m), system);
  const go = first
    ? `Begin ${length(s.xM)} down`
    : Math.abs(s.moveM) < 0.75
      ? 'From the same place'
      : `${length(s.moveM)} ${s.moveM > 0 ? 'further down' : 'further up'}`;
  const stand = s.depthM > 0.05 ? `, standing ${format('depth', s.depthM, system)} deep` : ', from the bank';
  const shoulder = s.shoulder === 'either' ? '' : `; the wind asks for the ${s.shoulder} shoulder`;
  return `${go}${stand}: lie ${s.lie.rank}${s.hindered ? `; ${HINDERED[s.hindered]}` : ''}${shoulder}.`;
}
