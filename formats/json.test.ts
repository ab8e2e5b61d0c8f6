import { parseJson } from './json';

describe('JSON of a file', () => {
  it('is read to forty brackets within each other, however many stand beside each other or in words', () => {
    const deep = (n: number) => '['.repeat(n) + ']'.repeat(n);
    expect(JSON.stringify(parseJson(deep(40)))).toBe(deep(40));
    expect(() => parseJson(deep(41))).toThrow('more than 40 brackets are open from character 41 on');
    expect(() => parseJson(`{"a":${'{"a":'.repeat(40)}1${'}'.repeat(41)}`)).toThrow('more than 40 brackets');
    const beside = `[${Array(60).fill('[{"a":{}}]').join(',')}]`;
    expect(parseJson(beside)).toHaveLength(60);
    const words = JSON.stringify({ notes: '['.repeat(60), said: `"${'{'.repeat(60)}`, ends: '\\' });
    expect(parseJson(words)).toEqual(JSON.parse(words));
    // A word that ends leaves what follows counted.
    expect(() => parseJson(`["a",${deep(41)}]`)).toThrow('from character 45 on');
  });

  it.each([
    ['', 'it is empty'],
    ['  \n', 'it is empty'],
    ['{"a": 1,\n "b": }', 'from line 2, column 7 on'],
    ['[1, 2', 'from line 1, column 6 on'],
  ])('%j is refused, with the place', (text, where) =>
    expect(() => parseJson(text)).toThrow(`the JSON is cut off or damaged: ${where}`),
  );
});
