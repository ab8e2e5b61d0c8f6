import { windAsks, type CastPlan, type WindAsks } from '../cast';
import { type Breach, checkRig, coldWading, highWater, type WaterCaution, waterCautions } from '../rules';
import { type Consequence, endSinks, fliesOf, headSinks, isHeavy, isWetFly, itemsOf, type Rig } from '../tackle';
import type { Verdict } from '../advice';
import { sinking } from './fits';
import { amissIn, type Setup } from './rigs';
import { type Method, type SignFact, signFact, signsAgainst } from './methods';
import type { Situation } from './situation';
import { waterAt } from '../water';
import type { Bench } from './setupWorth';
import { firstCasts } from './stands';
import { plainWays } from './ways';

/** What to mind on a run. `stop`: do not fish it. */
export type Caution =
  | WaterCaution
  | { readonly level: 'stop'; readonly code: 'closed'; readonly breach: Breach }
  | { readonly level: 'care'; readonly code: 'wind'; readonly asks: WindAsks }
  | { readonly level: 'care'; readonly code: 'staged'; readonly lies: readonly number[] | 'all' }
  | {
      readonly level: 'care';
      readonly code:
        'impossible water' | 'juveniles' | 'spawning fish' | 'rises' | 'redd' | 'weighted fly' | 'two flies';
    };

const when = <T>(is: boolean, caution: T): T[] => (is ? [caution] : []);

/** What to mind: closed water first, warm water, cold water where one of the casts is waded for, wind, redds, hooks; local rules decide. */
export function cautionsOf(s: Situation, rig: Rig | null, plans: readonly CastPlan[] = []): Caution[] {
  const deepestM = Math.max(0, ...plans.map((p) => waterAt(s.channel, p.xM, p.yM).depthM));
  const asks = windAsks(s.reading.wind, s.run.bank, s.means);
  const staged = s.lies.filter((l) => l.staged).map((l) => l.rank);
  const care = { level: 'care' } as const;
  return [
    ...s.closed.map((breach): Caution => ({ level: 'stop', code: 'closed', breach })),
    ...waterCautions(s.reading.waterTempC, 'steady', s.rules?.closesAtC ?? null),
    ...when(s.channel.impossible === true, { ...care, code: 'impossible water' as const }),
    ...[highWater(s.reading.levelM), coldWading(s.reading.waterTempC, deepestM)].filter((c) => c !== null),
    ...(asks ? [{ ...care, code: 'wind' as const, asks }] : []),
    ...when(s.seen.includes('juveniles'), { ...care, code: 'juveniles' as const }),
    ...when(s.seen.includes('spawning fish'), { ...care, code: 'spawning fish' as const }),
    ...when(s.seen.includes('rises'), { ...care, code: 'rises' as const }),
    ...when(
      s.run.features.some((f) => f.kind === 'redd'),
      { ...care, code: 'redd' as const },
    ),
    ...when(staged.length > 0, {
      ...care,
      code: 'staged' as const,
      lies: staged.length === s.lies.length ? ('all' as const) : staged,
    }),
    ...when(rig !== null && isHeavy(rig), { ...care, code: 'weighted fly' as const }),
    ...when(rig !== null && rig.droppers.length > 0, { ...care, code: 'two flies' as const }),
  ];
}

/** Where so many of the lies are not served as one would begin, it is told. */
const MANY = 0.5;

/** What is wrong with what is tied on. */
export type Mistake =
  | { readonly code: 'breach'; readonly breach: Breach }
  | { readonly code: 'put together'; readonly consequence: Consequence }
  | {
      readonly code: 'too high' | 'too thin' | 'cast shorter' | 'too heavy' | 'too fast' | 'over the redd';
      /** The lies where it does so, by their numbers, of so many that were tried. */
      readonly lies: readonly number[];
      readonly of: number;
    }
  | { readonly code: 'only a floating line' | 'rises and a streamer' }
  | { readonly code: 'signs against'; readonly method: Method; readonly signs: readonly SignFact[] };

/** What is wrong with what is tied on: broken rules, how it is put together, what it does at the lies as one would begin; each
 * once, with its number.
 *
 * @param advised what is to be tied on instead, if that is known: where it sinks no less, the cast is at fault and not the weight
 */
export function mistakesIn(b: Bench, setup: Setup, advised: Rig | null = null): Mistake[] {
  const { s } = b;
  const { rig } = setup;
  const sinksNoLess = advised && sinking(advised) >= sinking(rig) && (isHeavy(advised) || !isHeavy(rig));
  const out: Mistake[] = [
    ...checkRig(s.rules, rig).map((breach): Mistake => ({ code: 'breach', breach })),
    ...amissIn(s, rig).map((consequence): Mistake => ({ code: 'put together', consequence })),
  ];
  const begun = firstCasts(b, setup, plainWays(s, setup)[0]!);
  const told = (code: Extract<Mistake, { lies: unknown }>['code'], is: (v: Verdict) => boolean) => {
    const lies = begun.filter((t) => is(t.verdict)).map((t) => t.verdict.lie.rank);
    if (lies.length > 0 && lies.length >= MANY * begun.length) out.push({ code, lies, of: begun.length });
    return lies.length;
  };
  const high = told('too high', (v) => v.fit === 'too shallow');
  told(
    !endSinks(rig) && !isHeavy(rig) ? 'too thin' : sinksNoLess ? 'cast shorter' : 'too heavy',
    (v) => v.fit === 'on the bed' || v.fit === 'too deep' || v.idle === 'bed' || v.idle === 'line',
  );
  told('too fast', (v) => v.tooFast && v.fit !== 'not reached' && v.fit !== 'not fishing');
  told('over the redd', (v) => v.redd === true);
  const sinks = itemsOf(s.kit, 'tip').some((t) => t.sinkRateMps > 0) || itemsOf(s.kit, 'head').some(headSinks);
  if (!sinks && high > 0) out.push({ code: 'only a floating line' });
  const signs = signsAgainst(s, setup.method).map((sign) => signFact(s, sign));
  if (signs.length > 0) out.push({ code: 'signs against', method: setup.method, signs });
  if (s.seen.includes('rises') && !fliesOf(rig).some(isWetFly)) out.push({ code: 'rises and a streamer' });
  return out;
}
