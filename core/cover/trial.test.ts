import { usualHands } from '../cast';
import { type EventBody, type LogEvent, onRun } from '../logbook';
import { PLAN, RIG } from '../testing/fixtures';
import { type FairTrial, trialIn, trialsOf } from './trial';

const A = RIG;
const B = { ...RIG, fly: { ...RIG.fly, id: 'other' } };
const STRIP = { way: 'strip' as const, countS: 4, pullM: 0.2, pullMps: 0.5, restS: 1, feedM: 0, walkM: 0 };

function visit() {
  const events: LogEvent[] = [];
  let rig = 'a';
  const log = (body: EventBody, key = rig) => {
    rig = key;
    events.push({ id: `e${events.length}`, at: events.length, runId: 'run', rig, xM: 0, yM: 0, ...body } as LogEvent);
    return self;
  };
  const self = {
    ...{ log, events },
    casts: (n: number, plan = PLAN) => {
      for (let i = 0; i < n; i++) log({ kind: 'cast', plan });
      return self;
    },
    take: (juvenile = false) => log({ kind: 'take', what: 'pluck', where: null, sign: null, juvenile, fish: null }),
    trial: (): FairTrial | null => trialIn(onRun(events, 'run')!),
  };
  log({ kind: 'run start', runName: 'r' });
  log({ kind: 'rig', set: A });
  return self;
}
const begin = (v: ReturnType<typeof visit>) => v.log({ kind: 'trial', flyId: 'other', hands: null, block: 3 });

describe('a fair trial: A, B, A, B', () => {
  it('is none until it is begun, and none once it is ended', () => {
    expect(visit().casts(2).trial()).toBeNull();
    expect(begin(visit()).log({ kind: 'trial', flyId: null, hands: null, block: 1 }).trial()).toBeNull();
  });

  it('tells whose turn it is and when to swap, and counts each cast for what was on', () => {
    const v = begin(visit().casts(5));
    expect(v.trial()).toMatchObject({ turn: 'a', left: 3, swap: false, flyId: RIG.fly.id });
    v.casts(2).take();
    expect(v.trial()).toMatchObject({ turn: 'a', left: 1, swap: false, sides: { a: { casts: 2, takes: 1 } } });
    v.casts(1);
    expect(v.trial()).toMatchObject({ turn: 'b', left: 3, swap: true });
    v.log({ kind: 'rig', set: B }, 'b');
    expect(v.trial()).toMatchObject({ turn: 'b', swap: false });
    v.casts(3).take().take(true);
    expect(v.trial()).toMatchObject({
      ...{ turn: 'a', swap: true },
      sides: { a: { casts: 3, takes: 1 }, b: { casts: 3, takes: 1 } },
    });
    v.log({ kind: 'rig', set: A }, 'a');
    expect(v.trial()).toMatchObject({ turn: 'a', left: 3, swap: false });
  });

  it('a fouled cast counts for none, and is made good', () => {
    const v = begin(visit()).casts(3).log({ kind: 'fouled' });
    expect(v.trial()).toMatchObject({ turn: 'a', left: 1, sides: { a: { casts: 2 } } });
  });

  it('of two cadences by how the fly was shown', () => {
    const v = visit().casts(1).log({ kind: 'trial', flyId: null, hands: STRIP, block: 2 }).casts(2);
    expect(v.trial()).toMatchObject({ turn: 'b', swap: true, sides: { a: { casts: 2 } } });
    v.log({ kind: 'way', hands: STRIP }).casts(1, { ...PLAN, hands: STRIP });
    expect(v.trial()).toMatchObject({ turn: 'b', swap: false, left: 1, sides: { b: { casts: 1 } } });
  });

  it('against a plain swing: a planned cast that swings counts for the swing, whether it says so or not', () => {
    const swing = usualHands('swing');
    const v = visit()
      .casts(1, { ...PLAN, hands: STRIP })
      .log({ kind: 'trial', flyId: null, hands: swing, block: 2 });
    v.casts(2, { ...PLAN, hands: STRIP });
    expect(v.trial()).toMatchObject({ turn: 'b', swap: true, hands: STRIP, sides: { a: { casts: 2 } } });
    v.log({ kind: 'way', hands: swing })
      .casts(1)
      .casts(1, { ...PLAN, hands: swing })
      .take();
    expect(v.trial()).toMatchObject({ turn: 'a', sides: { a: { casts: 2 }, b: { casts: 2, takes: 1 } } });
  });

  it('those of an outing: the same two on two runs together, another pair apart, none where no cast was made', () => {
    const v = begin(visit()).casts(3).take();
    v.log({ kind: 'rig', set: B }, 'b').casts(2);
    v.log({ kind: 'run start', runName: 'next' }, 'b').casts(4).log({ kind: 'rig', set: A }, 'a');
    begin(v).casts(3);
    v.log({ kind: 'rig', set: B }, 'b').casts(3).take();
    v.log({ kind: 'trial', flyId: null, hands: null, block: 3 }).casts(5);
    v.log({ kind: 'trial', flyId: null, hands: STRIP, block: 3 }).log({
      kind: 'trial',
      flyId: null,
      hands: null,
      block: 3,
    });
    const rigs = new Map([
      ['a', A],
      ['b', B],
    ]);
    const all = trialsOf(v.events, rigs);
    expect(all).toHaveLength(1);
    expect(all[0]).toMatchObject({
      ...{ flyId: RIG.fly.id, of: { flyId: 'other' } },
      sides: { a: { casts: 6, takes: 1 }, b: { casts: 5, takes: 1 } },
      even: { a: { casts: 3, takes: 0 }, b: { casts: 3, takes: 1 } },
    });
    expect(trialsOf([], rigs)).toEqual([]);
  });
});
