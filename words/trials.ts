import type { FairTrial } from '@/core/cover';
import type { TrialSoFar } from '@/core/learn/trials';
import { describeFly, type Rig } from '@/core/tackle';
import { inHundred, several } from './counting';

/** The two of a fair trial as one calls them: by fly, or by how it’s fished. */
export function trialNames(
  { of, flyId, hands }: Pick<FairTrial, 'of' | 'flyId' | 'hands'>,
  rigs: ReadonlyMap<string, Rig>,
): { a: string; b: string } {
  const fly = (id: string) => {
    const tied = [...rigs.values()].find((r) => r.fly.id === id);
    return tied ? describeFly(tied.fly) : 'the other';
  };
  return of.flyId ? { a: fly(flyId), b: fly(of.flyId) } : { a: hands?.way ?? 'swing', b: of.hands?.way ?? 'swing' };
}

/** What a fair trial proves so far. @param names of the two, as one calls them */
export function trialWords(
  { a, b, better, finding, chance }: TrialSoFar,
  names: Readonly<Record<'a' | 'b', string>>,
): string {
  const told = (name: string, side: typeof a) => `${name} ${several(side.takes, 'take')} in ${side.casts} casts`;
  const counts = `Fair trial: ${told(names.a, a)}, ${told(names.b, b)}.`;
  if (!better) return `${counts} ${finding === 'too few' ? 'Too few takes to say.' : 'No difference seen.'}`;
  const sure = finding === 'better' ? `${names[better]} is better` : `Not proved yet; ${names[better]} leads`;
  return `${counts} ${sure} (chance ${inHundred(chance)} in 100).`;
}
