import fc from 'fast-check';
import type { CastPlan } from '../cast';
import { swingOnRun } from '../cast/case';
import { ANY_MEANS, handsOf, mayStand, moved, PRESENTATIONS, presented, shortened, wadeTo, whyNotCast } from '../cast';
import { sideOf } from '../cast/side';
import { type EventBody, type GoWay, type LogEvent, onRun, type TakeKind } from '../logbook';
import { day, PLAN, RIG, RUN } from '../testing/fixtures';
import { buildChannel } from '../water';
import type { FishLie } from '../lies';
import { type Going, type Next, nextOf, REST_MINUTES } from './next';
import { moveWords } from '@/words/cover';
import { MINUTE_MS } from '../units';

/** Two lengths from each stand, two paces apart. */
const PLANNED: CastPlan[] = [0, 1.5, 3, 4.5, 6, 7.5, 9, 10.5, 12].flatMap((xM) =>
  [9, 12].map((outM) => ({ ...PLAN, xM, yM: 2, outM })),
);

/** A visit that is written down as it goes on. */
function visit(o: Partial<Omit<Going, 'visit' | 'now'>> = {}) {
  const events: LogEvent[] = [];
  let now = 0;
  const log = (body: EventBody, at: { xM?: number; yM?: number } = {}) => {
    now += MINUTE_MS;
    events.push({
      id: `e${events.length}`,
      at: now,
      runId: 'run',
      rig: 'a',
      xM: null,
      yM: null,
      ...at,
      ...body,
    } as LogEvent);
  };
  log({ kind: 'run start', runName: 'Test run' });
  const next = (later = 0): Next =>
    nextOf({
      ...{ planned: PLANNED, sign: 1, flies: 1, hasSmaller: true, ...o },
      visit: onRun(events, 'run')!,
      now: now + later,
    });
  const self = {
    next,
    log: (body: EventBody, at?: { xM?: number; yM?: number }) => (log(body, at), self),
    /** Makes the cast that is next, so often. */
    casts: (n: number) => {
      for (let i = 0; i < n; i++) log({ kind: 'cast', plan: next().plan });
      return self;
    },
    cast: (plan: CastPlan) => (log({ kind: 'cast', plan }), self),
    take: (what: TakeKind, juvenile = false) =>
      self.log({ kind: 'take', what, juvenile, where: null, sign: null, fish: null }),
    go: (how: GoWay, at: { xM?: number; yM?: number } = {}, lie: number | null = null) =>
      self.log({ kind: 'go', how, lie }, at),
    undo: () => self.log({ kind: 'undo', undoes: events.at(-1)!.id }),
  };
  return self;
}
const index = (plan: CastPlan) => PLANNED.findIndex((p) => p.xM === plan.xM && p.outM === plan.outM);

describe('through the plan', () => {
  it('cast by cast in its order, to the end and beyond: there always is a cast', () => {
    const v = visit();
    for (let i = 0; i < PLANNED.length; i++) {
      expect(v.next()).toMatchObject({ kind: 'planned', plan: PLANNED[i], left: PLANNED.length - i });
      v.casts(1);
    }
    expect(v.next()).toMatchObject({ kind: 'over', left: 0, plan: PLANNED.at(-1) });
    expect(v.casts(1).next().kind).toBe('over');
  });

  it('an undone cast comes next again', () => {
    expect(visit().casts(3).undo().next().plan).toEqual(PLANNED[2]);
  });

  it('a cast made otherwise than planned moves it on from there, not back', () => {
    // A little longer than planned is the planned one; the same twice is no step.
    expect(
      index(
        visit()
          .cast({ ...PLANNED[0]!, outM: 9.6 })
          .next().plan,
      ),
    ).toBe(1);
    expect(index(visit().casts(2).cast(PLANNED[1]!).next().plan)).toBe(2);
    // Further down than planned: on from there.
    expect(
      visit()
        .cast({ ...PLANNED[0]!, xM: 6.2, outM: 20 })
        .next().plan.xM,
    ).toBe(6);
    // Gone back by more than a few steps: over it again.
    expect(
      visit()
        .casts(14)
        .cast({ ...PLANNED[0]!, xM: 1.4, outM: 20 })
        .next().plan.xM,
    ).toBe(1.5);
  });

  it('begins at the tail where one works up', () => {
    const v = visit({ planned: [...PLANNED].reverse(), sign: -1 });
    expect(v.next().plan.xM).toBe(12);
    expect(v.casts(3).next().plan.xM).toBe(10.5);
  });

  it('needs a plan', () => {
    expect(() => visit({ planned: [] }).next()).toThrow('planned');
  });
});

describe('what happened decides what is next (common practice, no source)', () => {
  it.each(['pluck', 'follow', 'roll', 'thump', 'stop'] as const)(
    'after a %s: the same cast at once, not a step',
    (what) => {
      const v = visit().casts(4).take(what);
      expect(v.next()).toMatchObject({ kind: 'same', plan: PLANNED[3] });
      expect(v.next().why).toEqual({ code: 'same after', what });
    },
  );

  it('then a rest with its end, the same cast with the same fly, a smaller fly, the same cast with it, and on', () => {
    const v = visit().casts(4).take('pluck').casts(1);
    expect(v.next()).toMatchObject({ kind: 'rest', minutes: REST_MINUTES });
    expect(REST_MINUTES).toBeGreaterThanOrEqual(2);
    expect(REST_MINUTES).toBeLessThanOrEqual(10);
    v.log({ kind: 'rest', minutes: REST_MINUTES });
    expect(v.next()).toMatchObject({ kind: 'resting' });
    expect(v.next().until! - v.next(0).until!).toBe(0);
    expect(v.next(REST_MINUTES * MINUTE_MS)).toMatchObject({ kind: 'same', plan: PLANNED[3] });
    v.cast(PLANNED[3]!);
    expect(v.next()).toMatchObject({ kind: 'smaller', plan: PLANNED[3] });
    v.log({ kind: 'rig', set: RIG });
    expect(v.next()).toMatchObject({ kind: 'same', plan: PLANNED[3] });
    expect(v.next().why).toEqual({ code: 'new fly' });
    v.cast(PLANNED[3]!);
    expect(v.next()).toMatchObject({ kind: 'planned', plan: PLANNED[4] });
  });

  it('a rest that was not taken to its end is over with the next cast', () => {
    const v = visit().casts(4).take('pluck').casts(1).log({ kind: 'rest', minutes: 10 }).cast(PLANNED[3]!);
    expect(v.next().kind).toBe('smaller');
  });

  it('with nothing smaller in the bag: from higher up, and down over it again', () => {
    const v = visit({ hasSmaller: false })
      .casts(16)
      .take('roll')
      .casts(1)
      .log({ kind: 'rest', minutes: 1 })
      .cast(PLANNED[15]!);
    const next = v.next();
    expect(next.kind).toBe('higher');
    expect(next.plan.xM).toBeCloseTo(10.5 - 9, 9);
    expect(v.casts(1).next()).toMatchObject({ kind: 'planned', plan: { xM: 1.5 } });
    const up = visit({ hasSmaller: false, planned: [...PLANNED].reverse(), sign: -1 });
    up.casts(16).take('roll').casts(1).log({ kind: 'rest', minutes: 1 }).casts(1);
    expect(up.next().plan.xM).toBeCloseTo(1.5 + 9, 9);
    expect(moveWords(up.next(), 'metric', String)).toBe('Go down 9 m'); // who works up goes back down
    // At the head of a run there is no room to go up.
    const head = visit({ hasSmaller: false }).casts(4).take('roll').casts(1).log({ kind: 'rest', minutes: 1 }).casts(1);
    expect(head.next().kind).toBe('planned');
  });

  it('nobody goes up, or steps on, to where one may not stand', () => {
    const c = buildChannel(RUN, day());
    const out = { ...PLAN, xM: 24, yM: 5, outM: 9 };
    expect(wadeTo(c, [], out.xM)).toBeGreaterThan(out.yM);
    const lie = { xM: 15, yM: 6, lengthM: 4, widthM: 2 } as FishLie;
    for (const [flies, lies, means] of [
      [1, [lie], ANY_MEANS],
      [2, [{ ...lie, xM: 25 }], ANY_MEANS],
      [1, [], { ...ANY_MEANS, wadeM: 0.2 }],
    ] as const) {
      const v = visit({ flies, hasSmaller: false, moved: (p) => moved(c, RIG, lies, means, p) });
      v.cast(out).take('roll').cast(out).log({ kind: 'rest', minutes: 1 }).cast(out);
      const { kind, plan } = v.next();
      expect(kind).toBe(flies > 1 ? 'dropper' : 'higher');
      expect(plan.yM).toBeLessThan(5);
      expect(mayStand(c, lies, plan.xM, plan.yM, means)).toBe(true);
      expect(whyNotCast(c, RIG, plan)).toBeNull();
    }
  });

  it('with two flies one step down, so that the upper one comes over it', () => {
    const v = visit({ flies: 2 }).casts(4).take('pluck').casts(1).log({ kind: 'rest', minutes: 1 }).cast(PLANNED[3]!);
    expect(v.next()).toMatchObject({ kind: 'dropper', plan: { ...PLANNED[3]!, xM: 2.25 } });
    expect(v.casts(1).next().kind).toBe('planned');
    // Cast up the river the second fly hangs below the first: one step up brings it there.
    const up = visit({ flies: 2, planned: [...PLANNED].reverse(), sign: -1 })
      .casts(4)
      .take('pluck')
      .casts(1);
    const stepped = up.log({ kind: 'rest', minutes: 1 }).casts(1).next();
    expect(stepped).toMatchObject({ kind: 'dropper', plan: { xM: 10.5 - 0.75 } });
    expect(moveWords(stepped, 'metric', String)).toBe('One step up');
  });

  it('a fish that was hooked, lost or landed is no fish to rest: hook and knot are looked at', () => {
    for (const what of ['hooked', 'lost', 'landed'] as const) {
      const v = visit().casts(4).take(what);
      expect(v.next()).toMatchObject({ kind: 'same', plan: PLANNED[3] });
      expect(v.next().why).toEqual({ code: 'check the hook' });
      expect(v.casts(1).next()).toMatchObject({ kind: 'planned', plan: PLANNED[4] });
    }
    expect(visit().casts(4).take('pluck').casts(1).take('landed').casts(1).next().kind).toBe('planned');
  });

  it('who casts on instead of resting goes on with the step, with two flies so that the second comes over it', () => {
    const one = visit().casts(4).take('pluck').casts(1);
    expect(one.next()).toMatchObject({ kind: 'rest', plan: PLANNED[4] });
    expect(one.casts(1).next()).toMatchObject({ kind: 'planned', plan: PLANNED[5] });
    const two = visit({ flies: 2 }).casts(4).take('pluck').casts(1);
    expect(two.next()).toMatchObject({ kind: 'rest', plan: { ...PLANNED[3]!, xM: 2.25 } });
    expect(two.casts(1).next()).toMatchObject({ kind: 'planned' });
    expect(two.next().plan.xM).toBeGreaterThan(2.25);
  });

  it('what one chooses oneself ends it', () => {
    expect(visit().casts(4).take('pluck').go('again').next()).toMatchObject({ kind: 'planned', plan: PLANNED[0] });
  });

  it('a trial that wants the other one on says so, after the fish', () => {
    const v = visit({ swap: true }).casts(3);
    expect(v.next()).toMatchObject({ kind: 'swap', plan: PLANNED[3] });
    expect(v.take('pluck').next().kind).toBe('same');
  });

  it('a fouled fly is cast again: that cast showed nothing', () => {
    expect(visit().casts(3).log({ kind: 'fouled' }).next()).toMatchObject({ kind: 'same', plan: PLANNED[2] });
  });

  it('three juveniles within six casts are left; they are no fish to rest', () => {
    const v = visit().casts(2).take('pluck', true);
    expect(v.next()).toMatchObject({ kind: 'planned', plan: PLANNED[2] });
    v.casts(1).take('pluck', true).casts(1).take('pluck', true);
    expect(v.next()).toMatchObject({ kind: 'leave', plan: PLANNED[4] });
    expect(v.casts(7).next().kind).toBe('planned');
  });
});

describe('what one chooses', () => {
  it('again: from the first cast on', () => {
    const v = visit().casts(18).go('again');
    expect(v.next()).toMatchObject({ kind: 'planned', plan: PLANNED[0], left: PLANNED.length });
    expect(v.casts(2).next().plan).toEqual(PLANNED[2]);
  });

  it('skip: on from the place of a lie’s cast; undone, it is not skipped', () => {
    const v = visit().casts(2).go('skip', { xM: 7.5, yM: 2 }, 4);
    expect(v.next().plan).toEqual(PLANNED[10]);
    expect(v.undo().next().plan).toEqual(PLANNED[2]);
  });

  it('here: casts from where one stands, on the plan from there, and keeps so far out', () => {
    const v = visit().casts(2).go('here', { xM: 5, yM: 6 });
    expect(v.next().plan).toMatchObject({ xM: 5, yM: 6 });
    v.casts(2);
    expect(v.next().plan).toMatchObject({ xM: 7.5, yM: 6 });
    // A step that was not taken: stay where the last cast was made.
    const stayed = visit().casts(2).go('here', { xM: 0, yM: 2 });
    expect(stayed.next().plan).toEqual({ ...PLANNED[2], xM: 0 });
    expect(stayed.casts(1).next().plan).toEqual({ ...PLANNED[3], xM: 0 });
    expect(stayed.casts(1).next().plan).toEqual(PLANNED[4]);
  });

  it.each([
    ['from mid-channel, away from the nearer bank', 11, 1],
    ['from the other bank, back over the river', 23, -1],
    ['from a boat near the middle', 13, -1],
  ] as const)('here %s: the cast is made over water, and fishes', (_, yM, side) => {
    const channel = buildChannel(RUN, day());
    const fit = (plan: CastPlan) => shortened(channel, RIG, plan);
    const long = PLANNED.map((p) => ({ ...p, xM: p.xM + 16, outM: 22 }));
    const v = visit({ planned: long, fit }).casts(2).go('here', { xM: 20, yM });
    const { plan } = v.next();
    expect(plan).toMatchObject({ yM });
    expect(whyNotCast(channel, RIG, plan)).toBeNull();
    // One made shorter than planned is the planned one all the same.
    expect(v.casts(1).next().left).toBe(v.casts(1).next().left + 1);
    expect(sideOf(channel, plan)).toBe(side);
    const r = swingOnRun({ channel, rig: RIG, plan: { ...plan, angleDeg: 50 }, lies: [] });
    expect(r.fishing).not.toBeNull();
    expect(Math.sign(r.landing.yM - yM)).toBe(side);
  });

  it('the same lane: again and again, with a wait between, until told otherwise', () => {
    const v = visit().casts(3).go('same lane');
    expect(v.next()).toMatchObject({ kind: 'lane', plan: PLANNED[2] });
    v.casts(1);
    expect(v.next()).toMatchObject({ kind: 'lane', plan: PLANNED[2] });
    expect(v.next().until).toBeGreaterThan(0);
    expect(v.next(2 * MINUTE_MS).until).toBeUndefined();
    expect(v.casts(5).next().kind).toBe('lane');
    expect(v.go('skip', { xM: 3, yM: 2 }).next()).toMatchObject({ kind: 'planned', plan: PLANNED[4] });
  });

  it('a fan: five angles from this stand, then on', () => {
    const v = visit().casts(3).go('fan');
    const angles: number[] = [];
    for (let n = 0; n < 5; n++) {
      expect(v.next().kind).toBe('fan');
      expect(v.next().plan.xM).toBe(PLANNED[2]!.xM);
      angles.push(v.next().plan.angleDeg);
      v.casts(1);
    }
    expect(angles).toEqual([30, 45, 60, 75, 90]);
    // Squarer across no more line is cast than the river is wide.
    const c = buildChannel(RUN, day());
    const wide = { ...PLAN, xM: 24, yM: 2, outM: 22 };
    const fan = visit({ fit: (p) => shortened(c, RIG, p) })
      .cast(wide)
      .go('fan');
    for (let n = 0; n < 5; n++) {
      expect(whyNotCast(c, RIG, fan.next().plan)).toBeNull();
      fan.casts(1);
    }
    expect(whyNotCast(c, RIG, { ...wide, angleDeg: 90 })).toMatchObject({ code: 'on the bank', bank: 'far' });
    expect(v.next()).toMatchObject({ kind: 'planned', plan: PLANNED[3] });
  });

  it('a rest of one’s own is told with its end', () => {
    const v = visit().casts(3).log({ kind: 'rest', minutes: 10 });
    expect(v.next()).toMatchObject({ kind: 'resting', plan: PLANNED[2] });
    expect(v.next(11 * MINUTE_MS)).toMatchObject({ kind: 'planned', plan: PLANNED[3] });
  });

  it('goes on from where one is when another plan is made, or from its first cast', () => {
    // Ten casts down, then the run is planned up, for what is shown by strips.
    const up = (planned: readonly CastPlan[]) => {
      const v = visit({ planned, sign: -1 });
      for (let n = 0; n < 10; n++) v.cast(PLANNED[n]!);
      return v.go('plan');
    };
    const stripped = PLANNED.map((p) => ({ ...p, angleDeg: 145 })).reverse();
    expect(up(stripped).next()).toMatchObject({ kind: 'planned', plan: { xM: 6 } });
    expect(up(stripped).casts(2).next().plan.xM).toBe(4.5);
    // All of it lies the other way.
    expect(up(stripped.filter((p) => p.xM > 7)).next()).toMatchObject({ kind: 'planned', plan: { xM: 12 } });
    // Another fly, planned down as before.
    const v = visit();
    for (let n = 0; n < 10; n++) v.cast({ ...PLANNED[n]!, outM: 20 });
    expect(v.go('plan').next().plan.xM).toBe(6);
  });
});

it('whatever happens there is a cast, it is the same when asked again, and it keeps within the run (property)', () => {
  const act = fc.constantFrom<(v: ReturnType<typeof visit>) => unknown>(
    (v) => v.casts(1),
    (v) => v.casts(3),
    (v) => v.take('pluck'),
    (v) => v.take('landed'),
    (v) => v.take('pluck', true),
    (v) => v.log({ kind: 'rest', minutes: 5 }),
    (v) => v.log({ kind: 'fouled' }),
    (v) => v.log({ kind: 'rig', set: RIG }),
    (v) => v.go('again'),
    (v) => v.go('fan'),
    (v) => v.go('same lane'),
    (v) => v.go('here', { xM: 4, yM: 3 }),
    (v) => v.go('skip', { xM: 9, yM: 2 }),
  );
  fc.assert(
    fc.property(fc.array(act, { maxLength: 30 }), fc.boolean(), fc.constantFrom(1, 2), (acts, hasSmaller, flies) => {
      const v = visit({ hasSmaller, flies });
      for (const a of acts) a(v);
      const next = v.next();
      expect(next).toEqual(v.next());
      expect(next.plan.xM).toBeGreaterThanOrEqual(0);
      expect(next.plan.xM).toBeLessThanOrEqual(12.75);
      expect(next.left).toBeGreaterThanOrEqual(0);
    }),
    { seed: 12, numRuns: 200 },
  );
});

describe('from a boat', () => {
  const c = buildChannel(RUN, day());
  const deep = { xM: 1, yM: 11 }; // deeper than anyone stands
  const at = (afloat: boolean) =>
    visit({ moved: (p) => moved(c, RIG, [], ANY_MEANS, p) }).log(
      { kind: 'go', how: 'here', lie: null, ...(afloat ? { afloat: true as const } : null) },
      deep,
    );

  it('casts on as far out as the boat lies; who stands there steps on only to where one may', () => {
    expect(wadeTo(c, [], 6)).toBeLessThan(deep.yM);
    expect(at(true).next().afloat).toBe(true);
    expect(at(true).casts(6).next().plan.yM).toBe(deep.yM);
    const afoot = at(false).casts(6).next();
    expect(afoot.afloat).toBe(false);
    expect(afoot.plan.yM).toBeLessThanOrEqual(wadeTo(c, [], afoot.plan.xM));
  });

  it('until one goes by the plan again', () => {
    expect(at(true).go('again').next().afloat).toBe(false);
  });
});

describe('how the fly is shown', () => {
  const SWEEP = PRESENTATIONS['sweep the hang'];
  const hands = { way: 'sweep the hang', ...SWEEP.hands } as const;

  it('is told by the way that was chosen last, in angle and hands, and the plan goes on', () => {
    const v = visit().casts(3).log({ kind: 'way', hands });
    expect(v.next().plan).toEqual({ ...presented(PLANNED[3]!, 'sweep the hang'), hands });
    expect(v.next().plan.angleDeg).toBe(SWEEP.cast.angleDeg);
    expect(v.casts(2).next().plan).toMatchObject({ xM: PLANNED[5]!.xM, outM: PLANNED[5]!.outM, hands });
    expect(v.log({ kind: 'way', hands: null }).next().plan).toEqual(PLANNED[5]);
    const undone = visit().casts(3).log({ kind: 'way', hands }).undo();
    expect(undone.next().plan).toEqual(PLANNED[3]);
  });

  it('set by hand under Rig it is shown so from the next cast on, where the plan is', () => {
    const setByHand = { ...presented(PLAN, 'strip'), xM: 30, angleDeg: 115 };
    const { plan } = visit({ setByHand }).casts(3).next();
    expect(plan).toMatchObject({ xM: PLANNED[3]!.xM, outM: PLANNED[3]!.outM, angleDeg: 115 });
    expect(handsOf(plan).way).toBe('strip');
  });

  it('a rig that is tied on, or a reading, leaves the plan where it is', () => {
    expect(visit().casts(3).log({ kind: 'rig', set: RIG }).next().plan).toEqual(PLANNED[3]);
    expect(visit().casts(3).log({ kind: 'reading', reading: day() }).next().plan).toEqual(PLANNED[3]);
  });
});
