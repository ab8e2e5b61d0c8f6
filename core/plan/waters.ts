import type { Goal } from '../answer/goals';
import { type ColourAt, type ColourVerdict, type Judged, judgeColour, VERDICTS } from '../colour/verdict';
import type { Trend } from '../gauge/points';
import { MIGRANTS, type Quarry } from '../lies/suitability';
import { type Breach, stopsAtC } from '../rules';
import { DAY_MS } from '../units';
import type { Shoulder } from '../cast/means';
import type { Wind } from '../water/reading';
import { ENOUGH_FISH } from './season';
import { COLD_C, FREE_C, WARM_WATER_C } from '../water/warmth';

/** What others said of a water. */
interface Hearsay {
  readonly at: number;
  readonly source: string;
  readonly text: string;
  readonly fished: boolean;
}

/** What is known of a water on a day. */
export interface WaterDay {
  readonly id: string;
  readonly name: string;
  readonly quarry: Quarry;
  /** Other fish in it. */
  readonly also?: readonly Quarry[];
  /** Minutes of road, one way; null: not said. */
  readonly driveMin: number | null;
  /** Why it is closed, or null. */
  readonly closed: Breach | null;
  readonly colour: ColourAt | null;
  /** Why there is no forecast of it, where there is none. */
  readonly noColour: NoColour | null;
  /** Its runs into which a spring comes: clear water where the rest is dirty. */
  readonly springs: readonly string[];
  readonly trend: Trend | null;
  /** Water at its warmest while one fishes, °C. */
  readonly warmestC: number | null;
  readonly closesAtC: number | null;
  /** Wind on its runs, what a wood shelters, and the shoulder that it asks for; null: either. */
  readonly winds: readonly { readonly wind: Wind; readonly sheltered: boolean; readonly shoulder: Shoulder | null }[];
  /** Days since the last freshet; null: not in what the gauge tells. */
  readonly freshetDays: number | null;
  /** Days that it was fished since then, by oneself and by hearsay. */
  readonly fishedSince: number;
  readonly reports: readonly Hearsay[];
  /** One's own log there: casts that were counted, takes, longest fish, m. */
  readonly own: {
    readonly casts: number;
    readonly takes: number;
    readonly longestM: number | null;
    /** Fish of one’s own by the month of the year, January first; empty: none. */
    readonly byMonth: readonly number[];
  };
}

/** Why there is no forecast of a colour. @example { code: 'failed', of: 'gauge', why: 'there is no connection' } */
export type NoColour =
  | { readonly code: 'no gauge' | 'two days only' }
  | { readonly code: 'failed'; readonly of: 'gauge' | 'forecast'; readonly why: string };

type Tone = 'for' | 'against' | 'neutral';
/** What speaks for a water on a day, against it, or beside. */
export type Reason = { readonly tone: Tone } & Said;

type Said =
  | { readonly code: 'other fish'; readonly has: Quarry; readonly wanted: Quarry }
  | { readonly code: 'rising' | 'falling' | 'little wind' | 'road not said' }
  | {
      readonly code: 'too warm' | 'warm' | 'cold' | 'cool' | 'good temperature';
      readonly tempC: number;
      readonly travellers: boolean;
    }
  | {
      readonly code: 'wind';
      readonly force: 'fresh' | 'strong';
      /** On so many of the runs, and so many others out of it. */
      readonly runs: number;
      readonly of: number;
    }
  | { readonly code: 'shoulder'; readonly shoulder: Shoulder; readonly runs: number }
  | { readonly code: 'freshet'; readonly days: number; readonly fishedDays: number; readonly newFish: boolean }
  | { readonly code: 'fished lately'; readonly days: number }
  | {
      readonly code: 'hearsay';
      readonly source: string;
      readonly text: string;
      readonly days: number;
      readonly old: boolean;
    }
  | { readonly code: 'largest'; readonly lengthM: number | null; readonly travellers: boolean }
  | { readonly code: 'takes'; readonly takes: number; readonly casts: number }
  /** Of one's own fish here so many came about this time of the year. */
  | { readonly code: 'season'; readonly now: number; readonly of: number }
  | { readonly code: 'seldom take'; readonly quarry: Quarry }
  | { readonly code: 'road'; readonly minutes: number };

/** What decides between two waters, in this order. */
const DECIDES = ['season or fish', 'colour', 'against', 'goal', 'road'] as const;
export type DecidedBy = (typeof DECIDES)[number];
const decidedAt = (a: readonly number[], b: readonly number[]): number =>
  a.findIndex((k, i) => Math.abs(k - b[i]!) > 1e-9);

export interface WaterChoice {
  readonly id: string;
  readonly name: string;
  readonly verdict: ColourVerdict | 'closed' | 'not known';
  readonly closed: Breach | null;
  /** How its colour is judged; null: nothing is known of it. */
  readonly judged: Judged | null;
  readonly noColour: NoColour | null;
  readonly reasons: readonly Reason[];
  /** The water before it in the order, and what decided between the two; not said: it is the first, or nothing did. */
  readonly behind?: { readonly of: string; readonly by: DecidedBy };
  /** Where to go if this one is too dirty; not said: this one is hardly in doubt, or there is no such place. */
  readonly instead?: {
    /** Its own run below a spring; null: it has none. */
    readonly run: string | null;
    /** The water that is likeliest to be clear enough to fish as usual, and how likely, 0 to 1; null: none is surer. */
    readonly water: { readonly name: string; readonly chance: number } | null;
  };
}

/** Whose colour is less sure than this wants a second plan; and one that is surer by so much (assumed). */
const [SURE, SURER] = [0.9, 0.15];
const insteadOf = (of: WaterChoice, all: readonly WaterChoice[], run: string | null): WaterChoice['instead'] => {
  const plain = of.judged?.plain ?? 1;
  if (of.closed || plain >= SURE) return undefined;
  const [best] = all
    .filter((c) => c.id !== of.id && !c.closed && (c.judged?.plain ?? 0) >= plain + SURER)
    .sort((a, b) => b.judged!.plain - a.judged!.plain);
  const water = best ? { name: best.name, chance: best.judged!.plain } : null;
  return run === null && water === null ? undefined : { run, water };
};

/** Hearsay older than this tells of another river, days (common practice, no source). */
const STALE_DAYS = 5;
/** After so many dry days everything in a run has seen a fly; after so few nothing has (common practice, no source). */
const [FRESH_DAYS, RESTED] = [5, 2];
/** So many casts make a rate worth a word. */
const ENOUGH_CASTS = 100;
/** Three months that hold so much more than their quarter of the year are a season (assumed). */
const SEASON_SHARE = 0.4;
const FAR_MIN = 75;

/** For whom waters are put in order, and what for. */
export interface ChoiceAsk {
  readonly goal: Goal;
  /** Only this fish is wanted; null: any. */
  readonly quarry: Quarry | null;
  /** Over which shoulders the angler casts. */
  readonly shoulders: readonly Shoulder[];
  /** ms UTC */
  readonly now: number;
}

/** What speaks for and against a water on a day. */
function reasonsOf(w: WaterDay, { goal, quarry, shoulders, now }: ChoiceAsk): Reason[] {
  const out: Reason[] = [];
  const say = (tone: Tone, said: Said) => out.push({ tone, ...said });
  const travellers = MIGRANTS.has(w.quarry);
  if (!suits(w, quarry)) say('against', { code: 'other fish', has: w.quarry, wanted: quarry! });
  if (w.trend === 'rising') say('against', { code: 'rising' });
  else if (w.trend === 'falling') say('for', { code: 'falling' });
  if (w.warmestC !== null) {
    const of = { tempC: w.warmestC, travellers };
    if (w.warmestC >= stopsAtC(w.closesAtC)) say('against', { code: 'too warm', ...of });
    else if (w.warmestC >= WARM_WATER_C) say('against', { code: 'warm', ...of });
    else if (w.warmestC < COLD_C) say('neutral', { code: 'cold', ...of });
    else if (w.warmestC < FREE_C) say('neutral', { code: 'cool', ...of });
    else say('for', { code: 'good temperature', ...of });
  }
  const strong = w.winds.filter((r) => r.wind.force !== 'light');
  if (strong.length > 0)
    say(strong.length === w.winds.length ? 'against' : 'neutral', {
      code: 'wind',
      force: strong.some((r) => r.wind.force === 'strong') ? 'strong' : 'fresh',
      ...{ runs: strong.length, of: w.winds.length },
    });
  else if (w.winds.length > 0) say('for', { code: 'little wind' });
  const awkward = strong.filter((r) => r.shoulder !== null && !shoulders.includes(r.shoulder));
  if (awkward.length > 0) say('against', { code: 'shoulder', shoulder: awkward[0]!.shoulder!, runs: awkward.length });
  if (w.freshetDays !== null) {
    const fresh = w.freshetDays <= FRESH_DAYS && w.fishedSince <= RESTED;
    // A fresh rise brings fish that run, and lets those that stay forget.
    const of = { days: w.freshetDays, fishedDays: w.fishedSince, newFish: fresh && travellers };
    say(fresh ? 'for' : w.fishedSince > RESTED ? 'against' : 'neutral', { code: 'freshet', ...of });
  } else if (w.fishedSince > RESTED) say('against', { code: 'fished lately', days: w.fishedSince });
  for (const { at, source, text } of w.reports.slice(0, 2)) {
    const days = Math.max(0, Math.floor((now - at) / DAY_MS));
    say('neutral', { code: 'hearsay', source, text, days, old: days > STALE_DAYS });
  }
  const { casts, takes, longestM, byMonth } = w.own;
  const month = new Date(now).getMonth();
  const landed = byMonth.reduce((sum, n) => sum + n, 0);
  const about = [month + 11, month, month + 1].reduce((sum, m) => sum + (byMonth[m % 12] ?? 0), 0);
  if (landed >= ENOUGH_FISH)
    say(about >= SEASON_SHARE * landed ? 'for' : 'neutral', { code: 'season', now: about, of: landed });
  if (goal === 'one big fish')
    say(longestM !== null && longestM >= 0.5 ? 'for' : 'neutral', { code: 'largest', lengthM: longestM, travellers });
  else if (casts >= ENOUGH_CASTS) say('neutral', { code: 'takes', takes, casts });
  if (goal === 'action for a beginner' && travellers) say('against', { code: 'seldom take', quarry: w.quarry });
  if (w.driveMin === null) say('neutral', { code: 'road not said' });
  else say(w.driveMin >= FAR_MIN ? 'against' : 'neutral', { code: 'road', minutes: w.driveMin });
  return out;
}

const suits = (w: WaterDay, quarry: Quarry | null): boolean =>
  quarry === null || w.quarry === quarry || (w.also ?? []).includes(quarry);

/** How a goal puts waters whose colour is judged alike in order: by takes a cast, by size, or not at all. */
function aim(w: WaterDay, goal: Goal): number {
  const { casts, takes, longestM } = w.own;
  if (goal === 'one big fish') return longestM ?? (MIGRANTS.has(w.quarry) ? 0.5 : 0);
  if (goal === 'any') return 0;
  // Few casts say little: drawn towards one take in two hundred.
  return (takes + 1) / (casts + 200);
}

const rankOf = (c: WaterChoice): number =>
  c.verdict === 'closed' ? 4 : c.verdict === 'not known' ? 1.5 : VERDICTS.indexOf(c.verdict);

/**
 * Waters side by side, the likeliest day first: open before closed, with the fish that is wanted, by the colour to expect, by what speaks against each, by the
 * goal of the day, by the road. Reasons are given, no number.
 */
export function chooseWaters(waters: readonly WaterDay[], ask: ChoiceAsk): WaterChoice[] {
  const sorted = waters
    .map((w) => {
      const judged = w.colour && judgeColour(w.colour, w.driveMin);
      const reasons = reasonsOf(w, ask);
      const choice: WaterChoice = {
        ...{ id: w.id, name: w.name, closed: w.closed, judged, noColour: w.noColour, reasons },
        verdict: w.closed ? 'closed' : (judged?.verdict ?? 'not known'),
      };
      const against = reasons.filter((r) => r.tone === 'against').length;
      return {
        choice,
        run: w.springs[0] ?? null,
        key: [
          w.closed ? 2 : suits(w, ask.quarry) ? 0 : 1,
          rankOf(choice),
          against,
          -aim(w, ask.goal),
          w.driveMin ?? 60,
        ],
      };
    })
    .sort((a, b) => {
      const at = decidedAt(a.key, b.key);
      return at < 0 ? 0 : a.key[at]! - b.key[at]!;
    });
  const all = sorted.map((s) => s.choice);
  return sorted.map(({ choice, key, run }, i) => {
    const before = sorted[i - 1];
    const at = before ? decidedAt(before.key, key) : -1;
    const instead = insteadOf(choice, all, run);
    return {
      ...choice,
      ...(at < 0 ? null : { behind: { of: before!.choice.name, by: DECIDES[at]! } }),
      ...(instead && { instead }),
    };
  });
}
