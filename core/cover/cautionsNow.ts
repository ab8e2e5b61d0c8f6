import { format, type UnitSystem } from '../units';

/** What of the hour can be dangerous at the water. */
export interface Hour {
  /** ms UTC */
  readonly now: number;
  /** Levels read or gauged of late, oldest first, m. */
  readonly levels: readonly { readonly at: number; readonly levelM: number }[];
  /** End of civil twilight, ms UTC; null where there is none. */
  readonly lastLight: number | null;
  /** When thunder was last heard or lightning seen, ms UTC; null: not. */
  readonly thunderAt: number | null;
  /** How long the way back takes, minutes. */
  readonly backMin: number;
}

const MINUTE = 60_000;
/** A level that rose by so much within so long is rising water (common practice, no source), m. */
const RISEN = { m: 0.05, within: 120 * MINUTE } as const;
/** Half an hour after the last thunder it is over (the rule of thirty of lightning safety; from memory). */
const THUNDER_MIN = 30;
/** Light that is left over the way back before one is told, minutes. */
const SPARE_MIN = 20;

/** Cautions of the hour: thunder, rising water, dark before the way back. Empty where all is well. */
export function cautionsNow({ now, levels, lastLight, thunderAt, backMin }: Hour, system: UnitSystem): string[] {
  const out: string[] = [];
  if (thunderAt !== null && now - thunderAt < THUNDER_MIN * MINUTE)
    out.push(
      `Thunder: rod down, off the water, out from under single trees, until ${THUNDER_MIN} minutes after the last of it.`,
    );
  const lately = levels.filter((l) => now - l.at <= RISEN.within);
  const rise = lately.length > 0 ? lately.at(-1)!.levelM - Math.min(...lately.map((l) => l.levelM)) : 0;
  if (rise >= RISEN.m)
    out.push(
      `The water has risen ${format('depth', rise, system)} within two hours: come back to your own bank while you can, and mind releases.`,
    );
  if (lastLight !== null && now < lastLight && lastLight - now < (backMin + SPARE_MIN) * MINUTE)
    out.push(
      `Dark in ${Math.max(1, Math.round((lastLight - now) / MINUTE))} minutes: be out of the water and on the way back while you see the bed.`,
    );
  return out;
}
