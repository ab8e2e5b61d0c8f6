import { known, type SchoolDay, type Schools, SCHOOLS, type SchoolName, usualSchools } from './schools';

const DAY: SchoolDay = { quarry: 'brown trout', cold: false, dirty: false, bright: false, wood: false };
/** What a day changes of what is usual. */
const changes = (o: Partial<SchoolDay>): Partial<Schools> => {
  const [plain, other] = [usualSchools(DAY), usualSchools({ ...DAY, ...o })];
  return Object.fromEntries(Object.entries(other).filter(([n, v]) => plain[n as SchoolName] !== v));
};

describe('what is usual where one has not chosen (choices; common practice, no source)', () => {
  it('is an option of each question', () => {
    const usual = usualSchools(DAY);
    expect(Object.keys(usual).sort()).toEqual(Object.keys(SCHOOLS).sort());
    for (const [name, option] of Object.entries(usual)) expect(SCHOOLS[name as SchoolName]).toContain(option);
    expect(usual).toMatchObject({ hours: 'all day under cloud', motion: 'keep it animated', hang: 'keep it moving' });
  });

  it.each<[string, Partial<SchoolDay>, Partial<Schools>]>([
    ['cold', { cold: true }, { hours: 'warmest hours', hang: 'give it time' }],
    ['bright', { bright: true }, { hours: 'ends of the day' }],
    ['bright and cold', { bright: true, cold: true }, { hours: 'warmest hours', hang: 'give it time' }],
    ['dirty', { dirty: true }, { tippet: 'strong' }],
    ['by wood', { wood: true }, { tippet: 'strong' }],
    ['rainbow trout', { quarry: 'rainbow trout' }, { motion: 'small regular pulses' }],
    [
      'fish that travel',
      { quarry: 'steelhead' },
      { motion: 'let it swing', hang: 'give it time', tippet: 'strong', lineHand: 'a loop to give' },
    ],
  ])('%s', (_, day, says) => expect(changes(day)).toEqual(says));
});

describe('what was chosen', () => {
  it('is kept where it is known here, and left out where another version knew it', () => {
    expect(known({ hang: 'give it time', depth: 'in the air', weather: 'fair' })).toEqual({ hang: 'give it time' });
  });
});
