import fc from 'fast-check';
import { castAt, type CastPlan, doubtOf, farSide, plainCast, shortestCast, wadeTo, whyNotCast } from '../cast';
import { caseOnRun, swingOnRun } from '../cast/case';
import { findLies } from '../lies';
import { finished } from '../maths/work';
import { survey } from '../lies/survey';
import { draws, drawn, type FishingPart, type LiePass, NUMERICS, runSwing, type SwingResult } from '../swing';
import { COL, flyAt, rowOf, WIDTH } from '../swing/series';
import type { KitItem } from '../tackle';
import { OPEN, RIG, RUN } from '../testing/fixtures';
import { buildChannel } from '../water';
import { changesFor, SURE_OF_TEN } from './changes';
import type { ChangesRequest } from './levers';
import { oddsOf, tryOut } from './trial';
import { isRight, judge, overRedd } from './verdict';
import {
  betweenWords,
  mendSentence,
  openingSentence,
  riseSentence,
  swingSentence,
  verdictSentence,
} from '@/words/advice';

const channel = buildChannel(RUN, null);
const lies = findLies(RUN, channel, null, { quarry: 'sea trout', school: 'near the bed', most: 5 });

describe('standing and casting', () => {
  it('brings the fly over the lie it was asked for', () => {
    const lie = lies[0]!;
    const plan = castAt(lie, channel, RIG, lies);
    expect(plan.xM).toBeLessThan(lie.xM);
    const request = { channel, rig: RIG, plan, lies: [lie] };
    const [v] = judge(swingOnRun(request), request);
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

describe('judging a swing', () => {
  const lie = lies[0]!;
  const plan = castAt(lie, channel, RIG, lies);
  const request = { channel, rig: RIG, plan, lies: [lie] };
  const result = swingOnRun(request);
  const verdict = (o: Partial<CastPlan> = {}, rig = RIG) => {
    const q = { ...request, rig, plan: { ...plan, ...o } };
    return judge(swingOnRun(q), q)[0]!;
  };
  /** The same swing with its fly so much deeper all the way. */
  const deeper = (byM: number, of: SwingResult = result): SwingResult => {
    const series = of.series.slice();
    for (let o = COL.depth; o < series.length; o += WIDTH) series[o]! += byM;
    const moved = (passes: readonly (LiePass | null)[]) =>
      passes.map((p) => p && { ...p, depthM: p.depthM + byM }) as LiePass[];
    return { ...of, series, lies: moved(of.lies), fished: moved(of.fished) };
  };
  const at = (byM: number) => judge(deeper(byM), request)[0]!;

  it('right where it is well shown; else what is worst: too shallow by how much, on the bed, not reached', () => {
    const all = [-0.6, -0.4, -0.2, 0, 0.2, 0.4, 0.6].map(at);
    const best = all.reduce((a, b) => (b.showing > a.showing ? b : a));
    expect(best).toMatchObject({ fit: 'right', tooFast: false, byM: 0 });
    for (const v of all) expect(isRight(v)).toBe(v.showing >= 0.5);
    const high = at(-0.7);
    expect(high.fit).toBe('too shallow');
    expect(high.byM).toBeCloseTo(high.lie.band.topM - high.pass.depthM, 6);
    expect(at(3).fit).toBe('on the bed');
    expect(verdict({ outM: 8, angleDeg: 20 }).fit).toMatch(/not reached|not fishing/);
    expect(() => judge({ ...result, lies: [] }, request)).toThrow('lies');
  });

  it('judges where in a long lie it is shown best, not where it is nearest to the middle', () => {
    const long = { ...lie, lengthM: 20 };
    const q = { ...request, lies: [long] };
    const moved = { ...q, lies: [{ ...long, xM: lie.xM + 7 }] };
    const [a, b] = [q, moved].map((of) => judge(swingOnRun(of), of)[0]!);
    expect(Math.abs(b!.showing - a!.showing)).toBeLessThan(0.1);
    expect(Math.abs(b!.pass.alongM - a!.pass.alongM)).toBeGreaterThan(3);
  });

  it('does not count a fly that lands on the lie, has dragged before it, or comes by when the swing is over', () => {
    const idle = (o: Partial<SwingResult>, t: number) => {
      const pass = { ...result.lies[0]!, t };
      return judge({ ...result, lies: [pass], fished: [null], ...o }, request)[0]!;
    };
    const fishing = { ...result.fishing!, fromS: 0, toS: 0 };
    expect(idle({ fishing: { ...fishing, fromS: 5, toS: 5 } }, 2)).toMatchObject({
      fit: 'not fishing',
      idle: 'landing',
    });
    expect(idle({ fishing: { ...fishing, ends: 'bed' } }, 25)).toMatchObject({ idle: 'bed', showing: 0 });
    expect(idle({ fishing: { ...fishing, ends: 'hang' } }, 25)).toMatchObject({ idle: 'over' });
    expect(idle({ fishing: null, dragsS: 1 }, 3)).toMatchObject({ fit: 'not fishing', idle: 'bed' });
    // A fly that floats above a line on the bed: fished before that, not after it.
    const floats = (lineDragsS: number) => judge({ ...result, lineDragsS }, request)[0]!;
    expect(floats(0.1)).toMatchObject({ fit: 'not fishing', idle: 'line' });
    expect(floats(100).showing).toBe(at(0).showing);
  });

  it('never credits a pass outside the part that fishes (property over casts)', () => {
    let [shown, slight, within] = [0, 0, 0];
    fc.assert(
      fc.property(
        fc.record({
          xM: fc.integer({ min: 0, max: 40 }),
          outM: fc.integer({ min: 11, max: 20 }),
          angleDeg: fc.integer({ min: 20, max: 120 }),
          mendM: fc.integer({ min: 0, max: 3 }),
        }),
        (o) => {
          const p: CastPlan = { ...o, yM: 3, rod: 'follow' };
          if (whyNotCast(channel, RIG, p)) return;
          const q = { channel, rig: RIG, plan: p, lies };
          const r = swingOnRun(q, NUMERICS.screen);
          for (const v of judge(r, q)) {
            if (v.showing === 0) continue;
            shown++;
            expect(v.pass.t).toBeGreaterThanOrEqual(r.fishing!.fromS - 0.1);
            expect(v.pass.t).toBeLessThanOrEqual(r.fishing!.toS + 0.1);
            // Nothing is called too high or too deep inside the band, nor too fast below the speed that is told.
            if (v.fit === 'too shallow') expect(v.pass.depthM).toBeLessThan(v.lie.band.topM + 1e-6);
            if (v.fit === 'too deep') expect(v.pass.depthM).toBeGreaterThan(v.lie.band.bottomM - 1e-6);
            if (v.tooFast) expect(v.pass.crossSpeedMps).toBeGreaterThan(v.lie.crossSpeedMps);
            if (v.slight) [slight, within] = [slight + 1, within + Number(!isRight(v))];
          }
        },
      ),
      { numRuns: 60, seed: 3 },
    );
    expect(shown).toBeGreaterThan(12);
    expect(slight).toBeGreaterThan(0);
    expect(within).toBe(slight);
  });

  it('names the wood that the fly goes through', () => {
    const half = flyAt(result, rowOf(result, (result.fishing!.fromS + result.fishing!.toS) / 2));
    const log = { id: 'l', kind: 'log', xM: half.xM, yM: half.yM, lengthM: 1, widthM: 1 } as const;
    const by = (features: typeof channel.features) =>
      judge(result, { ...request, channel: { ...channel, features } })[0]!;
    const v = by([log]);
    expect(v).toMatchObject({ wood: 'log', showing: 0 });
    expect(verdictSentence(v, 'metric')).toBe('Hangs up before lie 1: through the log on the way.');
    expect(by([{ ...log, kind: 'boulder' }]).wood).toBeUndefined();
    expect(by([{ ...log, xM: half.xM - 30 }]).wood).toBeUndefined();
  });

  it('a fly that comes over a redd, or just below one, is not shown, wherever it passed before', () => {
    const { xM: x, yM: y } = flyAt(result, rowOf(result, result.fishing!.toS));
    const redd = (xM: number) => ({ id: 'r', kind: 'redd' as const, xM, yM: y, lengthM: 2, widthM: 2 });
    const by = (of: ReturnType<typeof redd>) =>
      judge(result, { ...request, channel: { ...channel, features: [of] } })[0]!;
    expect(by(redd(x))).toMatchObject({ redd: true, showing: 0 });
    expect(by(redd(x - 4)).redd).toBe(true);
    for (const away of [x - 12, x + 12]) expect(by(redd(away)).redd).toBeUndefined();
    expect(verdictSentence({ ...at(0), redd: true }, 'metric')).toBe(
      'The fly swings over the redd on the cast at lie 1: leave that alone.',
    );
    // A trial is swum to its end where there is one: it may come there past its lie, where others are ended.
    const ended = runSwing({ ...caseOnRun(channel, RIG, plan, [lie]), stopPastLies: true });
    const beyond = { ...redd(x), yM: y - 1.8 };
    expect(overRedd(ended, ended, [beyond])).toBe(false);
    expect(overRedd(result, result, [beyond])).toBe(true);
    const spawning = buildChannel({ ...RUN, features: [...RUN.features, beyond] }, null);
    expect(tryOut(spawning, lie, { rig: RIG, plan }, NUMERICS.full)!.verdict.redd).toBe(true);
  });

  it('puts it in an angler’s words, in either units', () => {
    const v = at(0);
    const said = (o: Partial<typeof v>, units: 'metric' | 'imperial' = 'metric') =>
      verdictSentence({ ...v, ...o }, units);
    expect(said({ fit: 'too shallow', byM: 0.1 })).toMatch(/^Passes lie 1 at \d\.\d\d m, a hand too high; slow enough/);
    expect(said({ fit: 'too shallow', byM: 0.1 }, 'imperial')).toMatch(/ ft, /);
    expect(said({ slight: true })).toMatch(
      /, at the right depth; slow enough.*; a little off in all, so not well shown\.$/,
    );
    expect(said({ fit: 'right', pass: { ...v.pass, depthM: 0.004 } })).toMatch(
      /^Passes lie 1 on the surface; slow enough/,
    );
    expect(said({ fit: 'too shallow', byM: 0.1, pass: { ...v.pass, depthM: 0.004 } })).toMatch(
      /^Passes lie 1 on the surface, a hand too high/,
    );
    const half = lie.lengthM / 2;
    const pass = { ...v.pass, acrossM: 0, alongM: -half - 6, missM: half + 6 };
    expect(said({ fit: 'not reached', pass })).toBe('Does not reach lie 1: passes 6 m above it.');
    expect(openingSentence({ ...v, fit: 'not reached', pass }, 'metric')).toBe(
      'Begins the run: passes 6 m above lie 1.',
    );
    const short = { ...pass, alongM: 0, acrossM: -lie.widthM / 2 - 2 };
    expect(said({ fit: 'not reached', pass: short })).toBe('Does not reach lie 1: passes 2 m short of it.');
    const hair = { ...pass, alongM: -half - 0.4 };
    expect(said({ fit: 'not reached', pass: hair })).toBe('Does not reach lie 1: passes just above it.');
  });

  it('tells between which depths it passes, where there is more than one', () => {
    expect(betweenWords({ low: 0.7, high: 0.92 }, 'metric')).toBe('Four in five pass between 0.70 m and 0.92 m');
    expect(betweenWords({ low: 0.701, high: 0.704 }, 'metric')).toBe('Four in five pass at about 0.70 m');
    expect(betweenWords({ low: 0, high: 0.003 }, 'imperial')).toBe('Four in five pass on the surface');
    expect(betweenWords({ low: 0, high: 0.02 }, 'metric')).toBe('Four in five pass just under the surface');
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
    expect(said({ ends: 'end', touches: 0, maxDepthM: 0.003 })).toMatch(
      /31 s; then it barely moves: strip in\. Stays on the surface; 0\.40 m\/s across/,
    );
    expect(swingSentence(result, 'metric', 'strip')).not.toContain('barely moves');
    expect(swingSentence({ ...result, fishing: null, dragsS: 2 }, 'metric')).toContain('nothing of it fishes');
    expect(swingSentence({ ...result, fishing: null, dragsS: null }, 'metric')).toBe(
      'Never comes tight: nothing of it fishes.',
    );
  });
});

describe('odds over the doubt of the readings', () => {
  const lie = lies[0]!;
  const trial = { rig: RIG, plan: castAt(lie, channel, RIG, lies) };

  it('are the share of the drawings in which the fly is well shown, with the mean of its showing', () => {
    const odds = oddsOf(channel, lie, trial)!;
    const q = { channel, ...trial, lies: [lie] };
    const all = draws(doubtOf(channel)).map(
      (d) => judge(runSwing(drawn(caseOnRun(channel, RIG, trial.plan, [lie]), d)), q, d.depth)[0]!,
    );
    expect(odds.ofTen).toBeCloseTo((10 * all.filter(isRight).length) / all.length, 6);
    expect(odds.showing).toBeCloseTo(all.reduce((sum, v) => sum + v.showing, 0) / all.length, 2);
    expect(odds.ofTen).toBeGreaterThan(0);
    // With something to beat it is worked out as far as it can still come to more, and then it is the same.
    const against = (toBeat: number) => oddsOf(channel, lie, trial, { toBeat });
    expect(against(odds.ofTen)).toBeNull();
    expect(against(odds.ofTen - 0.5)).toEqual(odds);
    expect(oddsOf(channel, lie, { ...trial, plan: { ...trial.plan, yM: 500 } })).toBeNull();
  });
});

describe('the smallest change', () => {
  const lie = lies[0]!;
  const light: KitItem = { ...RIG.tip!, id: 'light', name: '10 ft intermediate', sinkRateMps: 0.04 };
  const heavy: KitItem = { ...RIG.tip!, id: 'heavy', name: '10 ft heavy', sinkRateMps: 0.2 };
  const ask = (o: Partial<ChangesRequest> = {}): ChangesRequest => ({
    ...{ rig: RIG, plan: castAt(lie, channel, RIG, lies), lie, lies, channel, lengthM: RUN.lengthM, rules: null },
    kit: [RIG.rod, RIG.head, RIG.tip!, RIG.leader, RIG.fly, light, heavy],
    ...o,
  });

  it('is none where the fly is surely well shown; else each shows it better than what is, what does it the cheapest first', () => {
    let changed = 0;
    for (const angleDeg of [40, 65, 100]) {
      const q = ask({ plan: { ...castAt(lie, channel, RIG, lies), angleDeg, mendM: 0 } });
      const shares: number[] = [];
      const work = changesFor(q);
      let step = work.next();
      for (; !step.done; step = work.next()) shares.push(step.value);
      const { now, changes } = step.value;
      expect(shares.every((v, i) => v >= (shares[i - 1] ?? 0) - 1e-9 && v <= 1)).toBe(true);
      if (now!.chance >= SURE_OF_TEN) expect(changes).toEqual([]);
      const doing = changes.filter((c) => c.does);
      expect(doing.map((c) => c.costS)).toEqual(doing.map((c) => c.costS).sort((a, b) => a - b));
      for (const c of changes) {
        expect(c.chance).toBeGreaterThan(now!.chance);
        expect(c.levers.length).toBeGreaterThan(0);
        expect(oddsOf(channel, lie, c)!.ofTen).toBe(c.chance);
        changed++;
      }
    }
    expect(changed).toBeGreaterThan(1);
  });

  it('mends what is not allowed first, and says where nothing is', () => {
    const rules = { ...OPEN, maxFlies: 1 } as const;
    const two = { ...RIG, droppers: [{ fly: RIG.fly, aboveM: 0.5, way: 'tag', armM: 0.15 } as const] };
    const { changes } = finished(changesFor(ask({ rig: two, rules })));
    expect(changes.length).toBeGreaterThan(0);
    for (const c of changes) expect(c.rig.droppers).toEqual([]);
    const barbed = { ...RIG, fly: { ...RIG.fly, barbless: false } };
    const none = finished(changesFor(ask({ rig: barbed, kit: [], rules: { ...OPEN, barbless: true } })));
    expect(none).toMatchObject({ changes: [], nothingLegal: true });
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
