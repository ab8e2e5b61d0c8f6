import { XMLBuilder } from 'fast-xml-parser';
import { type GaugeSeries, SI_UNITS } from '@/core/gauge/feed';
import { GAUGE_UNITS, propertyNamed, unitNamed } from './gaugeTerms';
import { nodes, parseXml, type XmlNode } from './xml';

/** A series of whatever a station measures. */
type NamedSeries = Omit<GaugeSeries, 'property'> & { readonly property: string };

/** Writes series as a WaterML 2.0 collection (OGC 10-126r4, "WaterML 2.0: Part 1 – Timeseries"). */
export function writeWaterML(station: { id: string; name: string }, series: readonly NamedSeries[]): string {
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
          '@_gml:id': `${station.id}.${idOf(s)}`,
          'om:observedProperty': { '@_xlink:href': s.property, '@_xlink:title': s.property },
          'om:featureOfInterest': { '@_xlink:href': station.id, '@_xlink:title': station.name },
          'om:result': {
            'wml2:MeasurementTimeseries': {
              '@_gml:id': `ts.${station.id}.${idOf(s)}`,
              'wml2:defaultPointMetadata': {
                'wml2:DefaultTVPMeasurementMetadata': { 'wml2:uom': { '@_code': s.unit } },
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

/** An id in XML holds no space. */
const idOf = ({ property }: NamedSeries): string => property.replaceAll(' ', '-');

/** Codes for "none" that stand in a value's place. */
const NONE = new Set(['-999', '-999.0', '-9999', '-999999', 'NaN', '']);

/**
 * Reads a WaterML 2.0 collection, in any prefixes.
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
    const observation = member.OM_Observation as XmlNode | undefined;
    const of = observation?.observedProperty as XmlNode | undefined;
    const title = String(of?.['@_title'] ?? of?.['@_href'] ?? '');
    const named = propertyNamed(title);
    if (!named) return [];
    const { property } = named;
    const where = `gauge feed, series ${i + 1} (${property})`;
    const ts = (observation?.result as XmlNode | undefined)?.MeasurementTimeseries as XmlNode | undefined;
    const meta = ts?.defaultPointMetadata as XmlNode | undefined;
    const uom = (meta?.DefaultTVPMeasurementMetadata as XmlNode | undefined)?.uom as XmlNode | undefined;
    const code = String(uom?.['@_code'] ?? '');
    const unit = unitNamed(property, code);
    if (!ts || !unit) throw new RangeError(`${where}: unit "${code}" is not known`);
    const toSi = GAUGE_UNITS[property][unit]!;
    const points = nodes(ts.point).flatMap((p, j) => {
      const tvp = p.MeasurementTVP as XmlNode | undefined;
      const at = Date.parse(String(tvp?.time));
      if (Number.isNaN(at)) throw new RangeError(`${where}, point ${j + 1}: no time`);
      const value = typeof tvp?.value === 'string' && !NONE.has(tvp.value.trim()) ? Number(tvp.value) : NaN;
      return Number.isFinite(value) ? [{ at, value: toSi(value) }] : [];
    });
    return [{ property, unit: SI_UNITS[property], points }];
  });
}
