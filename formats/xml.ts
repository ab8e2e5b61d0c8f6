import { XMLParser, XMLValidator } from 'fast-xml-parser';

export type XmlNode = Readonly<Record<string, unknown>>;

/** What XML 1.0 does not allow in any text (2.2, Char). */
const NOT_XML =
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g;

/** Text without what may not stand in XML. */
export const xmlText = (text: string): string => text.replace(NOT_XML, '');

/**
 * Parses XML: attributes as `@_name`, all values as text, numeric references resolved.
 *
 * @param bare leaves prefixes of namespaces out
 * @throws RangeError that says what is wrong and in which line
 */
export function parseXml(text: string, { bare = false } = {}): XmlNode {
  // A document type could define names that stand for more text than there is memory.
  if (/<!DOCTYPE/i.test(text))
    throw new RangeError('a document type stands in it, which is not read. Save it without.');
  const bad = text.search(NOT_XML);
  if (bad >= 0) {
    const line = text.slice(0, bad).split('\n').length;
    throw new RangeError(`line ${line}: a control character stands in it. Save it again and take that.`);
  }
  const valid = XMLValidator.validate(text);
  if (valid !== true) throw new RangeError(`line ${valid.err.line}: ${valid.err.msg} Save it again and take that.`);
  try {
    return new XMLParser({
      ignoreAttributes: false,
      parseTagValue: false,
      htmlEntities: true,
      removeNSPrefix: bare,
    }).parse(text) as XmlNode;
  } catch (error) {
    throw new RangeError(`${(error as Error).message}. Save it again and take that.`);
  }
}

/** What stands under a name, as a list: nothing, one, or several. */
export const nodes = (x: unknown): XmlNode[] =>
  (Array.isArray(x) ? x : [x]).filter((n): n is XmlNode => typeof n === 'object' && n !== null);
