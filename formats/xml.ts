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
    throw new RangeError('the file has a document type, which is not read here. Save it without one.');
  const bad = text.search(NOT_XML);
  if (bad >= 0) {
    const line = text.slice(0, bad).split('\n').length;
    throw new RangeError(`line ${line}: there is a control character. Save the file again, then choose it.`);
  }
  const valid = XMLValidator.validate(text);
  if (valid !== true)
    throw new RangeError(`line ${valid.err.line}: ${valid.err.msg} Save the file again, then choose it.`);
  try {
    return new XMLParser({
      ignoreAttributes: false,
      parseTagValue: false,
      htmlEntities: true,
      removeNSPrefix: bare,
    }).parse(text) as XmlNode;
  } catch (error) {
    throw new RangeError(`${(error as Error).message}. Save the file again, then choose it.`);
  }
}

/** What stands under a name, as a list: nothing, one, or several. */
export const nodes = (x: unknown): XmlNode[] =>
  (Array.isArray(x) ? x : [x]).filter((n): n is XmlNode => typeof n === 'object' && n !== null);
