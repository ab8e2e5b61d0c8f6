import { format, MINUTE_MS, type UnitSystem } from '../units';

/** What of the hour can be dangerous at the water. */
export interface Hour {
  /** ms UTC */
  readonly now: number;
  /** Levels of late, each source by itself (read at the bank, gauged), oldest first, m above whatever it counts from. */
  readonly levels: readonly (readonly { readonly at: number; readonly levelM: number }[])[];
  /** End of civil twilight, ms UTC; null where there is none. */
  readonly lastLight: number | null;
  /** When thunder was last heard or lightning seen, ms UTC; null: not. */
  readonly thunderAt: number | null;
  /** How long the way back takes, minutes. */
  readonly backMin: number;
}

/** A level that rose by so much within so long is rising water (common practice, no source), m. */
const RISEN = { m: 0.05, within: 120 * MINUTE_MS } as const;
/** Half an hour after the last thunder it is over (the rule of thirty of lightning safety; from memory). */
const THUNDER_MIN = 30;
/** Light that is left over the way back before one is told, minutes. */
const SPARE_MIN = 20;

/** Cautions of the hour: thunder, rising water, dark before the way back. Empty where all is well. */
export function cautionsNow({ now, levels, lastLight, thunderAt, backMin }: Hour, system: UnitSystem): string[] {
  const out: string[] = [];
  if (thunderAt !== null && now - thunderAt < THUNDER_MIN * MINUTE_MS)
    out.push(
      `Thunder: rod down, off the water, out from under single trees, until ${THUNDER_MIN} minutes after the last of it.`,
    );
  const rises = levels.map((of) => {
    const lately = of.filter((l) => l.at <= now && now - l.at <= RISEN.within);
    return lately.length > 0 ? lately.at(-1)!.levelM - Math.min(...lately.map((l) => l.levelM)) : 0;
  });
  const rise = Math.max(0, ...rises);
  if (rise >= RISEN.m)
    out.push(
      `The water has risen ${format('depth', rise, system)} in two hours: come back to your own bank while you can.`,
    );
  if (lastLight !== null && now < lastLight && lastLight - now < (backMin + SPARE_MIN) * MINUTE_MS)
    out.push(
      `Dark in ${Math.max(1, Math.round((lastLight - now) / MINUTE_MS))} minutes: be out of the water and on the way back while you see the bed.`,
    );
  return out;
}
