import { XMLBuilder } from 'fast-xml-parser';
import { nodes, parseXml, type XmlNode } from './xml';

/** One measured property over time. */
export interface GaugeSeries {
  readonly property: 'discharge' | 'stage' | 'temperature';
  readonly unit: string;
  readonly points: readonly { readonly at: number; readonly value: number }[];
}

const UNITS = { discharge: 'm3/s', stage: 'm', temperature: 'Cel' } as const;
/** What a unit code is in SI; feeds in feet and cubic feet are understood. */
const TO_SI: Record<string, (x: number) => number> = {
  'm3/s': (x) => x,
  'm3.s-1': (x) => x,
  m: (x) => x,
  cm: (x) => x / 100,
  Cel: (x) => x,
  'ft3/s': (x) => x * 0.028316846592,
  '[ft_i]3/s': (x) => x * 0.028316846592,
  ft: (x) => x * 0.3048,
  '[ft_i]': (x) => x * 0.3048,
  '[degF]': (x) => (x - 32) / 1.8,
};

/** Writes series as a WaterML 2.0 collection (OGC 10-126r4, "WaterML 2.0: Part 1 – Timeseries"). */
export function writeWaterML(station: { id: string; name: string }, series: readonly GaugeSeries[]): string {
  const builder = new XMLBuilder({ ignoreAttributes: false, format: true, suppressEmptyNode: true });
  return builder.build({
    '?xml': { '@_version': '1.0', '@_encoding': 'UTF-8' },
    'wml2:Collection': {
      '@_xmlns:wml2': 'http://www.opengis.net/waterml/2.0',
      '@_xmlns:om': 'http://www.opengis.net/om/2.0',
      '@_xmlns:xlink': 'http://www.w3.org/1999/xlink',
      '@_xmlns:gml': 'http://www.opengis.net/gml/3.2',
      '@_gml:id': `collection.${station.id}`,
      'wml2:observationMember': series.map((s) => ({
        'om:OM_Observation': {
          '@_gml:id': `${station.id}.${s.property}`,
          'om:observedProperty': { '@_xlink:href': s.property, '@_xlink:title': s.property },
          'om:featureOfInterest': { '@_xlink:href': station.id, '@_xlink:title': station.name },
          'om:result': {
            'wml2:MeasurementTimeseries': {
              '@_gml:id': `ts.${station.id}.${s.property}`,
              'wml2:defaultPointMetadata': {
                'wml2:DefaultTVPMeasurementMetadata': { 'wml2:uom': { '@_code': UNITS[s.property] } },
              },
              'wml2:point': s.points.map((p) => ({
                'wml2:MeasurementTVP': {
                  'wml2:time': new Date(p.at).toISOString(),
                  'wml2:value': Number(p.value.toFixed(3)),
                },
              })),
            },
          },
        },
      })),
    },
  });
}

/**
 * Reads a WaterML 2.0 collection.
 *
 * @returns the series whose property is known, in SI; points without a number are left out
 * @throws RangeError that says what is wrong and where
 */
export function readWaterML(text: string): GaugeSeries[] {
  let root: XmlNode;
  try {
    root = parseXml(text, { bare: true });
  } catch (error) {
    throw new RangeError(`gauge feed: not XML (${(error as Error).message})`);
  }
  const collection = root.Collection as XmlNode | undefined;
  if (!collection) throw new RangeError('gauge feed: no WaterML Collection in it');
  return nodes(collection.observationMember).flatMap((member, i) => {
    const where = `gauge feed, series ${i + 1}`;
    const observation = member.OM_Observation as XmlNode | undefined;
    const property = String((observation?.observedProperty as XmlNode | undefined)?.['@_title'] ?? '').toLowerCase();
    if (property !== 'discharge' && property !== 'stage' && property !== 'temperature') return [];
    const ts = (observation?.result as XmlNode | undefined)?.MeasurementTimeseries as XmlNode | undefined;
    const meta = ts?.defaultPointMetadata as XmlNode | undefined;
    const uom = (meta?.DefaultTVPMeasurementMetadata as XmlNode | undefined)?.uom as XmlNode | undefined;
    const unit = String(uom?.['@_code'] ?? '');
    const toSi = TO_SI[unit];
    if (!ts || !toSi) throw new RangeError(`${where} (${property}): unit "${unit}" is not known`);
    const points = nodes(ts.point).flatMap((p, j) => {
      const tvp = p.MeasurementTVP as XmlNode | undefined;
      const at = Date.parse(String(tvp?.time));
      if (Number.isNaN(at)) throw new RangeError(`${where} (${property}), point ${j + 1}: no time`);
      const value = tvp?.value === '' || tvp?.value === undefined ? NaN : Number(tvp.value);
      return Number.isFinite(value) ? [{ at, value: toSi(value) }] : [];
    });
    return [{ property, unit: UNITS[property], points }];
  });
}
