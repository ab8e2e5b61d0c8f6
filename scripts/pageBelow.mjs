/**
 * A page whose addresses begin at the root of its host, for a path below it; what lies there already stays.
 *
 * @example pageBelow('/river', '<link href="/icon.svg" />') // '<link href="/river/icon.svg" />'
 */
export const pageBelow = (base, html) =>
  html.replace(/((?:href|src)="|url\(')(\/[^/"'][^"']*)/g, (_, before, address) =>
    address.startsWith(`${base}/`) ? `${before}${address}` : `${before}${base}${address}`,
  );
