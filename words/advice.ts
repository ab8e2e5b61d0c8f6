import { type CastPlan, mendEffect, type Way } from '@/core/cast';
import type { FishLie } from '@/core/lies';
import { placeName, type Rig } from '@/core/tackle';
import type { FishingEnd, SwingResult } from '@/core/swing';
import { flyAt, rowOf } from '@/core/swing/series';
import type { Verdict } from '@/core/advice';
import { format, type UnitSystem } from './units';

const HAND_M = 0.1;

/** A distance as an angler says it. */
function roughly(m: number, system: UnitSystem): string {
  if (m < 0.06) return 'a finger';
  if (m < 1.6 * HAND_M) return 'a hand';
  return format('depth', m, system);
}

/** Comes by without fishing, and why. */
const IDLE: Record<NonNullable<Verdict['idle']>, string> = {
  landing: 'comes by before the line is tight: it is not under control there',
  bed: 'comes by only after it has dragged on the bed',
  line: 'comes by with its line on the bed',
  over: 'comes by only once the swing is over',
};

/** Nobody sees from the bank by how much less than this a fly misses a lie, m. */
const LEAST_TOLD_M = 0.5;
/** Where the fly is when it comes nearest, seen from the lie. */
function awayWords({ pass, lie }: Verdict, system: UnitSystem, it = 'it'): string {
  const along = Math.abs(pass.alongM) - lie.lengthM / 2;
  const across = Math.abs(pass.acrossM) - lie.widthM / 2;
  const by = (m: number) => (m < LEAST_TOLD_M ? 'just' : format('length', m, system));
  return along > across
    ? `${by(along)} ${pass.alongM < 0 ? 'above' : 'below'} ${it}`
    : `${by(across)} ${pass.acrossM < 0 ? 'short of' : 'beyond'} ${it}`;
}

/** Less deep than this a fly rides on the surface; and just under it, m. */
const ON_TOP_M = 0.005;
const UNDER_M = 0.03;
const depthWords = (depthM: number, system: UnitSystem): string =>
  depthM < ON_TOP_M
    ? 'on the surface'
    : depthM < UNDER_M
      ? 'just under the surface'
      : `at ${format('depth', depthM, system)}`;

/** How one passes the lie, without its number, e.g. "at 0.80 m, a hand too high; slow enough". */
export function passWords(v: Verdict, system: UnitSystem): string {
  if (v.redd) return 'over the redd';
  if (v.fit === 'not reached') return `passes ${awayWords(v, system)}`;
  if (v.fit === 'not fishing') return IDLE[v.idle ?? 'over'];
  if (v.wood) return `through the ${v.wood} on the way`;
  const depth = {
    right: 'at the right depth',
    'too shallow': `${roughly(v.byM, system)} too high`,
    'too deep': `${roughly(v.byM, system)} too deep`,
    'on the bed': 'on the bed there',
  }[v.fit];
  const near = v.pass.missM >= 0.5 ? `, ${format('length', v.pass.missM, system)} from its middle` : '';
  const speed = v.tooFast ? `too fast across (${format('speed', v.pass.crossSpeedMps, system)})` : 'slow enough';
  const lacks = v.slight ? '; a little off in all, so not well shown' : '';
  // On the surface is the right depth of what wakes.
  const at = v.fit === 'right' && v.pass.depthM < ON_TOP_M ? '' : `, ${depth}`;
  return `${depthWords(v.pass.depthM, system)}${at}; ${speed}${near}${lacks}`;
}

/** One verdict in a sentence, e.g. "Passes lie 1 at 0.80 m, a hand too high; slow enough." Of several flies it says which. */
export function verdictSentence(v: Verdict, system: UnitSystem, rig?: Pick<Rig, 'droppers'>): string {
  const n = v.lie.rank;
  const who = rig && rig.droppers.length > 0 ? `The ${placeName(rig, v.place)} ` : '';
  const [does, passes, hangs] = who ? ['does', 'passes', 'hangs'] : ['Does', 'Passes', 'Hangs'];
  if (v.redd) return `${who || 'The fly '}swings over the redd on the cast at lie ${n}: leave that alone.`;
  if (v.fit === 'not reached') return `${who}${does} not reach lie ${n}: ${passWords(v, system)}.`;
  if (v.fit === 'not fishing') return `${who}${does} not fish lie ${n}: it ${passWords(v, system)}.`;
  return v.wood
    ? `${who}${hangs} up before lie ${n}: ${passWords(v, system)}.`
    : `${who}${passes} lie ${n} ${passWords(v, system)}.`;
}

/** Of the first cast of a run, before it comes to a lie. @example openingSentence(v, 'metric') // 'Begins the run: passes 12 m above lie 1.' */
export const openingSentence = (v: Verdict, system: UnitSystem): string =>
  `Begins the run: passes ${awayWords(v, system, `lie ${v.lie.rank}`)}.`;

/** From when it fishes, as one counts it: a swing comes tight; what drifts, or is drawn back with the current, never does. */
function beginWords(tS: number, way: Way): string {
  const count = `at the count of ${Math.round(tS)}`;
  if (way === 'dead drift' || way === 'tight drift') return `Drifts from ${Math.round(tS)} s on`;
  if (NEVER_TIGHT.includes(way)) return `Strip from ${count.slice(3)} on`;
  return tS < 1.5 ? 'Comes tight at once' : `Comes tight ${count}`;
}

/** Ways in which the line is never tight to the current. */
const NEVER_TIGHT: readonly Way[] = ['dead drift', 'tight drift', 'upstream strip', 'dip and draw'];

const ENDS: Record<FishingEnd, string> = {
  bed: 'then it drags on the bed: lift it off before',
  slow: 'then it hangs: pause, strip in',
  hang: 'then it hangs: pause, strip in',
  end: 'to the end of the retrieve',
};
/** A swing that has no end is in slack water. */
const CREEPS = 'then it barely moves: strip in';
/** Of four in five swings within the doubt of the readings: between which depths they pass; nothing of a fly that rides on the surface. */
export const betweenWords = (
  { low, high }: { readonly low: number; readonly high: number },
  system: UnitSystem,
): string => {
  const [least, most] = [low, high].map((m) => format('depth', m, system));
  if (high < UNDER_M) return `Four in five pass ${depthWords(high, system)}`;
  return least === most ? `Four in five pass at about ${most}` : `Four in five pass between ${least} and ${most}`;
};

/** The whole swing in two or three sentences; a reader without the picture gets all of it. @param way how the fly is shown; not said: a
 * swing */
export function swingSentence(r: SwingResult, system: UnitSystem, way: Way = 'swing'): string {
  const { fishing: f } = r;
  if (!f) {
    if (r.dragsS !== null)
      return `Lies on the bed from ${Math.round(r.dragsS)} s on, before it is under control: nothing of it fishes. Lighten it, or give it less slack.`;
    return NEVER_TIGHT.includes(way) ? 'Nothing of it fishes.' : 'Never comes tight: nothing of it fishes.';
  }
  const s = (t: number) => `${Math.round(t)} s`;
  const touches = f.touches - Number(f.ends === 'bed');
  return [
    `${beginWords(f.fromS, way)}.`,
    `Fishes from ${Math.round(f.fromS)} to ${s(f.toS)}; ${way === 'swing' && f.ends === 'end' ? CREEPS : ENDS[f.ends]}.`,
    `${f.maxDepthM < ON_TOP_M ? 'Stays on the surface' : `Deepest ${format('depth', f.maxDepthM, system)} at ${s(f.maxDepthS)}`}; ${format('speed', f.meanCrossSpeedMps, system)} across, ${format('speed', f.maxCrossSpeedMps, system)} at the most.`,
    ...(r.lineDragsS === null ? [] : [`Its line lies on the bed from ${s(r.lineDragsS)} on.`]),
    ...(touches === 1 ? ['Touches the bed once.'] : touches > 1 ? [`Touches the bed ${touches} times.`] : []),
  ].join(' ');
}

/** Where a fly that has sunk begins to rise: fish take it as it starts up before them, not after it has been up. */
export function riseSentence({ fishing, ...r }: SwingResult, lie: FishLie, system: UnitSystem): string {
  if (!fishing) return 'It never begins to rise under control.';
  const { xM, yM } = flyAt(r, rowOf(r, fishing.maxDepthS));
  const awayM = Math.hypot(xM - lie.xM, yM - lie.yM);
  const where =
    Math.abs(xM - lie.xM) <= lie.lengthM / 2 && Math.abs(yM - lie.yM) <= lie.widthM / 2
      ? `at lie ${lie.rank}`
      : `${format('length', awayM, system)} from lie ${lie.rank}`;
  return `Begins to rise after ${Math.round(fishing.maxDepthS)} s, ${where}.`;
}

/** A move of less than this is not told, m. */
const TOLD_M = 0.1;

/** What a late mend did to the fly, or an empty sentence where there is none. The trade's schools differ (mend for depth; set
 * once): this is what the swing itself says. */
export function mendSentence(r: SwingResult, p: CastPlan, system: UnitSystem): string {
  if (!p.mendAtS || p.mendM === 0) return '';
  const did = mendEffect(r, p.mendAtS, p.mendBy ?? 'lift', p.yM);
  if (!did) return 'The swing is over before the mend is made.';
  const parts = [
    did.draggedM >= TOLD_M
      ? `drags the fly ${format('depth', did.draggedM, system)} towards you`
      : 'leaves the fly where it is',
    ...(did.roseM >= TOLD_M ? [`lifts it ${format('depth', did.roseM, system)}`] : []),
    ...(did.slackUntilS === null ? [] : [`leaves it slack until ${Math.round(did.slackUntilS)} s`]),
  ];
  return `The mend ${parts.join(', ')}.`;
}
