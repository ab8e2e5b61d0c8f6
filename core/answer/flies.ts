import { type Look, seenFrom } from '../sight';
import {
  fliesLeft,
  FLY_FAMILIES,
  flyBody,
  type FlyColour,
  type FlyItem,
  flySinkRate,
  isWetFly,
  motionOfFly,
  profileOf,
} from '../tackle';
import { notAllowed } from '../rules';
import { type Method, METHODS } from './methods';
import type { Schools } from './schools';
import type { Situation } from './situation';

/** One reason for or against a fly: a factor, 1 says nothing. */
export interface FlyFactor {
  readonly of: 'method' | 'cue' | 'size' | 'colour' | 'sight' | 'bed';
  readonly by: number;
  readonly code: FlyCode;
}

/** What it is that speaks for a fly or against it. */
export type FlyCode =
  | 'method'
  | 'fry'
  | 'crayfish'
  | 'hatch'
  | 'yellow light'
  | 'party ahead'
  | 'juveniles'
  | 'cold'
  | 'steelhead'
  | 'sea trout'
  | 'size'
  | 'murk'
  | 'tan in yellow light'
  | 'bright day'
  | 'soft light'
  | 'natural'
  | 'contrast'
  | 'sight'
  | 'over stones'
  | 'point up';

export interface JudgedFly {
  readonly fly: FlyItem;
  /** 0 to about 1.5; the product of its factors. */
  readonly merit: number;
  readonly factors: readonly FlyFactor[];
}

const DARK: ReadonlySet<FlyColour> = new Set<FlyColour>(['black', 'black and blue', 'purple', 'brown']);
export const PALE: ReadonlySet<FlyColour> = new Set<FlyColour>(['white', 'yellow', 'pink']);
const NATURAL: ReadonlySet<FlyColour> = new Set<FlyColour>(['olive', 'brown', 'tan', 'white', 'yellow', 'black']);
/** What is not the school's, but no mistake. */
const ELSE = 0.75;

type Coloured = Pick<FlyItem, 'colour'>;

/** Colours of the murk: low and dark the better bet, high and pale the second (common practice, no source). */
const murkColour = ({ colour }: Coloured): number =>
  colour === 'black' || colour === 'black and blue' ? 1 : colour === 'purple' ? 0.95 : PALE.has(colour) ? 0.7 : 0.6;

function lightMatch(s: Situation, { colour }: Coloured): number {
  if (s.reading.sky === 'yellow') return colour === 'tan' ? 1 : ELSE;
  if (s.bright) return PALE.has(colour) || colour === 'orange' || colour === 'tan' ? 1 : ELSE;
  if (s.dusk || s.reading.sky === 'overcast') return DARK.has(colour) ? 1 : ELSE;
  return colour === 'olive' || colour === 'tan' || colour === 'brown' ? 1 : 0.9;
}

/** Dark or pale against the water, whichever stands out; red shows in stained and in clear water and is rarely shown. */
function contrast(s: Situation, { colour }: Coloured): number {
  const stained = s.reading.colour === 'tea';
  if (colour === 'red' && (stained || s.clear)) return 0.97;
  if (s.clear && s.bright) return colour === 'olive' || colour === 'tan' || colour === 'white' ? 1 : 0.85;
  const dim = Number(stained) + Number(s.dusk);
  if (dim > 0) return DARK.has(colour) || colour === 'orange' ? 1 : 0.85 ** dim;
  // Bright or dark to suit the water, then the sky; travelling fish are shown dark flies unless the day is bright.
  const under = s.bright ? DARK : s.migrant || s.reading.sky === 'overcast' ? PALE : null;
  return under?.has(colour) ? 0.85 : DARK.has(colour) || PALE.has(colour) ? 1 : 0.9;
}

type OfColour = (s: Situation, of: Coloured) => number;
const COLOUR_BY: Record<Schools['colour'], OfColour> = {
  'light match': lightMatch,
  naturals: (_s, { colour }) => (NATURAL.has(colour) ? 1 : 0.6),
  contrast,
};

/** Of a fly of several colours each counts by its share. */
function overColours({ colour, also = [] }: FlyItem, by: (of: Coloured) => number): number {
  const others = also.reduce((sum, c) => sum + c.share, 0);
  return also.reduce((sum, c) => sum + c.share * by(c), Math.max(0, 1 - others) * by({ colour })) / Math.max(1, others);
}

const COLOUR_CODE: Record<Schools['colour'], (s: Situation) => FlyCode> = {
  'light match': (s) => (s.reading.sky === 'yellow' ? 'tan in yellow light' : s.bright ? 'bright day' : 'soft light'),
  naturals: () => 'natural',
  contrast: () => 'contrast',
};

/** So much smaller than usual behind a party (something different: common practice, no source; by how much: assumed). */
const AFTER_OTHERS = 0.65;

/** Length that suits, m: streamers by quarry and water, soft hackles by their hooks (common practice, no source). */
function wantedLengthM(s: Situation, method: Method): number {
  if (method === 'soft hackles on the swing') return s.migrant ? 0.025 : 0.016;
  if (method === 'drift or float') return s.migrant ? 0.035 : 0.025;
  if (method === 'wake fly') return 0.045;
  const plain = s.quarry === 'steelhead' ? 0.065 : s.small || s.skinny || (s.migrant && s.dusk) ? 0.04 : 0.05;
  // Behind others they have just seen the usual size.
  const after = s.seen.includes('party ahead') && !s.dirty ? AFTER_OTHERS : 1;
  const murk = s.dirty ? (s.school.murkSize === 'bigger' ? 1.3 : 1) : s.clear && s.low ? 0.55 : 1;
  return Math.min(0.1, plain * murk * after * (s.goal === 'one big fish' ? 1.2 : 1));
}

/** How much a wrong length counts: half or twice as long loses a third; where it is looked at closely more than half. */
const sizePower = ({ clear, low, seen }: Situation): number =>
  clear && low ? 1.2 : seen.includes('party ahead') ? 0.9 : 0.6;
/** Seen from so far all is well; fish come no further to a sunk fly, m. */
const COMES_M = 1;

const sees = (what: Situation['seen'][number]) => (s: Situation) => s.seen.includes(what);
/** What is seen of food, light and company, and what flies it speaks for (handbook of the trade; by how much: choices). */
const CUES: readonly {
  readonly when: (s: Situation) => boolean;
  readonly by: (fly: FlyItem) => number;
  readonly code: FlyCode;
}[] = [
  {
    when: sees('fry'),
    by: (f) =>
      f.family === 'slim baitfish' || f.family === 'micro streamer' || f.family === 'lead-eye baitfish'
        ? 1.5
        : f.family === 'rabbit strip' && PALE.has(f.colour)
          ? 1.25
          : 1,
    code: 'fry',
  },
  {
    when: sees('crayfish'),
    by: (f) => (f.family === 'crayfish' ? 1.8 : f.family === 'woolly bugger' && NATURAL.has(f.colour) ? 1.2 : 1),
    code: 'crayfish',
  },
  {
    when: sees('hatch'),
    by: (f) => (profileOf(f) === 'sparse' ? 1.2 : isWetFly(f) ? 1.1 : 1),
    code: 'hatch',
  },
  {
    // In murk no light makes a colour.
    when: (s) => s.reading.sky === 'yellow' && !s.dirty,
    by: (f) => (f.colour === 'tan' ? 1.25 : 1) * (f.weight === 'buoyant' ? 1.15 : 1),
    code: 'yellow light',
  },
  {
    when: sees('party ahead'),
    by: (f) => (f.lengthM <= SMALL_M || f.colour === 'red' ? 1.2 : 1),
    code: 'party ahead',
  },
  {
    when: sees('juveniles'),
    by: (f) => (f.lengthM >= BIG_M ? 1.2 : 1),
    code: 'juveniles',
  },
  {
    when: (s) => s.cold,
    by: (f) => (f.weight === 'buoyant' ? 0.6 : 1),
    code: 'cold',
  },
  {
    when: (s) => s.quarry === 'steelhead' && !s.dirty,
    by: (f) => (motionOfFly(f) === 'waves' || isWetFly(f) ? 1.25 : 1),
    code: 'steelhead',
  },
  {
    when: (s) => s.quarry === 'sea trout' && !s.dirty,
    by: (f) => (profileOf(f) === 'slim' ? 1.15 : 1),
    code: 'sea trout',
  },
];
/** Smaller than most that is swung; too big for a parr to take whole, m (assumed). */
export const SMALL_M = 0.04;
const BIG_M = 0.06;

/** How well a fly serves a method here: the method's own kinds, food, size, colour by school, how far it is seen. */
export function judgeFly(s: Situation, method: Method, fly: FlyItem, look: Look): JudgedFly {
  const factors: FlyFactor[] = [{ of: 'method', by: METHODS[method].serves(fly), code: 'method' }];
  for (const cue of CUES)
    if (cue.when(s) && cue.by(fly) !== 1) factors.push({ of: 'cue', by: cue.by(fly), code: cue.code });
  const off = Math.abs(Math.log(fly.lengthM / wantedLengthM(s, method)));
  factors.push({ of: 'size', by: Math.exp(-sizePower(s) * off), code: 'size' });
  const colour = overColours(fly, (of) => (s.dirty ? murkColour(of) : COLOUR_BY[s.school.colour](s, of)));
  factors.push({ of: 'colour', by: colour, code: s.dirty ? 'murk' : COLOUR_CODE[s.school.colour](s) });
  const seenM = seenFrom(look, fly, 'beside').outline.likelyM;
  factors.push({ of: 'sight', by: Math.sqrt(Math.min(1, seenM / COMES_M)), code: 'sight' });
  // Over thin stones a fly that rides up, or points up, hangs up less.
  if (s.skinny || s.wood)
    factors.push({
      of: 'bed',
      by:
        (fly.weight === 'buoyant' && s.skinny ? 1.25 : 1) *
        (fly.hookUp ? 1.05 : 1) *
        (fly.weight === 'lead eyes' && s.skinny ? 0.7 : 1),
      code: fly.weight === 'buoyant' && s.skinny ? 'over stones' : 'point up',
    });
  return { fly, factors, merit: factors.reduce((m, f) => m * f.by, 1) };
}

/** Flies of the bag that may be tied on here, by how well they serve a method, the best first; what serves it not at all is
 * left out. */
export function fliesFor(s: Situation, method: Method, look: Look): JudgedFly[] {
  return fliesLeft(s.kit)
    .filter((f) => !notAllowed(s.rules, f))
    .map((f) => judgeFly(s, method, f, look))
    .filter((j) => j.merit > 0)
    .sort((a, b) => b.merit - a.merit);
}

/** Flies whose sink rate and drag are within a fifth or so of each other swim alike. */
const LIKE = { sink: 0.3, drag: 0.5 } as const;

/** Flies that weigh and drag alike are one class to the engine. */
export function classOf(fly: FlyItem): string {
  const body = flyBody(fly);
  const sinks = flySinkRate(body);
  const step = (v: number, by: number) => Math.round(Math.log(Math.max(1e-9, v)) / by);
  return `${Math.sign(sinks)} ${step(Math.abs(sinks), LIKE.sink)} ${step(body.dragAreaM2, LIKE.drag)}`;
}

/** The best fly of each class, the best classes first; the one that sinks least is among them if there is more than one. */
export function classesOf(flies: readonly JudgedFly[], most: number): JudgedFly[] {
  const byClass = new Map<string, JudgedFly>();
  for (const j of flies) if (!byClass.has(classOf(j.fly))) byClass.set(classOf(j.fly), j);
  const [best] = flies;
  const all = [...byClass.values()].filter((j) => j.merit >= LEAST_SHARE * best!.merit);
  const sinks = (j: JudgedFly) => flySinkRate(flyBody(j.fly));
  const lightest = all.reduce<JudgedFly | null>((a, j) => (a && sinks(a) <= sinks(j) ? a : j), null);
  const first = all.slice(0, most);
  return lightest && first.length > 1 && !first.includes(lightest) ? [...first.slice(0, -1), lightest] : first;
}
const LEAST_SHARE = 0.5;

/** Whether two flies differ in what fish see. */
export const differsFrom = (a: FlyItem, b: FlyItem): { readonly profile: boolean; readonly colour: boolean } => ({
  profile: FLY_FAMILIES[a.family].profile !== FLY_FAMILIES[b.family].profile || a.family !== b.family,
  colour: a.colour !== b.colour,
});
