import { writeWaterML } from '@/formats/waterml';
import { createGaugeFiles, LARGEST_GAUGE_FILE } from './gaugeFiles';
import { HOUR_MS } from '@/core/units';

const T0 = Date.UTC(2026, 8, 1);
const TABLE = [
  'time_utc,notes,level m,flow m3/s,rain mm',
  `2026-09-01T00:00Z,,0.75004,12.34567,`,
  `2026-09-01T01:00Z,low,0.8,,1.234`,
];
const file = (lines: readonly string[]) => new Blob([lines.join('\n')]);

describe('a gauge’s file', () => {
  it('is shown by its headings and first cells, and becomes the values that are kept: to a tenth of a millimetre', async () => {
    const files = createGaugeFiles(Date.now);
    const { table } = await files.open(file(TABLE));
    expect(table!.headings).toEqual(['time_utc', 'notes', 'level m', 'flow m3/s', 'rain mm']);
    expect(table!.samples.slice(1)).toEqual([['low'], ['0.75004', '0.8'], ['12.34567'], ['1.234']]);
    expect(table!.reading.columns.map((c) => c.as)).toEqual(['date', 'nothing', 'stage', 'discharge', 'rainfall']);
    const preview = files.preview(table!.reading);
    expect(preview).toEqual({
      values: [
        [T0, 0.75, 12.3457, null, null],
        [T0 + HOUR_MS, 0.8, null, null, 1.23],
      ],
      ...{ said: [], fromAt: T0, toAt: T0 + HOUR_MS },
      ...{ usualStageM: expect.closeTo(0.775, 3), usualFlowM3s: expect.closeTo(12.34567, 6) },
    });
    // Another column chosen for the level.
    const columns = table!.reading.columns.with(2, { as: 'nothing' });
    expect(files.preview({ ...table!.reading, columns }).values[0]!.slice(1, 3)).toEqual([null, 12.3457]);
  });

  it('no more than three cells of each column are shown, of the first fifty rows', async () => {
    const rows = Array.from(
      { length: 60 },
      (_, i) => `2026-09-01T${String(i % 24).padStart(2, '0')}:00Z,1,${i < 55 ? '' : i}`,
    );
    const { table } = await createGaugeFiles(Date.now).open(file(['time,level m,late', ...rows]));
    expect(table!.samples.map((s) => s.length)).toEqual([3, 3, 0]);
  });

  it('of WaterML says itself what it is', async () => {
    const files = createGaugeFiles(Date.now);
    const text = writeWaterML({ id: 's', name: 'S' }, [
      { property: 'stage', unit: 'm', points: [{ at: T0, value: 1.5 }] },
    ]);
    expect(await files.open(new Blob([text]))).toEqual({ table: null });
    expect(files.preview(null).values).toEqual([[T0, 1.5, null, null, null]]);
    // A table that is opened next takes its place.
    const { table } = await files.open(file(TABLE));
    expect(files.preview(table!.reading).values).toHaveLength(2);
  });

  it('is asked for again where none is held, and refused where it is too large', async () => {
    expect(() => createGaugeFiles(Date.now).preview(null)).toThrow('Choose the file again.');
    const huge = { size: LARGEST_GAUGE_FILE + 1 } as Blob;
    await expect(createGaugeFiles(Date.now).open(huge)).rejects.toThrow(
      'The file has 60 MB; 60 are read. Ask the agency',
    );
    const files = createGaugeFiles(Date.now);
    await files.open(file(TABLE));
    expect(() => files.preview(null)).toThrow('Choose the file again.');
  });
});
