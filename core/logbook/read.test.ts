import { PLAN, RIG } from '../testing/fixtures';
import { effortByRig } from './effort';
import type { EventBody, Happened } from './events';
import { entryAt, entryId, grouped } from './grouped';
import { castsText, eventText } from '@/words/log';

let n = 0;
const ev = (body: EventBody, rig: string | null = 'a'): Happened =>
  ({ id: `r${++n}`, at: n * 1000, runId: 'run', xM: 1, yM: 2, rig, ...body }) as Happened;
const cast = (xM = 1, outM = 12, rig = 'a') => ev({ kind: 'cast', plan: { ...PLAN, xM, outM } }, rig);
const take = (rig = 'a') =>
  ev({ kind: 'take', where: null, sign: null, what: 'pluck', juvenile: false, fish: null }, rig);
const step = () => ev({ kind: 'step', byM: 1 });

describe('a log as one reads it', () => {
  it('casts that follow each other are one entry, with their steps; all else stands by itself', () => {
    const log = [step(), cast(), cast(), step(), cast(), take(), cast(), ev({ kind: 'bed' }), step()];
    const entries = grouped(log);
    expect(entries.map((e) => e.kind)).toEqual(['casts', 'take', 'casts', 'bed']);
    expect(entries[0]).toMatchObject({ casts: [log[1], log[2], log[4]], steps: [log[0], log[3]] });
    expect(entryAt(entries[0]!)).toBe(log[1]!.at);
    expect(entryId(entries[1]!)).toBe(log[5]!.id);
    expect(grouped([])).toEqual([]);
  });

  it('says how many, how long and where; or not where', () => {
    const [group] = grouped([cast(0, 8), cast(1.4, 9.5), cast(12, 16)]);
    if (group!.kind !== 'casts') throw new Error('casts');
    expect(castsText(group!, 'metric')).toBe('3 casts, 8.0 to 16.0 m of line, 0 to 12 m down the run');
    expect(castsText(group!, 'metric', false)).toBe('3 casts, 8.0 to 16.0 m of line');
    const [one] = grouped([cast(3, 12.192)]);
    expect(castsText(one as never, 'imperial')).toBe('one cast, 40 ft of line, 10 ft down the run');
  });

  it('says corrections and what was told afterwards', () => {
    const bed = ev({ kind: 'bed' });
    const say = (body: object) => eventText({ ...bed, ...body } as never, 'metric');
    expect(say({ kind: 'amend', to: bed })).toBe('Corrected: Touched the bed');
    const outing = { outingId: 'o', waterId: 'w', startedAt: 1, endedAt: 2, notes: '' };
    expect(say({ kind: 'split', ids: ['a', 'b'], outing })).toBe('2 entries went to an outing of their own');
    expect(say({ kind: 'join', ids: ['a', 'b'], outing })).toBe('2 entries came from another outing');
    const estimate = { kind: 'estimate', casts: 120, takes: 1, minutes: 60, timed: true, fly: null, water: null };
    expect(say(estimate)).toBe('About 120 casts, 1 take, by hand');
    expect(say({ ...estimate, casts: null, takes: 0, fly: { name: 'old one', colour: null, family: null } })).toBe(
      'Casts not known, by hand; old one',
    );
  });
});

describe('effort by what was on', () => {
  it('casts and takes with each rig, a fouled one taken off its own', () => {
    const log = [
      ev({ kind: 'rig', set: RIG }),
      cast(),
      cast(),
      ev({ kind: 'rig', set: { ...RIG, lineClean: false } }, 'b'),
      cast(1, 12, 'b'),
      ev({ kind: 'fouled' }, 'b'),
      cast(1, 12, 'a'), // put right: it was made with the first
      take('b'),
    ];
    expect(effortByRig(log).map((r) => [r.key, r.casts, r.takes])).toEqual([
      ['a', 3, 0],
      ['b', 0, 1],
    ]);
    expect(effortByRig(log)[1]!.set!.lineClean).toBe(false);
  });

  it('before anything was tied on it is no one’s', () => {
    expect(effortByRig([cast()])).toEqual([{ key: '', set: null, casts: 1, takes: 0 }]);
    expect(effortByRig([ev({ kind: 'rig', set: RIG })])).toEqual([]);
  });
});
