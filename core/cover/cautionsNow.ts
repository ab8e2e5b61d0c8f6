import { MINUTE_MS } from '../units';

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

/** What of the hour is dangerous. */
export type HourCaution =
  | { readonly code: 'thunder'; readonly untilMin: number }
  | { readonly code: 'rising'; readonly byM: number }
  | { readonly code: 'dark'; readonly inMin: number };

/** Cautions of the hour: thunder, rising water, dark before the way back. Empty where all is well. */
export function cautionsNow({ now, levels, lastLight, thunderAt, backMin }: Hour): HourCaution[] {
  const out: HourCaution[] = [];
  if (thunderAt !== null && now - thunderAt < THUNDER_MIN * MINUTE_MS)
    out.push({ code: 'thunder', untilMin: THUNDER_MIN });
  const rises = levels.map((of) => {
    const lately = of.filter((l) => l.at <= now && now - l.at <= RISEN.within);
    return lately.length > 0 ? lately.at(-1)!.levelM - Math.min(...lately.map((l) => l.levelM)) : 0;
  });
  const rise = Math.max(0, ...rises);
  if (rise >= RISEN.m) out.push({ code: 'rising', byM: rise });
  if (lastLight !== null && now < lastLight && lastLight - now < (backMin + SPARE_MIN) * MINUTE_MS)
    out.push({ code: 'dark', inMin: (lastLight - now) / MINUTE_MS });
  return out;
}
