import { type Column, gaugeSheet, guessColumns, type Reading, readGaugeTable } from '@/formats/gaugeCsv';
import { isXml, readGaugeText } from '@/formats/gaugeFeed';
import type { Sheet } from '@/formats/sheet/table';
import type { Feed, GaugePoint } from '@/core/gauge';
import { usual } from '@/core/gauge/usual';
import type { GaugeFile } from './records';
import { textOf } from './sheets';

/** A gauge's file that was read: a table with what its columns are taken for, or WaterML, which says it itself. */
export interface GaugeOffer {
  readonly table: {
    readonly headings: readonly string[];
    /** The first cells of each column that hold something. */
    readonly samples: readonly (readonly string[])[];
    readonly reading: Reading;
  } | null;
}

/** What a file comes to as it is read. */
export interface GaugePreview {
  readonly values: GaugeFile['values'];
  readonly said: Feed['said'];
  readonly fromAt: number;
  readonly toAt: number;
  /** The middle of its levels and of its flows. */
  readonly usualStageM: number | null;
  readonly usualFlowM3s: number | null;
}

const SAMPLES = 3;
export const LARGEST_GAUGE_FILE = 60e6;

const round = (value: number, by: number): number | null =>
  Number.isFinite(value) ? Math.round(value * by) / by : null;
const valuesOf = (p: GaugePoint): GaugeFile['values'][number] => [
  p.at,
  ...[round(p.stageM, 1e4), round(p.flowM3s, 1e4), round(p.tempC, 100), round(p.rainMm ?? NaN, 100)],
];

function previewOf({ points, said }: Feed): GaugePreview {
  return {
    values: points.map(valuesOf),
    said,
    fromAt: points[0]!.at,
    toAt: points.at(-1)!.at,
    usualStageM: usual(points, 'stageM'),
    usualFlowM3s: usual(points, 'flowM3s'),
  };
}

/** Files of gauges, of any agency: read, shown what they would become. Holds the one that was read last. */
export function createGaugeFiles(now: () => number) {
  let sheet: Sheet | null = null;
  let feed: Feed | null = null;
  return {
    async open(file: Blob): Promise<GaugeOffer> {
      if (file.size > LARGEST_GAUGE_FILE)
        throw new RangeError(
          `The file has ${Math.round(file.size / 1e6)} MB; ${LARGEST_GAUGE_FILE / 1e6} are read. Ask the agency for the last year only.`,
        );
      const { text } = textOf(new Uint8Array(await file.arrayBuffer()));
      [sheet, feed] = [null, null];
      if (isXml(text)) {
        feed = readGaugeText(text, now());
        return { table: null };
      }
      sheet = gaugeSheet(text);
      const { headings, rows } = sheet;
      const samples = headings.map((_, c) =>
        rows
          .slice(0, 50)
          .map((r) => r.cells[c]!)
          .filter((cell) => cell !== '')
          .slice(0, SAMPLES),
      );
      return { table: { headings, samples, reading: guessColumns(sheet) } };
    },
    /** What it comes to, its columns read as chosen. */
    preview(reading: Reading | null): GaugePreview {
      if (feed) return previewOf(feed);
      if (!sheet || !reading) throw new RangeError('Choose the file again.');
      return previewOf(readGaugeTable(sheet, reading, now()));
    },
  };
}

export type { Column, Reading };
