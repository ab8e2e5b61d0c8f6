import { type CastPlan, windWords } from '../cast';
import { type Caution, checkRig, coldWading, highWater, waterCautions } from '../rules';
import { endSinks, fliesOf, headSinks, isHeavy, isWetFly, itemsOf, type Rig } from '../tackle';
import type { Verdict } from '../advice';
import { sinking } from './fits';
import { amissIn, type Setup } from './rigs';
import { signsAgainst } from './methods';
import type { Situation } from './situation';
import { waterAt } from '../water';
import { ranksOf } from './words';
import type { Bench } from './setupWorth';
import { firstCasts } from './stands';
import { plainWays } from './ways';

const care = (says: string): Caution => ({ level: 'care', says });

/** What to mind: closed water first, warm water, cold water where one of the casts is waded for, wind, redds, hooks; local rules decide. */
export function cautionsOf(s: Situation, rig: Rig | null, plans: readonly CastPlan[] = []): Caution[] {
  const deepestM = Math.max(0, ...plans.map((p) => waterAt(s.channel, p.xM, p.yM).depthM));
  const wind = windWords(s.reading.wind, s.run.bank, s.means);
  const cold = coldWading(s.reading.waterTempC, deepestM, s.units);
  const high = highWater(s.reading.levelM);
  const ranks = s.lies.filter((l) => l.staged).map((l) => l.rank);
  return [
    ...s.closed.map((says): Caution => ({ level: 'stop', says })),
    ...waterCautions(s.reading.waterTempC, 'steady', s.rules?.closesAtC ?? null),
    ...(s.channel.impossible
      ? [
          care(
            'No run has such water: the sections and the speed cannot both be right. Time another float, measure a depth.',
          ),
        ]
      : []),
    ...(high ? [care(high)] : []),
    ...(cold ? [care(cold)] : []),
    ...(wind ? [care(wind)] : []),
    ...(s.seen.includes('juveniles')
      ? [care('Young fish swarm here: release them in the water, leave, and keep them out of the counts.')]
      : []),
    ...(s.seen.includes('spawning fish')
      ? [
          care(
            'Fish are spawning here: leave them alone, and do not wade on or below pale gravel. If unsure, treat it as a redd.',
          ),
        ]
      : []),
    ...(s.seen.includes('rises')
      ? [care('For a steady riser change to a dry fly: that is not worked out here. Log it.')]
      : []),
    ...(s.run.features.some((f) => f.kind === 'redd')
      ? [care('There is a redd in this run: do not fish it, do not wade on or just below it.')]
      : []),
    ...(ranks.length > 0
      ? [
          care(
            ranks.length === s.lies.length
              ? 'At every lie of this run fish may be waiting to spawn. Better leave this run alone.'
              : `Fish at ${ranks.join(', ')} may be waiting to spawn: leave paired or dark fish alone.`,
          ),
        ]
      : []),
    ...(rig && isHeavy(rig) ? [care('A weighted fly: glasses and a brimmed hat.')] : []),
    ...(rig && rig.droppers.length > 0
      ? [care('Two flies: mind the free hook while unhooking, whichever it is.')]
      : []),
  ];
}

/** Where so many of the lies are not served as one would begin, it is told. */
const MANY = 0.5;

/** What is wrong with what is tied on: broken rules, how it is put together, what it does at the lies as one would begin; each
 * once, with its number.
 *
 * @param advised what is to be tied on instead, if that is known: where it sinks no less, the cast is at fault and not the weight
 */
export function mistakesIn(b: Bench, setup: Setup, advised: Rig | null = null): string[] {
  const { s } = b;
  const { rig } = setup;
  const sinksNoLess = advised && sinking(advised) >= sinking(rig) && (isHeavy(advised) || !isHeavy(rig));
  const out: string[] = [...checkRig(s.rules, rig).map((x) => x.says), ...amissIn(s, rig)];
  const begun = firstCasts(b, setup, plainWays(s, setup)[0]!);
  const told = (is: (v: Verdict) => boolean, says: (n: string) => string) => {
    const at = begun.filter((t) => is(t.verdict));
    const n = at.length;
    const lies = ranksOf(at.map((t) => t.verdict.lie));
    if (n > 0 && n >= MANY * begun.length)
      out.push(
        `What is on, cast as one would begin, ${says(begun.length === 1 ? 'the lie' : `${n} of ${begun.length} lies (${lies})`)}`,
      );
    return n;
  };
  const high = told(
    (v) => v.fit === 'too shallow',
    (n) => `rides too high at ${n}.`,
  );
  told(
    (v) => v.fit === 'on the bed' || v.fit === 'too deep' || v.idle === 'bed' || v.idle === 'line',
    (n) => {
      if (!endSinks(rig) && !isHeavy(rig))
        return `drags or lies on the bed at ${n}: too thin or slow there to swing it.`;
      return sinksNoLess
        ? `drags or lies on the bed at ${n}: cast shorter or further downstream there.`
        : `is too heavy for ${n}: it drags or lies on the bed there.`;
    },
  );
  told(
    (v) => v.tooFast && v.fit !== 'not reached' && v.fit !== 'not fishing',
    (n) => `crosses too fast at ${n}.`,
  );
  told(
    (v) => v.redd === true,
    (n) => `is shown over the redd at ${n}.`,
  );
  const sinks = itemsOf(s.kit, 'tip').some((t) => t.sinkRateMps > 0) || itemsOf(s.kit, 'head').some(headSinks);
  if (!sinks && high > 0) out.push('Only a floating line in the bag.');
  const against = signsAgainst(s, setup.method).map((sign) => sign.says(s, s.units));
  if (against.length > 0) out.push(`Against what is on (${setup.method}) speaks: ${against.join('; ')}.`);
  if (s.seen.includes('rises') && !fliesOf(rig).some(isWetFly)) out.push('Fish are rising, and a streamer is on.');
  return out;
}
