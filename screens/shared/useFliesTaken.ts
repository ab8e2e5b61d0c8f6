import type { EventOf } from '@/core/logbook';
import { fliesOf, itemsOf, placeName, type Rig } from '@/core/tackle';
import { useKit } from './useKit';

/** The flies that a fish can have taken: those of the rig by their places, and what is in the bag for the log only, by name. */
export function useFliesTaken(rig: Rig | null, own?: string) {
  const { data: kit } = useKit();
  const ofRig = rig ? fliesOf(rig).map((_, i) => ({ value: String(i), label: placeName(rig, i) })) : [];
  const others = new Set([...itemsOf(kit ?? [], 'other fly').map((f) => f.name), ...(own ? [own] : [])]);
  return {
    options: [...ofRig, ...[...others].map((name) => ({ value: name, label: name }))],
    /** What is said of a choice. */
    said: (value: string | null): Pick<EventOf<'take'>, 'place' | 'on'> | null =>
      value === null ? null : ofRig.some((f) => f.value === value) ? { place: Number(value) } : { on: value },
  };
}
