import { pageBelow } from './pageBelow.mjs';

it('a page below a path asks for its parts there, once, and for nothing else', () => {
  const page = [
    '<link rel="icon" href="/icon.svg" />',
    "src: url('/fonts/one.woff2')",
    '<script src="/river/_expo/entry.js"></script>', // the bundler’s own
    '<a href="https://example.org/river">', // of another host
    '<use href="#mark" />',
    '<a href="//example.org/x">',
  ];
  expect(pageBelow('/river', page.join('\n')).split('\n')).toEqual([
    '<link rel="icon" href="/river/icon.svg" />',
    "src: url('/river/fonts/one.woff2')",
    ...page.slice(2),
  ]);
  expect(pageBelow('', page.join('\n'))).toBe(page.join('\n'));
});
