import type { Goal } from '../answer/goals';
import { type ColourAt, type ColourVerdict, judgeColour, VERDICTS } from '../colour/verdict';
import type { Trend } from '../gauge/points';
import { MIGRANTS, type Quarry } from '../lies/suitability';
import { stopsAtC } from '../rules';
import { capital, DAY_MS, format, several, type UnitSystem } from '../units';
import type { Shoulder } from '../cast/means';
import type { Wind } from '../water/reading';
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
  readonly closed: string | null;
  readonly colour: ColourAt | null;
  /** Why there is no word on its colour, where there is none. */
  readonly noColour: string | null;
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
  readonly own: { readonly casts: number; readonly takes: number; readonly longestM: number | null };
}

type Tone = 'for' | 'against' | 'neutral';
interface Reason {
  readonly tone: Tone;
  readonly says: string;
}

export interface WaterChoice {
  readonly id: string;
  readonly name: string;
  readonly verdict: ColourVerdict | 'closed' | 'not known';
  /** Of its colour, in words. */
  readonly words: string;
  readonly reasons: readonly Reason[];
}

/** Hearsay older than this tells of another river, days (common practice, no source). */
const STALE_DAYS = 5;
/** After so many dry days everything in a run has seen a fly; after so few nothing has (common practice, no source). */
const [FRESH_DAYS, RESTED] = [5, 2];
/** So many casts make a rate worth a word. */
const ENOUGH_CASTS = 100;
const FAR_MIN = 75;

/** For whom waters are put in order, and what for. */
export interface ChoiceAsk {
  readonly goal: Goal;
  /** Only this fish is wanted; null: any. */
  readonly quarry: Quarry | null;
  /** Over which shoulders the angler casts. */
  readonly shoulders: readonly Shoulder[];
  readonly units: UnitSystem;
  /** ms UTC */
  readonly now: number;
}

/** What speaks for and against a water on a day. */
function reasonsOf(w: WaterDay, { goal, quarry, shoulders, units, now }: ChoiceAsk): Reason[] {
  const out: Reason[] = [];
  const say = (tone: Tone, says: string) => out.push({ tone, says });
  if (!suits(w, quarry)) say('against', `It is fished for ${w.quarry}, not for ${quarry}.`);
  if (w.trend === 'rising') say('against', 'Rising now: it may still colour, and the water may come under you.');
  else if (w.trend === 'falling') say('for', 'Falling.');
  if (w.warmestC !== null) {
    const t = `Water up to ${format('temperature', w.warmestC, units)}`;
    if (w.warmestC >= stopsAtC(w.closesAtC)) say('against', `${t}: too warm to play fish at the warmest hours.`);
    else if (w.warmestC >= WARM_WATER_C) say('against', `${t}: fish the cool hours only.`);
    else if (w.warmestC < COLD_C) say('neutral', `${t}: cold, fish move little; slow and deep, the warmest hours.`);
    else if (w.warmestC < FREE_C) say('neutral', `${t}: on the cold side; slowly, in the warmest hours.`);
    else say('for', `${t}: fish ${MIGRANTS.has(w.quarry) ? 'move to a fly' : 'feed'}.`);
  }
  const strong = w.winds.filter((r) => r.wind.force !== 'light');
  const sheltered = w.winds.length - strong.length;
  if (w.winds.length > 0 && strong.length > 0) {
    const force = strong.some((r) => r.wind.force === 'strong') ? 'Strong' : 'Fresh';
    say(
      strong.length === w.winds.length ? 'against' : 'neutral',
      w.winds.length === 1
        ? `${force} wind on its run.`
        : `${force} wind on ${strong.length} of ${w.winds.length} runs${sheltered > 0 ? `; ${sheltered} out of it` : ''}.`,
    );
  } else if (w.winds.length > 0) say('for', 'Little wind on its runs.');
  const awkward = strong.filter((r) => r.shoulder !== null && !shoulders.includes(r.shoulder));
  if (awkward.length > 0)
    say(
      'against',
      `On ${several(awkward.length, 'run')} it asks for the ${awkward[0]!.shoulder} shoulder, over which you do not cast.`,
    );
  if (w.freshetDays !== null) {
    const since = `${several(w.freshetDays, 'day')} since the last freshet`;
    const fished =
      w.fishedSince === 0 ? 'nobody known to have fished it since' : `fished on ${several(w.fishedSince, 'day')} since`;
    const fresh = w.freshetDays <= FRESH_DAYS && w.fishedSince <= RESTED;
    // A fresh rise brings fish that run, and lets those that stay forget.
    const runs = fresh && MIGRANTS.has(w.quarry) ? '; new fish may have come up with it' : '';
    say(fresh ? 'for' : w.fishedSince > RESTED ? 'against' : 'neutral', `${since}, ${fished}${runs}.`);
  } else if (w.fishedSince > RESTED) say('against', `Fished on ${several(w.fishedSince, 'day')} lately.`);
  for (const r of w.reports.slice(0, 2)) {
    const days = Math.floor((now - r.at) / DAY_MS);
    const age = days <= 0 ? 'today' : days === 1 ? 'yesterday' : `${days} days ago`;
    say(
      'neutral',
      `${r.source}, ${age}: “${r.text}”${days > STALE_DAYS ? ' (old: the river has changed since)' : ' (hearsay)'}`,
    );
  }
  const { casts, takes, longestM } = w.own;
  const rated = casts >= ENOUGH_CASTS;
  if (goal === 'one big fish')
    say(
      longestM !== null && longestM >= 0.5 ? 'for' : 'neutral',
      longestM === null
        ? MIGRANTS.has(w.quarry)
          ? 'Large fish run here; none of yours is measured yet.'
          : 'None of your fish here is measured yet.'
        : `Your largest here: ${format('small', longestM, units)}.`,
    );
  else if (rated) say('neutral', `Yours here: ${several(takes, 'take')} in ${several(casts, 'cast')}.`);
  if (goal === 'action for a beginner' && MIGRANTS.has(w.quarry))
    say('against', `${capital(w.quarry)} take seldom: long hours for a beginner.`);
  if (w.driveMin !== null)
    say(w.driveMin >= FAR_MIN ? 'against' : 'neutral', `${w.driveMin} minutes of road, one way.`);
  else say('neutral', 'How long the road is was not said.');
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
  return waters
    .map((w) => {
      const judged = w.colour && judgeColour(w.colour, w.driveMin);
      const reasons = reasonsOf(w, ask);
      const choice: WaterChoice = {
        ...{ id: w.id, name: w.name, reasons },
        verdict: w.closed ? 'closed' : (judged?.verdict ?? 'not known'),
        words: w.closed ?? judged?.words ?? w.noColour ?? 'Nothing is known of its colour.',
      };
      const against = reasons.filter((r) => r.tone === 'against').length;
      return {
        choice,
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
      const at = a.key.findIndex((k, i) => Math.abs(k - b.key[i]!) > 1e-9);
      return at < 0 ? 0 : a.key[at]! - b.key[at]!;
    })
    .map(({ choice }) => choice);
}
