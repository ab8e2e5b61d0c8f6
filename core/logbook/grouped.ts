import type { EventOf, Happened } from './events';

/** Casts one after the other, with the steps between them. */
export interface CastGroup {
  readonly kind: 'casts';
  readonly casts: readonly EventOf<'cast'>[];
  readonly steps: readonly EventOf<'step'>[];
}
export type Entry = CastGroup | Exclude<Happened, { kind: 'cast' | 'step' }>;

/** When an entry was; of casts the first. */
export const entryAt = (e: Entry): number => (e.kind === 'casts' ? e.casts[0]!.at : e.at);
export const entryId = (e: Entry): string => (e.kind === 'casts' ? e.casts[0]!.id : e.id);

/** A log as one reads it: casts that follow each other are one entry, whatever else happened stands by itself. */
export function grouped(events: readonly Happened[]): Entry[] {
  const out: Entry[] = [];
  let casts: EventOf<'cast'>[] = [];
  let steps: EventOf<'step'>[] = [];
  const close = () => {
    if (casts.length > 0) out.push({ kind: 'casts', casts, steps });
    casts = [];
    steps = [];
  };
  for (const e of events) {
    if (e.kind === 'cast') casts.push(e);
    else if (e.kind === 'step') steps.push(e);
    else {
      close();
      out.push(e);
    }
  }
  close();
  return out;
}
