import { addDays, clock, dayOf, startOfDay } from './time';
import { itemsOf, type KitItem, NO_RIG, rigOf, SHOT_ABOVE_M } from '@/core/tackle';
import { RIG } from '@/core/testing/fixtures';
import { water } from '@/store/records.testing';
import { withShot } from './shotOptions';
import { bytesOf, fileName } from './files';
import { filesOf } from './routeFiles';
import { choiceOfTaken, takenOf } from './useFliesTaken';
import { fishOf, waterOn } from './useWater';
import { readingLine } from '@/words/water';

describe('local days', () => {
  it('go on over months, years and changes of the clock', () => {
    expect(addDays('2026-02-28', 1)).toBe('2026-03-01');
    expect(addDays('2026-12-31', 1)).toBe('2027-01-01');
    let day = '2026-01-01';
    for (let i = 0; i < 365; i++) day = addDays(day, 1);
    expect(day).toBe('2027-01-01');
    expect(addDays('2026-03-29', -1)).toBe('2026-03-28');
    expect(dayOf(startOfDay('2026-10-25'))).toBe('2026-10-25');
    expect(clock(null)).toBe('–');
  });
});

describe('shot on the leader', () => {
  const bare = { ...NO_RIG, flyId: 'f' };
  it('sits as the school says where there was none, and where it sat before', () => {
    expect(withShot(bare, 4e-4, true)).toEqual({ ...bare, shotKg: 4e-4, shotAboveM: SHOT_ABOVE_M });
    expect(withShot(bare, 4e-4, false)).toEqual({ ...bare, shotKg: 4e-4 });
    expect(withShot({ ...bare, shotKg: 2e-4 }, 4e-4, true)).toEqual({ ...bare, shotKg: 4e-4 });
    expect(withShot({ ...bare, shotKg: 2e-4, shotAboveM: 0.1 }, 4e-4, false)).toMatchObject({ shotAboveM: 0.1 });
    expect(withShot({ ...bare, shotKg: 2e-4, shotAboveM: 0.1 }, 0, true)).toEqual(bare);
  });
});

describe('which fly was taken', () => {
  it.each([{}, { place: 0 }, { place: 2 }, { on: '0' }, { on: 'other dry' }])('%j is said by its choice', (taken) => {
    const choice = choiceOfTaken(taken);
    expect(takenOf(choice) ?? {}).toEqual(taken);
    expect(choice === null).toBe(Object.keys(taken).length === 0);
  });
});

describe('a water on a day', () => {
  const two = water({ quarry: 'brown trout', also: ['grayling', 'brown trout'] });
  const after = (part: object = {}) => ({ waterId: two.id, day: '2026-09-10', quarry: 'grayling' as const, ...part });

  it('is fished for the fish that was chosen for it, that day and there only, and while it is one of its fish', () => {
    expect(fishOf(two)).toEqual(['brown trout', 'grayling']);
    expect(waterOn(two, after(), '2026-09-10')).toEqual({ ...two, quarry: 'grayling', also: ['brown trout'] });
    expect(waterOn(two, after(), '2026-09-11')).toBe(two);
    expect(waterOn(two, undefined, '2026-09-10')).toBe(two);
    expect(waterOn(two, after({ waterId: 'another' }), '2026-09-10')).toBe(two);
    expect(waterOn({ ...two, also: undefined }, after(), '2026-09-10').quarry).toBe('brown trout');
  });
});

describe('a rig from choices', () => {
  const kit: KitItem[] = [RIG.rod, RIG.head, RIG.tip!, RIG.leader, RIG.fly];
  const choice = { ...NO_RIG, rodId: 'r', headId: 'h', tipId: 't', leaderId: 'l', flyId: 'f' };

  it('is whole when all that is needed is chosen; the tip may be missing', () => {
    expect(rigOf(kit, choice)).toEqual(RIG);
    expect(rigOf(kit, { ...choice, tipId: '' })!.tip).toBeNull();
    expect(rigOf(kit, { ...choice, flyId: 'gone' })).toBeNull();
    expect(itemsOf(kit, 'fly')).toEqual([RIG.fly]);
  });

  it('does not take a fly for a rod', () => {
    expect(rigOf(kit, { ...choice, rodId: 'f' })).toBeNull();
  });
});

describe('a reading in one line', () => {
  const reading = {
    id: 'q',
    runId: 'r',
    at: 0,
    levelM: -0.1,
    visibilityM: 0.5,
    atLeast: true,
    colour: 'tea' as const,
    speed: null,
    waterTempC: null,
    sky: 'dusk' as const,
  };
  it('says what was read, in the user’s units, and leaves out what was not', () => {
    expect(readingLine(reading, 'metric')).toBe('Visibility at least 0.50 m · −10 cm · tea · dusk');
    expect(readingLine({ ...reading, waterTempC: 10, atLeast: false }, 'imperial')).toBe(
      'Visibility 1.6 ft · −4 in · 50 °F · tea · dusk',
    );
  });
});

describe('names of files', () => {
  it.each([
    ['Long Even', 'long-even'],
    ['Süßwasser Öd', 'süßwasser-öd'],
    ['川の瀬', '川の瀬'],
    ['Ре́ка', 'ре́ка'],
    ['../../etc', 'etc'],
    ['CON', 'run-con'],
    ['lpt1', 'run-lpt1'],
    ['***', 'run-1'],
    ['a'.repeat(99), 'a'.repeat(60)],
  ])('of %j is %j', (given, name) => {
    expect(fileName(given)).toBe(name);
  });

  it('what is in a file: bounded, and told when it cannot be opened', async () => {
    expect([...(await bytesOf(new Blob(['ab']), 2))]).toEqual([97, 98]);
    await expect(bytesOf(new Blob(['abc']), 2)).rejects.toThrow('larger than');
    const gone = { size: 1, arrayBuffer: () => Promise.reject(new Error('x')) } as unknown as Blob;
    await expect(bytesOf(gone, 2)).rejects.toThrow('can’t be opened');
  });
});

describe('the files of an address', () => {
  const files = [
    ...['./(tabs)/_layout.tsx', './(tabs)/index.tsx', './(tabs)/read/[run]/edit.tsx', './(tabs)/read/[run]/index.tsx'],
    ...['./(tabs)/read/_layout.tsx', './(tabs)/read/index.tsx', './(tabs)/read/new.tsx', './(tabs)/rig.tsx'],
    ...['./+not-found.tsx', './_layout.tsx', './bag/index.tsx', './bag/means.tsx', './rig-card.tsx'],
  ];
  it.each([
    ['/', ['_layout', '(tabs)/_layout', '(tabs)/index']],
    ['/read', ['_layout', '(tabs)/_layout', '(tabs)/read/_layout', '(tabs)/read/index']],
    ['/read/', ['_layout', '(tabs)/_layout', '(tabs)/read/_layout', '(tabs)/read/index']],
    ['/read/new', ['_layout', '(tabs)/_layout', '(tabs)/read/_layout', '(tabs)/read/new']],
    ['/read/a.b', ['_layout', '(tabs)/_layout', '(tabs)/read/_layout', '(tabs)/read/[run]/index']],
    ['/read/a/edit', ['_layout', '(tabs)/_layout', '(tabs)/read/_layout', '(tabs)/read/[run]/edit']],
    ['/rig', ['_layout', '(tabs)/_layout', '(tabs)/rig']],
    ['/rig-card', ['_layout', 'rig-card']],
    ['/bag/means', ['_layout', 'bag/means']],
    ['/read/a/b/c', ['_layout', '+not-found']],
  ])('%s', (path, shown) => {
    expect(filesOf(path, files)).toEqual(shown.map((f) => `./${f}.tsx`));
  });
});
