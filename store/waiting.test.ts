import { append, patch, put, remove } from './changes';
import { memorySpare } from './memory';
import { DEFAULT_SETTINGS, EMPTY_SESSION } from './records';
import { createWaiting } from './waiting';

const units = patch('settings', 'settings', { units: 'imperial' }, DEFAULT_SETTINGS);
const height = patch('settings', 'settings', { heightM: 1.9 }, DEFAULT_SETTINGS);
const left = (spare: ReturnType<typeof memorySpare>) =>
  [...spare.entries.values()].flatMap((v) => JSON.parse(v) as unknown[]);

describe('what waits', () => {
  it('is copied to the second place as it is entered, and goes from there once it is settled', () => {
    const spare = memorySpare();
    const w = createWaiting(spare, 'a');
    const first = w.add([units]);
    w.add([height, remove('run', 'r')]);
    expect(left(spare)).toEqual([[units], [height, remove('run', 'r')]]);
    expect(w.size()).toBe(3);
    w.settle([first]);
    expect(left(spare)).toEqual([[height, remove('run', 'r')]]);
    w.settle(w.all());
    expect(spare.entries.size).toBe(0);
    expect(w.copied()).toBe(true);
  });

  it('is not said to be copied where there is no room, or no second place', () => {
    const spare = memorySpare();
    const w = createWaiting(spare, 'a');
    spare.full = true;
    w.add([units]);
    expect(w.copied()).toBe(false);
    const alone = createWaiting(null, 'a');
    expect(alone.copied()).toBe(true); // nothing waits
    alone.add([units]);
    expect(alone.copied()).toBe(false);
  });

  it('leaves no copy of what is done: a later page would do it again, over what came after', () => {
    const spare = memorySpare();
    const w = createWaiting(spare, 'a');
    const first = w.add([units]);
    spare.full = true;
    w.add([height]);
    w.settle([first]);
    expect(left(spare)).toEqual([]);
    expect(w.copied()).toBe(false);
  });

  it('of an earlier page comes first; of a page that is open it is left alone', () => {
    const spare = memorySpare();
    createWaiting(spare, 'dead').add([units]);
    createWaiting(spare, 'open').add([height]);
    const w = createWaiting(spare, 'new');
    const own = put('session', EMPTY_SESSION);
    w.add([own]);
    w.adopt(['open']);
    expect(w.all().map((g) => g.changes)).toEqual([[units], [own]]);
    expect(w.all().map((g) => g.again)).toEqual([true, false]);
    expect(spare.keys().sort()).toEqual(['wanderung-waiting/new', 'wanderung-waiting/open']);
  });

  it('of an earlier page stays where it is as long as there is no room to copy it', () => {
    const spare = memorySpare();
    createWaiting(spare, 'dead').add([units]);
    spare.full = true;
    const w = createWaiting(spare, 'new');
    w.adopt([]);
    expect(spare.keys()).toEqual(['wanderung-waiting/dead']);
    w.settle(w.all());
    expect(spare.keys()).toEqual([]);
  });

  it.each([
    ['cut short', '[[{"do":"pa'],
    ['not a list', '{"a":1}'],
    ['of an unknown kind', '[[{"do":"put","kind":"boat","record":{"id":"b"}}]]'],
    ['of an unknown change', '[[{"do":"burn","kind":"run","id":"r"}]]'],
    ['without a record', '[[{"do":"put","kind":"run"}]]'],
    ['without events', '[[{"do":"append","outingId":"o"}]]'],
    ['nothing', '[[null]]'],
    ['without fields', '[[{"do":"patch","kind":"run","id":"r"}]]'],
  ])('is passed over where the copy is damaged: %s', (_, text) => {
    const spare = memorySpare();
    spare.set('wanderung-waiting/dead', text);
    spare.set('wanderung-waiting/well', JSON.stringify([[append('o', [])], [remove('run', 'r')]]));
    const w = createWaiting(spare, 'new');
    w.adopt([]);
    expect(w.all().map((g) => g.changes)).toEqual([[append('o', [])], [remove('run', 'r')]]);
  });

  it('leaves alone what others keep in the second place', () => {
    const spare = memorySpare();
    spare.set('theirs', '1');
    const w = createWaiting(spare, 'a');
    w.adopt([]);
    expect(w.all()).toEqual([]);
    expect(spare.get('theirs')).toBe('1');
  });
});
