import fc from 'fast-check';
import { castAt, type CastPlan, farSide, plainCast, shortestCast, wadeTo, whyNotCast } from '../cast';
import { caseOnRun, swingOnRun } from '../cast/case';
import { findLies, type FishLie } from '../lies';
import { survey } from '../lies/survey';
import { type FishingPart, type LiePass, NUMERICS, runSwing, type SwingResult } from '../swing';
import { flyAt, rowOf } from '../swing/series';
import { RIG, RUN } from '../testing/fixtures';
import { buildChannel } from '../water';
import { type Odds, oddsOf, tryOut } from './trial';
import { judge, missOf, overRedd } from './verdict';
import { mendSentence, riseSentence, swingSentence, verdictSentence } from './words';

const channel = buildChannel(RUN, null);
const lies = findLies(RUN, channel, null, { quarry: 'sea trout', school: 'near the bed', most: 5 });

describe('standing and casting', () => {
  it('brings the fly over the lie it was asked for', () => {
    const lie = lies[0]!;
    const plan = castAt(lie, channel, RIG, lies);
    expect(plan.xM).toBeLessThan(lie.xM);
    const [v] = judge(swingOnRun({ channel, rig: RIG, plan, lies: [lie] }), [lie]);
    expect(v!.fit).not.toBe('not reached');
  });

  it('never sends anyone deeper than 0.8 m or into water of half the low hazard (Cox, Shand & Blacka 2010, from memory)', () => {
    for (const x of [0, 10, 20, 30, 40, 50]) {
      const y = wadeTo(channel, lies, x);
      const i = Math.round((x - channel.x0) / channel.dx);
      const j = Math.round((y - channel.y0) / channel.dy);
      expect(channel.h[i * channel.ny + j]!).toBeLessThanOrEqual(0.85);
      expect(channel.h[i * channel.ny + j]! * channel.u[i * channel.ny + j]!).toBeLessThanOrEqual(0.33);
    }
  });

  it('keeps casts between the shortest the rig allows and what is comfortable', () => {
    expect(shortestCast(RIG)).toBeGreaterThanOrEqual(6);
    const far = farSide(lies, plainCast(RUN, channel), RIG);
    expect(far).toBeGreaterThanOrEqual(shortestCast(RIG));
    expect(far).toBeLessThanOrEqual(22);
  });
});

/** Seconds of the swing's series in which the fly is within reach of a lie. */
const by = (r: SwingResult, lie: FishLie) =>
  Array.from({ length: r.rows }, (_, i) => flyAt(r, i)).filter(
    (f) =>
      Math.abs(f.xM - lie.xM) <= lie.lengthM / 2 + 0.5 + 1e-6 && Math.abs(f.yM - lie.yM) <= lie.widthM / 2 + 0.5 + 1e-6,
  );

describe('judging a swing', () => {
  const lie = lies[0]!;
  const plan = castAt(lie, channel, RIG, lies);
  const result = swingOnRun({ channel, rig: RIG, plan, lies });
  const pass = { ...result.fished[0]!, missM: 0, alongM: 0, acrossM: 0, crossSpeedMps: 0.1 };
  const at = (depthM: number, o: Partial<LiePass> = {}) =>
    judge({ ...result, fished: [{ ...pass, depthM, ...o }], lies: [{ ...pass, depthM, ...o }] }, [lie])[0]!;
  const far = { alongM: -30, missM: 30 };

  it('says too shallow by how much, too deep, on the bed, right, not reached', () => {
    const { topM, bottomM } = lie.band;
    expect(at(topM - 0.2)).toMatchObject({ fit: 'too shallow', byM: expect.closeTo(0.2, 6), tooFast: false });
    expect(at((topM + bottomM) / 2).fit).toBe('right');
    expect(at(bottomM + 0.02).fit).toBe('too deep');
    expect(at(lie.depthM).fit).toBe('on the bed');
    expect(at(topM, far)).toMatchObject({ fit: 'not reached', byM: 30 });
    expect(() => judge({ ...result, lies: [] }, [lie])).toThrow('lies');
  });

  it('takes along and across for themselves: a long narrow lie is not reached from beside', () => {
    const ribbon = { ...lie, lengthM: 16, widthM: 1 };
    const of = (alongM: number, acrossM: number) => {
      const p = { ...pass, depthM: lie.band.topM, alongM, acrossM, missM: Math.hypot(alongM, acrossM) };
      return judge({ ...result, fished: [p], lies: [p] }, [ribbon])[0]!.fit;
    };
    expect(of(8, 0)).toBe('right');
    expect(of(8.6, 0)).toBe('not reached');
    expect(of(0, 0.9)).toBe('right');
    expect(of(0, -1.1)).toBe('not reached');
  });

  it('does not count a fly that lands on the lie, has dragged before it, or comes by when the swing is over', () => {
    const p = { ...pass, depthM: lie.band.topM };
    const idle = (o: Partial<SwingResult>, t: number) =>
      judge({ ...result, lies: [{ ...p, t }], fished: [{ ...p, ...far }], ...o }, [lie])[0]!;
    const fishing = { ...result.fishing!, fromS: 5, toS: 20 };
    expect(idle({ fishing }, 2)).toMatchObject({ fit: 'not fishing', idle: 'landing' });
    expect(idle({ fishing: { ...fishing, ends: 'bed' } }, 25)).toMatchObject({ idle: 'bed' });
    expect(idle({ fishing: { ...fishing, ends: 'hang' } }, 25)).toMatchObject({ idle: 'over' });
    expect(idle({ fishing: null, fished: [null], dragsS: 1 }, 3)).toMatchObject({ fit: 'not fishing', idle: 'bed' });
    expect(missOf(idle({ fishing }, 2), false)).toBeGreaterThan(20);
    // A fly that floats above a line on the bed: fished before that, not after it.
    const floats = (lineDragsS: number) => idle({ fishing, fished: [{ ...p, t: 12 }], lineDragsS }, 12);
    expect(floats(11)).toMatchObject({ fit: 'not fishing', idle: 'line' });
    expect(floats(13).fit).toBe('right');
  });

  it('never credits a pass outside the part that fishes (property over casts)', () => {
    let right = 0;
    fc.assert(
      fc.property(
        fc.record({
          xM: fc.integer({ min: 0, max: 40 }),
          outM: fc.integer({ min: 8, max: 20 }),
          angleDeg: fc.integer({ min: 20, max: 120 }),
          mendM: fc.integer({ min: 0, max: 3 }),
        }),
        (o) => {
          const plan: CastPlan = { ...o, yM: 3, rod: 'follow' };
          if (whyNotCast(channel, RIG, plan)) return;
          const r = swingOnRun({ channel, rig: RIG, plan, lies }, NUMERICS.screen);
          for (const v of judge(r, lies)) {
            if (v.fit === 'not reached' || v.fit === 'not fishing') continue;
            right++;
            const near = by(r, v.lie).filter((f) => f.tS >= r.fishing!.fromS - 0.1 && f.tS <= r.fishing!.toS + 0.1);
            expect(near.length).toBeGreaterThan(0);
            expect(r.dragsS === null || v.pass.t <= r.dragsS + 0.1).toBe(true);
          }
        },
      ),
      { numRuns: 60, seed: 3 },
    );
    expect(right).toBeGreaterThan(12);
  });

  it('over a long lie, a fly that comes to the bed early on its way lies on it there (common practice, no source)', () => {
    const stretch = { ...lie, lengthM: 40, widthM: 8 };
    const p = { ...pass, depthM: lie.band.topM, alongM: -8, acrossM: 3 };
    const of = (o: Partial<SwingResult['fishing'] & object>, anyS = 12, fished = p) =>
      judge(
        {
          ...{ ...result, lies: [{ ...pass, t: anyS }], fished: [fished] },
          fishing: { ...result.fishing!, fromS: 1, toS: 5, ends: 'bed', ...o },
        },
        [stretch],
      )[0]!;
    expect(of({})).toMatchObject({ fit: 'on the bed', byM: expect.closeTo(lie.depthM - lie.band.bottomM, 9) });
    // Most of the way, to the hang, past where it is nearest, or beside the lie, is another thing.
    expect(of({ toS: 7 }).fit).toBe('right');
    expect(of({ ends: 'hang' }).fit).toBe('right');
    expect(of({}, 4).fit).toBe('right');
    expect(of({}, 12, { ...p, acrossM: 4.2 }).fit).toBe('right');
    expect(of({}, 12, { ...p, alongM: -20.2 }).fit).toBe('right');
  });

  it('names the wood that the fly goes through', () => {
    const [half] = by(result, lie);
    const log = { id: 'l', kind: 'log', xM: half!.xM, yM: half!.yM, lengthM: 1, widthM: 1 } as const;
    const [v] = judge(result, [lie], [log]);
    expect(v!.wood).toBe('log');
    expect(missOf(v!, false)).toBeGreaterThanOrEqual(10);
    expect(verdictSentence(v!, 'metric')).toBe('Hangs up before lie 1: through the log on the way.');
    expect(judge(result, [lie], [{ ...log, kind: 'boulder' }])[0]!.wood).toBeUndefined();
    expect(judge(result, [lie], [{ ...log, xM: lie.xM - 30 }])[0]!.wood).toBeUndefined();
  });

  it('a fly that comes over a redd, or just below one, is not as wanted, wherever it passed before', () => {
    const { xM: x, yM: y } = flyAt(result, rowOf(result, result.fishing!.toS));
    const redd = (xM: number) => ({ id: 'r', kind: 'redd' as const, xM, yM: y, lengthM: 2, widthM: 2 });
    const over = judge(result, [lie], [redd(x)])[0]!;
    expect(over.redd).toBe(true);
    expect(missOf(over, false)).toBeGreaterThanOrEqual(10);
    expect(judge(result, [lie], [redd(x - 4)])[0]!.redd).toBe(true);
    for (const away of [x - 12, x + 12]) expect(judge(result, [lie], [redd(away)])[0]!.redd).toBeUndefined();
    for (const v of [at(lie.band.topM), at(1, far)])
      expect(verdictSentence({ ...v, redd: true }, 'metric')).toBe(
        'The fly swings over the redd on the cast at lie 1: leave that alone.',
      );
    // A trial is swum to its end where there is one: it may come there past its lie, where others are ended.
    const ended = runSwing({ ...caseOnRun(channel, RIG, plan, [lie]), stopPastLies: true });
    const beyond = { ...redd(x), yM: y - 1.8 };
    expect(overRedd(ended, ended, [beyond])).toBe(false);
    expect(overRedd(result, result, [beyond])).toBe(true);
    const spawning = buildChannel({ ...RUN, features: [...RUN.features, beyond] }, null);
    expect(tryOut(spawning, { lie, sideOn: false }, { rig: RIG, plan }, NUMERICS.full)!.verdict.redd).toBe(true);
  });

  it('puts it in an angler’s words, in either units', () => {
    const v = at(lie.band.topM - 0.1);
    expect(verdictSentence(v, 'metric')).toMatch(/^Passes lie 1 at \d\.\d\d m, a hand too high; slow enough\.$/);
    expect(verdictSentence(v, 'imperial')).toMatch(/ ft, /);
    const half = lie.lengthM / 2;
    const away = at(1, { alongM: -half - 6, missM: half + 6 });
    expect(verdictSentence(away, 'metric')).toBe('Does not reach lie 1: passes 6 m above it.');
    const short = at(1, { acrossM: -lie.widthM / 2 - 2, missM: 4 });
    expect(verdictSentence(short, 'metric')).toBe('Does not reach lie 1: passes 2 m short of it.');
    expect(verdictSentence(at(lie.band.topM, { acrossM: 0.8, missM: 0.8 }), 'metric')).toContain('1 m from its middle');
  });

  it('tells the swing as it is fished', () => {
    const f = { fromS: 3.2, toS: 31, maxDepthM: 0.8, maxDepthS: 9, meanCrossSpeedMps: 0.4, maxCrossSpeedMps: 0.6 };
    const said = (o: Partial<FishingPart> & Pick<FishingPart, 'ends' | 'touches'>, r: Partial<SwingResult> = {}) =>
      swingSentence({ ...result, fishing: { ...f, ...o }, ...r }, 'metric');
    expect(said({ ends: 'hang', touches: 0 })).toBe(
      'Comes tight at the count of 3. Fishes from 3 to 31 s; then it hangs: pause, strip in. Deepest 0.80 m at 9 s; 0.40 m/s across, 0.60 m/s at the most.',
    );
    expect(said({ ends: 'bed', touches: 3, fromS: 0.4 })).toMatch(
      /^Comes tight at once\..*drags on the bed: lift it off before.*Touches the bed 2 times\.$/,
    );
    expect(said({ ends: 'slow', touches: 1 })).toContain('Touches the bed once.');
    expect(said({ ends: 'hang', touches: 0 }, { lineDragsS: 8.3 })).toContain('Its line lies on the bed from 8 s on.');
    expect(swingSentence({ ...result, fishing: null, dragsS: 2 }, 'metric')).toContain('nothing of it fishes');
    expect(swingSentence({ ...result, fishing: null, dragsS: null }, 'metric')).toBe(
      'Never comes tight: nothing of it fishes.',
    );
  });
});

describe('odds over the doubt of the readings', () => {
  const wanted = { lie: lies[0]!, sideOn: false };
  const trial = { rig: RIG, plan: castAt(lies[0]!, channel, RIG, lies) };

  it('can come to less with each swing, in the end to what they are; what drops out of the running has none', () => {
    const odds = oddsOf(channel, wanted, trial)!;
    const most: Odds[] = [];
    expect(oddsOf(channel, wanted, trial, undefined, (m) => most.push(m) > 0)).toEqual(odds);
    expect(odds.ofTen).toBeGreaterThan(0);
    expect(odds.ofTen).toBeLessThan(10);
    most.forEach((m, i) => {
      expect(m.ofTen).toBeLessThanOrEqual(most[i - 1]?.ofTen ?? 10);
      expect(m.credit).toBeLessThanOrEqual(most[i - 1]?.credit ?? 1);
    });
    expect(most.at(-1)).toEqual({ ...odds, risk: null });
    let asked = 0;
    expect(oddsOf(channel, wanted, trial, undefined, () => ++asked < 3)).toBeNull();
    expect(asked).toBe(3);
  });
});

describe('a late mend in words', () => {
  const plan: CastPlan = { ...castAt(lies[0]!, channel, RIG, lies), mendM: 1.5, mendAtS: 3 };
  const said = (o: Partial<CastPlan>) => {
    const p = { ...plan, ...o };
    return mendSentence(swingOnRun({ channel, rig: RIG, plan: p, lies }), p, 'metric');
  };
  it('says what it did to the fly, and nothing where there is none or it was laid in the air', () => {
    expect(said({})).toMatch(/^The mend drags the fly 0\.\d\d m towards you(, leaves it slack until \d+ s)?\.$/);
    expect(said({ mendAtS: 0 })).toBe('');
    expect(said({ mendM: 0 })).toBe('');
    expect(said({ mendAtS: 60 })).toBe('The swing is over before the mend is made.');
  });

  it('says drag, rise and slack as they are', () => {
    const made = swingOnRun({ channel, rig: RIG, plan, lies });
    const row = (i: number, col: number, v: number) => (made.series[9 * i + col] = v);
    for (let i = 30; i < made.rows; i++) {
      row(i, 2, 5); // across
      row(i, 3, 0.8); // depth
      row(i, 5, 0); // speed across
      row(i, 8, i < 90 ? 0 : 1); // pull
    }
    expect(mendSentence(made, plan, 'metric')).toBe('The mend leaves the fly where it is, leaves it slack until 9 s.');
    row(40, 3, 0.3);
    row(40, 2, 4);
    expect(mendSentence(made, plan, 'metric')).toBe(
      'The mend drags the fly 1.00 m towards you, lifts it 0.50 m, leaves it slack until 9 s.',
    );
  });
});

describe('where a timed rise begins', () => {
  const r = swingOnRun({ channel, rig: RIG, plan: castAt(lies[0]!, channel, RIG, lies), lies });
  const fly = flyAt(r, Math.round(r.fishing!.maxDepthS * 10));
  it('is told at the lie, or how far from it', () => {
    const there = { ...lies[0]!, xM: fly.xM + 0.5, yM: fly.yM, lengthM: 3, widthM: 2 };
    expect(riseSentence(r, there, 'metric')).toBe(
      `Begins to rise after ${Math.round(r.fishing!.maxDepthS)} s, at lie 1.`,
    );
    expect(riseSentence(r, { ...there, xM: fly.xM + 6 }, 'metric')).toContain('6 m from lie 1');
    expect(riseSentence({ ...r, fishing: null }, there, 'metric')).toContain('never begins to rise');
  });
});

describe('a survey', () => {
  it('is the same as its parts, and can be drawn', () => {
    const s = survey(RUN, null, { quarry: 'sea trout', school: 'near the bed', most: 5 });
    expect(s.lies.map(({ foundAgain: _times, ...l }) => l)).toEqual(lies);
    for (const l of s.lies) expect(l.foundAgain!.times >= 0 && l.foundAgain!.times <= l.foundAgain!.of).toBe(true);
    expect(s.tints[0]!.rings[0]!.length).toBeGreaterThan(10);
    expect(s.tints.map((t) => t.fromM)).toEqual([...s.tints.map((t) => t.fromM)].sort((a, b) => a - b));
    expect(s.flow).toHaveLength(12);
  });
});
