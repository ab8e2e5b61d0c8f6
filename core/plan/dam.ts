import type { River } from '../colour/kinds';
import { type Span, spansText } from './spans';

/** What to beware of below a dam, before anything else; null where there is none. */
export function damCaution(river: River | undefined, releases: readonly Span[] | undefined): string | null {
  if (releases && releases.length > 0)
    return `A dam above lets water through, ${spansText(releases)} as you entered it: be out of the water before, and for an hour after. Hours change without a word; a siren, or water that rises without rain, means out at once.`;
  return river?.kind === 'below a dam'
    ? 'Below a dam water rises without rain and without warning: ask when it is let through, and enter the hours under Rules, Edit.'
    : null;
}
