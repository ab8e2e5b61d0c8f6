import { day, PLAN, RIG } from '../testing/fixtures';
import type { EventBody, EventOf, LogEvent } from './events';
import { addTallies, fold } from './fold';
import { visitsOf } from './visits';
import { standing } from './standing';

let n = 0;
const START = Date.parse('2024-05-04T08:00:00Z');
const ev = (body: EventBody, minutes: number, rig: string | null = null): LogEvent =>
  ({ id: `h${++n}`, at: START + minutes * 60_000, runId: 'run', xM: null, yM: null, rig, ...body }) as LogEvent;
const estimate = (o: Partial<EventOf<'estimate'>> = {}): EventBody =>
  ({ kind: 'estimate', casts: 120, takes: 2, minutes: null, timed: true, fly: null, water: null, ...o }) as EventBody;
const landed = (minutes: number): LogEvent =>
  ev(
    {
      ...{ kind: 'take', where: null, sign: null, what: 'landed', juvenile: false },
      fish: { species: 'sea trout', lengthM: 0.45, sex: null, condition: 'fresh', origin: null },
    },
    minutes,
  );
const byHand = (o: Partial<EventOf<'estimate'>> = {}) => [
  ev({ kind: 'run start', runName: 'Long Even' }, 0),
  ev(estimate(o), 1),
  landed(2),
  ev({ kind: 'run end' }, 180),
];

describe('a day that was not counted but remembered', () => {
  it('counts its casts and takes, and says that they were not counted', () => {
    const { tally } = fold(byHand());
    expect(tally).toMatchObject({ casts: 120, byHand: 120, takes: 3, byHandTakes: 3, landed: 1, minutes: 180 });
  });

  it('is evidence of its own, apart from what was counted', () => {
    const fly = { name: 'an old one', colour: 'red' as const, family: null };
    const water = { levelM: 0.3, visibilityM: 0.5, waterTempC: null, sky: null };
    const log = [
      ev({ kind: 'rig', set: RIG }, -9, 'k'),
      ev({ kind: 'cast', plan: PLAN }, -8, 'k'),
      ...byHand({ fly, water }),
    ];
    const season = 'Mar–May';
    const [counted, byHand_] = fold(log).exposures;
    expect(counted).toMatchObject({ shown: { colour: 'black', family: 'rabbit strip', season }, casts: 1, takes: 0 });
    expect(counted!.shown.water).toBeUndefined();
    expect(byHand_).toMatchObject({ shown: { colour: 'red', water: 'dirty', level: '3', season }, how: 'by hand' });
    expect(byHand_).toMatchObject({ casts: 120, takes: 3 });
    expect(byHand_!.shown.family).toBeUndefined();
    expect(fold(log).fish[0]).toMatchObject({ fly: { name: 'an old one', colour: 'red' }, levelM: 0.3 });
  });

  it('leaves fly and water as they are in force where it says nothing of them', () => {
    const log = [
      ev({ kind: 'rig', set: RIG }, -9, 'k'),
      ev({ kind: 'reading', reading: day({ visibilityM: 2 }) }, -8),
      ...byHand(),
    ];
    expect(fold(log).exposures).toMatchObject([
      { shown: { colour: 'black', water: 'clear' }, how: 'by hand', casts: 120 },
    ]);
  });

  it('where not even the casts are known, its takes are kept from all rates', () => {
    const { exposures, tally } = fold(byHand({ casts: null, minutes: 240 }));
    expect(exposures).toMatchObject([{ how: 'casts not known', casts: 0, takes: 3 }]);
    expect(tally).toMatchObject({ casts: 0, takes: 3, minutes: 240 });
  });

  it('ends where a cast is counted again, or another run begins', () => {
    const counted = [...byHand().slice(0, 2), ev({ kind: 'cast', plan: PLAN }, 5), landed(6)];
    expect(fold(counted).tally).toMatchObject({ casts: 121, byHand: 120, takes: 3, byHandTakes: 2 });
    const another = [...byHand(), ev({ kind: 'run start', runName: 'Next' }, 190), landed(191)];
    expect(fold(another).tally.byHandTakes).toBe(3);
  });

  it('adds up with counted outings', () => {
    const sum = addTallies(fold(byHand()).tally, fold([ev({ kind: 'cast', plan: PLAN }, 0)]).tally);
    expect(sum).toMatchObject({ casts: 121, byHand: 120 });
  });
});

describe('the stays of an outing', () => {
  it('are told with casts, takes and the first reading of each', () => {
    const log = [
      ev({ kind: 'run start', runName: 'A' }, 0),
      ev({ kind: 'reading', reading: day({ levelM: 0.2, visibilityM: 0.8 }) }, 1),
      ev({ kind: 'cast', plan: PLAN }, 2),
      ev({ kind: 'cast', plan: PLAN }, 3),
      ev({ kind: 'fouled' }, 4),
      landed(5),
      ev({ kind: 'reading', reading: day({ levelM: 0.6 }) }, 6),
      ev({ kind: 'run end' }, 7),
      ev({ kind: 'note', text: 'on the way' }, 8),
      ...byHand().map((e) => ({ ...e, at: e.at + 3_600_000, runId: null })),
    ];
    const at = (minutes: number) => START + minutes * 60_000;
    expect(visitsOf(standing(log))).toEqual([
      {
        ...{ runId: 'run', runName: 'A', fromAt: at(0), toAt: at(7), casts: 1, byHand: 0, takes: 1, landed: 1 },
        ...{ levelM: 0.2, visibilityM: 0.8, timed: true },
      },
      {
        ...{ runId: null, runName: 'Long Even', fromAt: at(60), toAt: at(240), casts: 120, byHand: 120, takes: 3 },
        ...{ landed: 1, levelM: null, visibilityM: null, timed: true },
      },
    ]);
  });

  it('notes and what is said of fish can be searched', () => {
    expect(fold([ev({ kind: 'note', text: 'heron' }, 0), ...byHand()]).notes).toEqual(['heron', 'sea trout, fresh']);
  });
});
