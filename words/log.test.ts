import { briefWords } from './log';

const day = {
  ...{ minutes: 250, taken: 3 },
  runs: [
    { name: 'Long Even', fromM: 12, toM: 60.4 },
    { name: 'The Step', fromM: 8, toM: 8.2 },
  ],
  takes: [
    { place: 'coming tight', takes: 1 },
    { place: 'dangle', takes: 2 },
  ],
} as const;

it('a day in brief: how long, which water, where on the swing fish took', () => {
  expect(briefWords(day, 'imperial')).toEqual([
    'You fished for 4.2 hours.',
    'You fished Long Even from 39 ft to 198 ft down.',
    'You stood 26 ft down The Step.',
    'Where on the swing fish took: coming tight 1, dangle 2.',
  ]);
});

it('tells no hours that nobody knows, and of no place that nobody noted', () => {
  expect(briefWords({ minutes: 0, runs: [], takes: [], taken: 0 }, 'metric')).toEqual(['No take was logged.']);
  expect(briefWords({ minutes: 40, runs: [], takes: [], taken: 2 }, 'metric')).toEqual(['You fished for 40 minutes.']);
});
