import type { EventOf } from '@/core/logbook';
import { fliesOf, itemsOf, placeName, type Rig } from '@/core/tackle';
import { useKit } from './useKit';

type Taken = Pick<EventOf<'take'>, 'place' | 'on'>;
const OTHER = 'other ';

/** What was taken as a choice, and what a choice says; null: not known. */
export const choiceOfTaken = ({ place, on }: Taken): string | null =>
  on !== undefined ? OTHER + on : place === undefined ? null : String(place);
export const takenOf = (choice: string | null): Taken | null =>
  choice === null ? null : choice.startsWith(OTHER) ? { on: choice.slice(OTHER.length) } : { place: Number(choice) };

/** The flies that a fish can have taken: those of the rig by their places, and what is in the bag for the log only, by name. */
export function useFliesTaken(rig: Rig | null, own?: string): { value: string; label: string }[] {
  const { data: kit } = useKit();
  const ofRig = rig ? fliesOf(rig).map((_, i) => ({ value: String(i), label: placeName(rig, i) })) : [];
  const others = new Set([...itemsOf(kit ?? [], 'other fly').map((f) => f.name), ...(own ? [own] : [])]);
  return [...ofRig, ...[...others].map((name) => ({ value: OTHER + name, label: name }))];
}
