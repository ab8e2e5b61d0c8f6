import type { Feed } from '@/core/gauge/feed';
import { gaugeSheet, guessColumns, readGaugeTable } from './gaugeCsv';
import { joined } from './joinedGauge';
import { readWaterML } from './waterml';

/**
 * A gauge out of text, WaterML 2.0 or a table: what it holds, and what was wrong with it.
 *
 * @param now ms UTC; not given, no time is in the future
 * @throws RangeError that says what is wrong and where
 */
export function readGaugeText(text: string, now?: number): Feed {
  if (isXml(text)) return joined(readWaterML(text), now);
  const sheet = gaugeSheet(text);
  return readGaugeTable(sheet, guessColumns(sheet), now);
}

export const isXml = (text: string): boolean => /^\s*</.test(text.replace(/^\ufeff/, ''));
