import type { SwingResult } from '../swing';
import { format, type UnitSystem } from '../units';
import type { Change } from './changes';
import { LEVERS } from './levers';
import type { Trial } from './types';
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
  else if (r.dragsS !== null) parts.push(`Drags along the bed from ${Math.round(r.dragsS)} s on: lift it off there.`);
  return parts.join(' ');
}

/** What to do, one lever after the other, e.g. "Cast 10° further upstream, mend 1.00 m upstream". */
export function changeWords(c: Change, from: Trial, system: UnitSystem): string {
  const words = c.levers.map((l) => LEVERS[l].words(c, from, system)).join(', ');
  return words.charAt(0).toUpperCase() + words.slice(1);
}
