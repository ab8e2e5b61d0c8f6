import { groupBy, sumOf } from '../maths';
import fc from 'fast-check';
import { castEvent, day, PLAN, RIG } from '../testing/fixtures';
import {
  amended,
  castTakenBack,
  join,
  type LoggedOuting,
  missedRig,
  movedTo,
  type Rearranged,
  type Scribe,
  split,
  takenBack,
  unjoin,
  unsplit,
} from './correct';
import type { EventBody, EventOf, Happened, LogEvent } from './events';
import { fold } from './fold';
import { standing } from './standing';

const MIN = 60_000;
const START = Date.parse('2026-05-04T08:00:00Z');
let n = 0;
/** Ids and times that never come twice. */
const by = (): Scribe => ({ id: () => `c${++n}`, now: START + 1e9 + n });
const at = (minutes: number, body: EventBody, rig: string | null = 'a'): Happened =>
  ({ id: `h${++n}`, at: START + minutes * MIN, runId: 'run', xM: 1, yM: 2, rig, ...body }) as Happened;
const cast = (minutes: number, rig = 'a') => at(minutes, { kind: 'cast', plan: PLAN }, rig) as EventOf<'cast'>;
const take = (minutes: number, rig = 'a') =>
  at(
    minutes,
    { kind: 'take', where: null, sign: null, what: 'pluck', juvenile: false, fish: null },
    rig,
  ) as EventOf<'take'>;
const olive = { ...RIG, fly: { ...RIG.fly, colour: 'olive' as const } };

/** A morning on black, an afternoon on olive. */
const wholeDay = (): Happened[] => [
  at(0, { kind: 'run start', runName: 'A' }),
  at(0, { kind: 'rig', set: RIG }),
  at(0, { kind: 'reading', reading: day() }),
  cast(1),
  cast(2),
  take(2.5),
  cast(3),
  at(4, { kind: 'run end' }),
  at(240, { kind: 'run start', runName: 'B' }),
  at(240, { kind: 'rig', set: olive }, 'b'),
  cast(241, 'b'),
  cast(242, 'b'),
  take(242.5, 'b'),
  at(243, { kind: 'run end' }, 'b'),
];
const outing = (outingId: string, events: readonly LogEvent[], from = 0, to = 243): LoggedOuting => ({
  outing: { outingId, waterId: 'w', startedAt: START + from * MIN, endedAt: START + to * MIN, notes: '' },
  events,
});

/** Carries out what a correction of outings comes to, as the store does. */
function carriedOut(
  all: ReadonlyMap<string, LoggedOuting>,
  { appended, kept, gone }: Rearranged,
): Map<string, LoggedOuting> {
  const out = new Map(all);
  for (const facts of kept) out.set(facts.outingId, { outing: facts, events: out.get(facts.outingId)?.events ?? [] });
  for (const { outingId, events } of appended) {
    const now = out.get(outingId)!;
    const known = new Set(now.events.map((e) => e.id));
    out.set(outingId, { ...now, events: [...now.events, ...events.filter((e) => !known.has(e.id))] });
  }
  gone.forEach((id) => out.delete(id));
  return out;
}
/** Casts and takes by the colour of the fly. */
const byColour = (log: readonly LogEvent[]) =>
  [...groupBy(fold(log).exposures, (e) => e.shown.colour)].map(([colour, own]) => [
    colour,
    sumOf(own, (e) => e.casts),
    sumOf(own, (e) => e.takes),
  ]);
const sums = (log: readonly LogEvent[]) => {
  const { tally, exposures } = fold(log);
  return { casts: tally.casts, takes: tally.takes, exposures };
};

describe('an entry said anew', () => {
  it('counts as it is said now, in its new place; what was said first stays in the log', () => {
    const log = wholeDay();
    const moved = movedTo(
      log.find((e) => e.kind === 'cast' && e.rig === 'b') as EventOf<'cast'>,
      log[5] as EventOf<'take'>,
      by(),
    );
    const now = [...log, moved];
    expect(now[5]).toEqual(log[5]);
    expect(fold(now).exposures.map((e) => [e.shown.colour, e.casts, e.takes])).toEqual([
      ['black', 3, 0],
      ['olive', 2, 2],
    ]);
    const order = standing(now);
    expect(order[order.findIndex((e) => e.id === log[5]!.id) - 1]!.kind).toBe('cast');
    expect(order.map((e) => e.at)).toEqual([...order.map((e) => e.at)].sort((a, b) => a - b));
  });

  it('the fly that was tied on can be put right for all casts with it', () => {
    const log = wholeDay();
    const other = amended({ ...log[1]!, set: olive } as Happened, by());
    expect(byColour([...log, other])).toEqual([['olive', 5, 2]]);
  });

  it('of two corrections the later counts, and the earlier again when that is taken back', () => {
    const log = wholeDay();
    const first = amended({ ...log[3]!, rig: 'b' } as Happened, by());
    const second = amended({ ...log[3]!, kind: 'note', text: 'no cast' } as unknown as Happened, by());
    expect(fold([...log, first, second]).tally.casts).toBe(4);
    expect(standing([...log, first, second, takenBack(second.id, by())]).find((e) => e.id === log[3]!.id)).toEqual(
      first.kind === 'amend' && first.to,
    );
  });

  it('keeps its place where its time is as it was', () => {
    // Two entries of one moment, the clock gone back after them.
    const log = [cast(5), at(5, { kind: 'bed' }), cast(1)];
    const now = standing([...log, amended({ ...log[1]!, kind: 'hang-up' } as unknown as Happened, by())]);
    expect(now.map((e) => [e.id, e.kind])).toEqual([
      [log[0]!.id, 'cast'],
      [log[1]!.id, 'hang-up'],
      [log[2]!.id, 'cast'],
    ]);
  });

  it('what was missed stands where it belongs in time, until it is taken out again', () => {
    const log = wholeDay();
    const fish = take(2.2);
    const added = amended(fish, by());
    const now = standing([...log, added]);
    expect(now).toHaveLength(log.length + 1);
    expect(now[now.findIndex((e) => e.id === fish.id) - 1]).toEqual(log[4]);
    expect(fold([...log, added]).tally.takes).toBe(3);
    expect(standing([...log, added, takenBack(added.id, by())])).toEqual(log);
    expect(standing([...log, added, takenBack(fish.id, by())])).toEqual(log);
    const later = amended({ ...fish, at: START + 242.2 * MIN, rig: 'b' }, by());
    expect(fold([...log, added, later]).exposures.map((e) => e.takes)).toEqual([1, 2]);
    // It goes with its part of a day that is split.
    const whole = outing('one', [...log, added, later]);
    const after = carriedOut(new Map([['one', whole]]), split(whole, START + 100 * MIN, 'two', by()));
    expect([...after.values()].map((o) => fold(o.events).tally.takes)).toEqual([1, 2]);
  });

  it('a fly that was tied on and not logged counts from then on, until something else was tied on', () => {
    const log = wholeDay();
    const red = { ...RIG, fly: { ...RIG.fly, colour: 'red' as const } };
    const now = [...log, ...missedRig(log, red, START + 1.5 * MIN, 'm', by())];
    expect(fold(now).exposures.map((e) => [e.shown.colour, e.casts, e.takes])).toEqual([
      ['black', 1, 0],
      ['red', 2, 1],
      ['olive', 2, 1],
    ]);
  });

  it('a cast that is taken back takes its fouled fly with it, and no other', () => {
    const log = [
      cast(1),
      cast(2),
      at(2.2, { kind: 'bed' }),
      at(2.5, { kind: 'fouled' }),
      cast(3),
      at(3.5, { kind: 'fouled' }),
    ];
    const now = [...log, ...castTakenBack(log[1] as EventOf<'cast'>, log, by())];
    expect(fold(now).tally).toMatchObject({ casts: 1, fouled: 1, bedTouches: 1 });
  });
});

describe('a day split in two', () => {
  const cut = () => {
    const whole = outing('one', wholeDay());
    const all = new Map([['one', whole]]);
    return { whole, after: carriedOut(all, split(whole, START + 100 * MIN, 'two', by())) };
  };

  it('adds up to what it was, each part with its own hours and its own evidence', () => {
    const { whole, after } = cut();
    const [one, two] = [after.get('one')!, after.get('two')!];
    expect(sums(one.events)).toMatchObject({ casts: 3, takes: 1 });
    expect(sums(two.events)).toMatchObject({ casts: 2, takes: 1 });
    expect([...fold(one.events).exposures, ...fold(two.events).exposures]).toEqual(fold(whole.events).exposures);
    expect(one.outing.endedAt).toBe(START + 4 * MIN);
    expect(two.outing).toMatchObject({ startedAt: START + 240 * MIN, endedAt: START + 243 * MIN, waterId: 'w' });
    expect(one.events.slice(0, whole.events.length)).toEqual(whole.events);
  });

  it('in the middle of a run the second part begins with the run, the rigs and the reading in force', () => {
    const whole = outing('one', wholeDay());
    const after = carriedOut(new Map([['one', whole]]), split(whole, START + 2.2 * MIN, 'two', by()));
    expect(
      standing(after.get('two')!.events)
        .slice(0, 3)
        .map((e) => e.kind),
    ).toEqual(['run start', 'rig', 'reading']);
    expect(fold(after.get('two')!.events).visits.map((v) => [v.runName, v.casts])).toEqual([
      ['A', 1],
      ['B', 2],
    ]);
    expect(byColour(after.get('two')!.events)).toEqual([
      ['black', 1, 1],
      ['olive', 2, 1],
    ]);
    const waters = fold(after.get('two')!.events).exposures.map((e) => e.shown.water);
    expect(new Set(waters)).toEqual(new Set([fold(whole.events).exposures[0]!.shown.water]));
  });

  it('is refused where nothing is on one side', () => {
    const whole = outing('one', wholeDay());
    expect(() => split(whole, START - MIN, 'two', by())).toThrow('on one side');
    expect(() => split(whole, START + 999 * MIN, 'two', by())).toThrow('on one side');
  });

  it('taken back, it is the day it was, with what was corrected in the second part since', () => {
    const { whole, after } = cut();
    const two = after.get('two')!;
    const lost = standing(two.events).find((e) => e.kind === 'take')!;
    const mended = carriedOut(after, {
      ...{ appended: [{ outingId: 'two', events: [takenBack(lost.id, by())] }], kept: [], gone: [] },
    });
    const mark = mended.get('one')!.events.find((e) => e.kind === 'split') as EventOf<'split'>;
    const back = carriedOut(mended, unsplit(mended.get('one')!, mark, mended.get('two')!, by()));
    expect([...back.keys()]).toEqual(['one']);
    expect(standing(back.get('one')!.events)).toEqual(standing(whole.events).filter((e) => e.id !== lost.id));
    expect(back.get('one')!.outing).toEqual(whole.outing);
  });
});

describe('two outings joined', () => {
  const parts = () => {
    const all = wholeDay();
    return new Map([
      ['late', outing('late', all.slice(8), 240)],
      ['early', outing('early', all.slice(0, 8), 0, 4)],
    ]);
  };

  it('are one, under the earlier, in the order of time, whichever was named first', () => {
    for (const [a, b] of [
      ['late', 'early'],
      ['early', 'late'],
    ] as const) {
      const before = parts();
      const after = carriedOut(before, join(before.get(a)!, before.get(b)!, by()));
      expect([...after.keys()]).toEqual(['early']);
      const { outing: facts, events } = after.get('early')!;
      expect(facts).toMatchObject({ startedAt: START, endedAt: START + 243 * MIN });
      expect(standing(events)).toEqual([...before.get('early')!.events, ...before.get('late')!.events]);
    }
  });

  it('outings that overlap are put together by their times', () => {
    const a = outing('a', [cast(1), cast(5), cast(9)], 0, 10);
    const b = outing('b', [take(6), cast(7)], 3, 10);
    const [merged] = carriedOut(
      new Map([
        ['a', a],
        ['b', b],
      ]),
      join(a, b, by()),
    ).values();
    expect(standing(merged!.events).map((e) => (e.at - START) / MIN)).toEqual([1, 5, 6, 7, 9]);
  });

  it('taken back, they are two again, with their notes, hours and later corrections', () => {
    const before = parts();
    const joined = carriedOut(before, join(before.get('early')!, before.get('late')!, by()));
    const one = joined.get('early')!;
    const last = standing(one.events).at(-2)!;
    const corrected = { ...one, events: [...one.events, takenBack(last.id, by())] };
    const mark = one.events.find((e) => e.kind === 'join') as EventOf<'join'>;
    const after = carriedOut(new Map([['early', corrected]]), unjoin(corrected, mark, by()));
    expect(after.get('early')!.outing.endedAt).toBe(START + 4 * MIN);
    expect(standing(after.get('early')!.events)).toEqual(standing(before.get('early')!.events));
    expect(standing(after.get('late')!.events)).toEqual(before.get('late')!.events.filter((e) => e.id !== last.id));
    expect(after.get('late')!.outing).toEqual(before.get('late')!.outing);
  });

  it('can be joined again after that', () => {
    const before = parts();
    let all = carriedOut(before, join(before.get('early')!, before.get('late')!, by()));
    const whole = standing(all.get('early')!.events);
    const mark = all.get('early')!.events.find((e) => e.kind === 'join') as EventOf<'join'>;
    all = carriedOut(all, unjoin(all.get('early')!, mark, by()));
    all = carriedOut(all, join(all.get('early')!, all.get('late')!, by()));
    expect(standing(all.get('early')!.events)).toEqual(whole);
  });

  it('split, joined again, and both taken back, the day is what it was', () => {
    const whole = outing('one', wholeDay());
    let all = carriedOut(new Map([['one', whole]]), split(whole, START + 100 * MIN, 'two', by()));
    const cut = all.get('one')!.events.find((e) => e.kind === 'split') as EventOf<'split'>;
    all = carriedOut(all, join(all.get('one')!, all.get('two')!, by()));
    const mark = all.get('one')!.events.find((e) => e.kind === 'join') as EventOf<'join'>;
    all = carriedOut(all, unjoin(all.get('one')!, mark, by()));
    expect(sums(all.get('one')!.events)).toMatchObject({ casts: 3 });
    expect(sums(all.get('two')!.events)).toMatchObject({ casts: 2 });
    expect(standing(all.get('two')!.events)[0]!.kind).toBe('rig');
    all = carriedOut(all, unsplit(all.get('one')!, cut, all.get('two')!, by()));
    expect([...all.keys()]).toEqual(['one']);
    expect(standing(all.get('one')!.events)).toEqual(whole.events);
    expect(all.get('one')!.outing).toEqual(whole.outing);
  });

  it('what was split and is joined again is the day it was', () => {
    const whole = outing('one', wholeDay());
    let all = carriedOut(new Map([['one', whole]]), split(whole, START + 100 * MIN, 'two', by()));
    all = carriedOut(all, join(all.get('one')!, all.get('two')!, by()));
    expect([...all.keys()]).toEqual(['one']);
    expect(sums(all.get('one')!.events)).toEqual(sums(whole.events));
    // The run, rigs and reading that the second part began with stood in it alone.
    expect(standing(all.get('one')!.events)).toEqual(whole.events);
  });
});

describe('corrections at random (property)', () => {
  const dayOf = () => [
    ...wholeDay(),
    at(250, { kind: 'fouled' }, 'b'),
    castEvent(1),
    at(260, { kind: 'estimate', casts: 40, takes: 1, minutes: null, timed: true, fly: null, water: null }),
    take(261),
  ];
  /** A correction of one entry: another time, rig, kind or place; or none of it any more. */
  const one = fc.record({
    which: fc.nat(30),
    how: fc.constantFrom('time', 'rig', 'kind', 'place', 'gone', 'move'),
    by: fc.integer({ min: -300, max: 300 }),
  });
  const correction = (log: readonly Happened[], c: { which: number; how: string; by: number }): LogEvent => {
    const e = log[c.which % log.length]!;
    const casts = log.filter((x): x is Happened & EventOf<'cast'> => x.kind === 'cast');
    switch (c.how) {
      case 'time':
        return amended({ ...e, at: e.at + c.by * MIN }, by());
      case 'rig':
        return amended({ ...e, rig: c.by % 2 ? 'a' : 'b' }, by());
      case 'kind':
        return amended(
          { ...{ id: e.id, at: e.at, runId: e.runId, xM: e.xM, yM: e.yM, rig: e.rig }, kind: 'bed' },
          by(),
        );
      case 'place':
        return amended({ ...e, xM: c.by }, by());
      case 'move':
        return e.kind === 'take' ? movedTo(casts[Math.abs(c.by) % casts.length]!, e, by()) : takenBack(e.id, by());
      default:
        return takenBack(e.id, by());
    }
  };

  it('a thousand of them keep casts and takes in one cell each', () => {
    fc.assert(
      fc.property(fc.array(one, { minLength: 1, maxLength: 12 }), (cs) => {
        const log = dayOf();
        const { tally, exposures } = fold([...log, ...cs.map((c) => correction(log, c))]);
        const sum = (of: 'casts' | 'takes') => exposures.reduce((a, e) => a + e[of], 0);
        expect(sum('casts')).toBe(tally.casts);
        expect(sum('takes')).toBe(tally.takes);
        expect(exposures.every((e) => e.casts >= 0)).toBe(true);
      }),
      { seed: 14, numRuns: 1000 },
    );
  });

  it('taken back in any order, the log says what it said before', () => {
    fc.assert(
      fc.property(
        fc.array(one, { minLength: 1, maxLength: 8 }),
        fc.infiniteStream(fc.double({ min: 0, max: 1, noNaN: true })),
        (cs, chance) => {
          const log = dayOf();
          const made = cs.map((c) => correction(log, c));
          const undone = made
            .map((c) => ({ c, r: chance.next().value as number }))
            .sort((a, b) => a.r - b.r)
            .map(({ c }) => takenBack(c.id, by()));
          expect(standing([...log, ...made, ...undone])).toEqual(log);
        },
      ),
      { seed: 15, numRuns: 300 },
    );
  });
});
