import { readWaterML, writeWaterML } from './waterml';

const station = { id: 'upper', name: 'Upper & lower' };
const t0 = Date.UTC(2026, 8, 1);

describe('WaterML 2.0 (OGC 10-126r4)', () => {
  it('goes out and comes back', () => {
    const series = [
      {
        property: 'discharge' as const,
        unit: 'm3/s',
        points: [
          { at: t0, value: 12.5 },
          { at: t0 + 3600e3, value: 13 },
        ],
      },
      { property: 'temperature' as const, unit: 'Cel', points: [{ at: t0, value: 9.25 }] },
    ];
    const text = writeWaterML(station, series);
    expect(text).toContain('xmlns:wml2="http://www.opengis.net/waterml/2.0"');
    expect(readWaterML(text)).toEqual(series);
    expect(text).toContain('<om:featureOfInterest xlink:href="upper" xlink:title="Upper &amp; lower"/>');
    expect(text).toContain('gml:id="upper.discharge"');
    expect(writeWaterML(station, [{ property: 'air temperature', unit: 'Cel', points: [] }])).toContain(
      'gml:id="upper.air-temperature"',
    );
  });

  it('leaves out series of what is not used, and points that say that there is none', () => {
    const point = (value: number) => ({ at: t0, value });
    const text = writeWaterML(station, [
      { property: 'air temperature', unit: 'Cel', points: [point(9)] },
      { property: 'stage', unit: 'm', points: [-999, -9999, -999999, 1.25].map(point) },
    ]);
    expect(readWaterML(text)).toEqual([{ property: 'stage', unit: 'm', points: [point(1.25)] }]);
    // Titles may be left out; the property's address says it, too.
    expect(readWaterML(text.replaceAll(/ xlink:title="stage"/g, ''))).toHaveLength(1);
  });

  it('understands feet and leaves out points without a number', () => {
    const text = writeWaterML(station, [
      {
        property: 'stage',
        unit: 'm',
        points: [
          { at: t0, value: 10 },
          { at: t0, value: 1 },
        ],
      },
    ])
      .replace('code="m"', 'code="ft"')
      .replace('<wml2:value>1</wml2:value>', '<wml2:value/>');
    expect(readWaterML(text)[0]!.points).toEqual([{ at: t0, value: expect.closeTo(3.048, 9) }]);
  });

  it.each([
    ['<a', 'not XML (line 1'],
    ['<a/>', 'no WaterML Collection'],
    [
      writeWaterML(station, [{ property: 'stage', unit: 'm', points: [] }]).replace('code="m"', 'code="ell"'),
      'unit "ell"',
    ],
    [
      writeWaterML(station, [{ property: 'stage', unit: 'm', points: [{ at: t0, value: 1 }] }]).replace(
        /2026-09-01/,
        'soon',
      ),
      'point 1: no time',
    ],
  ])('refuses what is damaged, saying where: %#', (text, message) => {
    expect(() => readWaterML(text)).toThrow(message);
  });
});
