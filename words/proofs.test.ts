import { DIMENSIONS } from '@/core/learn/evidence';
import type { Question, Told } from '@/core/learn/question';
import { BOUNDS, type Banded } from '@/core/logbook';
import {
  alongWords,
  countsWords,
  namer,
  notNotedWords,
  provedWords,
  questionWords,
  suggestionWords,
  toldWords,
  toTellWords,
  withoutPlaces,
} from './proofs';
import { monthWords, yearWords } from './pictures';
import { DIMENSION_NAMES, valueWords } from './properties';

const name = namer('metric', new Map([['w', 'Sorrelvane']]));
const q: Question = { by: 'colour', a: 'white', b: 'black', where: {} };
const rate = { middle: 0.02, low: 0.01, high: 0.03 };
const told: Told = {
  ...{ a: { casts: 400, takes: 8, rate }, b: { casts: 600, takes: 6, rate }, together: 9, raw: 2 },
  ratio: { middle: 1.6, low: 0.9, high: 2.8, chance: 0.93 },
  ...{ finding: 'leads', ahead: 'a', alongWith: [], toTell: { times: 1.6, casts: 730 } },
};

describe('values of what a log is asked by', () => {
  it('are told in the units that are used, ends and all', () => {
    const all = (of: Banded, units: 'metric' | 'imperial') =>
      [...BOUNDS[of], 0].map((_, i) => valueWords(of, String(i), units));
    expect(all('depth', 'metric')).toEqual([
      'less than 0.30 m',
      '0.30 to 0.60 m',
      '0.60 to 0.90 m',
      'deeper than 0.90 m',
    ]);
    expect(all('level', 'imperial')).toEqual(['below −4 in', '−4 to +4 in', '+4 to +12 in', 'above +12 in']);
    expect(all('size', 'metric')).toEqual(['4 and larger', '6 or 8', '10 or 12', '14 and smaller']);
    expect(all('tip', 'imperial')).toEqual([
      ...['floats', 'sinks 0.1 to 2.5 ips', 'sinks 2.5 to 5 ips', 'sinks faster than 5 ips'],
    ]);
    expect(all('temperature', 'metric')[1]).toBe('5 to 7 °C');
    expect(all('hour', 'metric')[1]).toBe('08:00 to 11:00');
    for (const of of Object.keys(BOUNDS) as Banded[])
      for (const said of all(of, 'imperial')) expect(said).not.toMatch(/\d (m|cm|°C|m\/s)\b/);
    expect([valueWords('tip', 'none', 'metric'), valueWords('weight', 'none', 'metric')]).toEqual([
      'no tip',
      'unweighted',
    ]);
    expect(name('river', 'w')).toBe('Sorrelvane');
    expect(name('river', 'x')).toBe('a removed water');
    for (const of of DIMENSIONS) expect(DIMENSION_NAMES[of]).toMatch(/^[a-z]/);
  });
});

describe('what is shared of an answer', () => {
  it('names no place: rivers and runs are told by numbers, the same each time, all else as it is', () => {
    const veiled = withoutPlaces(name);
    const runs = Array.from({ length: 30 }, (_, i) => veiled('run', `Weir ${i}`));
    expect([runs[0], runs[29], veiled('run', 'Weir 29'), veiled('river', 'w')]).toEqual([
      ...['no. 1', 'no. 30', 'no. 30', 'no. 1'],
    ]);
    expect(new Set(runs).size).toBe(30);
    expect(veiled('colour', 'black')).toBe('black');
    const asked = { by: 'run', a: 'Weir', b: 'Bridge', where: { river: 'w' } } as const;
    expect(questionWords(asked, withoutPlaces(name))).toBe('No. 1 against no. 2, river no. 1');
  });
});

describe('a year in words', () => {
  it('days, hours, takes, blank days; each month on which one was out', () => {
    const d = { month: 2, minutes: 90, casts: 40 };
    const days = [
      { ...d, day: 3, takes: 2, landed: 1 },
      { ...d, day: 9, takes: 0, landed: 0 },
      { ...d, month: 10, day: 1, takes: 1, landed: 0 },
    ];
    expect(yearWords(days, 2026)).toBe('2026: 3 days out, 5 hours, 3 takes, 1 landed; 1 blank day.');
    expect(yearWords([], 2025)).toBe('2025: no day out.');
    expect(monthWords(days)).toEqual([
      'March: 2 days, 3 hours, 2 takes, 1 landed',
      'November: 1 day, 2 hours, 1 take, 0 landed',
    ]);
  });
});

describe('what casts prove, in words', () => {
  it('a proof, a count, what is not listed', () => {
    expect(provedWords('colour', 'black', { middle: 2.12, low: 1.4, high: 3 }, name)).toBe(
      'Fly colour black: 2.1 times the takes of your other casts (1.4 to 3.0).',
    );
    expect(countsWords({ casts: 1214, takes: 1, byHand: 200 })).toBe('1 take in 1,214 casts, 200 by hand');
    expect(countsWords({ casts: 1, takes: 0, byHand: 1 })).toBe('0 takes in 1 cast, all by hand');
    const some = [[{ shown: { colour: 'black' }, casts: 30, takes: 1 }]];
    expect(notNotedWords(some, 'colour')).toBeNull();
    expect(notNotedWords(some, 'river')).toBe('30 casts not listed: nothing noted of it.');
    // Two flies on one cast are one cast of the water.
    const second = some.map((outing) => [...outing, ...outing.map((e) => ({ ...e, again: true as const }))]);
    expect(notNotedWords(second, 'river')).toBe('30 casts not listed: nothing noted of it.');
  });

  it('the answer to a question, the one that is ahead first', () => {
    expect(toldWords(q, told, name)).toEqual([
      'Not proved yet; white leads: 1.6 times the takes of black (0.9 to 2.8). Chance that it is better: 93 in 100.',
      'Both were fished on 9 outings. As counted 2.0 times; like for like 1.6 times.',
    ]);
    const behind = { ...told, raw: 0.6, ratio: { middle: 0.625, low: 1 / 2.8, high: 1 / 0.9, chance: 0.07 } };
    expect(toldWords(q, { ...behind, finding: 'better' }, name)).toEqual([
      'Black is better: 1.6 times the takes of white (0.9 to 2.8). Chance that it is better: 93 in 100.',
      'Both were fished on 9 outings.',
    ]);
    expect(toldWords(q, { ...told, finding: 'no difference seen', together: 0, raw: null }, name)).toEqual([
      'No difference seen. At best guess white brings 1.6 times the takes of black (0.9 to 2.8).',
      'Never on the same outing.',
    ]);
    const even = { middle: 0.97, low: 0.4, high: 2.3, chance: 0.46 };
    expect(toldWords(q, { ...told, finding: 'no difference seen', ratio: even }, name)[0]).toBe(
      'No difference seen: at best guess both bring as many takes (black 0.4 to 2.5 times those of white).',
    );
    expect(toldWords(q, { ...told, finding: 'too few to say' }, name)).toEqual([
      'Too few casts or takes to say whether white or black is better.',
    ]);
    expect(toldWords(q, { ...told, finding: 'cannot be separated' }, name)[0]).toMatch(
      /^Cannot be separated: you never/,
    );
  });

  it('where it was asked, what else differed, what would tell', () => {
    expect(questionWords({ ...q, where: { water: 'stained', hour: '4' } }, name)).toBe(
      'White against black, visibility stained, time of day 17:00 to 20:00',
    );
    expect(alongWords(q, { of: 'water', value: 'clear', a: 0.803, b: 0 }, name)).toBe(
      'Visibility clear: 80 % of casts with white, 0 % with black.',
    );
    expect(toTellWords(told)).toBe('750 casts more, half with each in turn, would tell if one is 1.6 times as good.');
    expect(toTellWords({ ...told, toTell: { times: 1.5, casts: 9000 } })).toBe(
      'More casts than a season has would be needed to tell, if one is 1.5 times as good.',
    );
    expect(toTellWords({ ...told, toTell: null })).toBeNull();
  });

  it('what to try: what it is held against, what is known, what it costs and brings', () => {
    const s = { by: 'colour', name: 'tan', usual: 'black', ratio: { middle: 0.9, low: 0.3, high: 2.8 } } as const;
    expect(suggestionWords({ ...s, casts: 138, trial: 120, gain: 4.4, over: 3000 }, name)).toEqual({
      title: 'Fly colour: tan against black',
      why: '138 casts with tan so far: between 0.3 and 2.8 times the takes of black. Fish 60 casts with each in turn; knowing is worth about 4 takes in 3,000 casts.',
    });
  });
});
