import { mayStand } from '../cast';
import { meanOf, seeded } from '../maths';
import { river, across } from '../water/runs.testing';
import type { DayRound, FlyRound, OrderRound, StayRound } from './judged';
import { type ChoiceRound, isChoice, markChoice, markMoment, worthsOf } from './marks';
import type { MomentRound } from './moment';
import { GRADES, OWN_KINDS, ROUND_KINDS, type RoundKind } from './played';
import { roundOf } from './rounds';
import type { AngleRound, ChangeRound, StandRound } from './tried';

const SEEDS = [17, 404, 9001];
const rounds = <R>(kind: RoundKind, seeds: readonly number[] = SEEDS): R[] =>
  seeds.map((seed, i) => roundOf(kind, { seed, grade: GRADES[i % GRADES.length]! }) as R);

const CHOICES = ROUND_KINDS.filter((kind) => isChoice(roundOf(kind, { seed: 17, grade: 'plain' })));

describe('a choice', () => {
  it('is what these rounds ask for', () => {
    expect(CHOICES).toEqual(['stand', 'order', 'fly', 'tip', 'angle', 'change', 'stay', 'day']);
  });

  it.each(CHOICES)(
    '%s: whoever knows gets all marks, a guesser what chance gives, a better answer never fewer',
    (kind) => {
      for (const round of rounds<ChoiceRound>(kind)) {
        const worths = worthsOf(round);
        const marks = worths.map((_, i) => markChoice(round, i).marks);
        expect(Math.max(...marks)).toBe(100);
        expect(meanOf(marks, (m) => m)).toBeLessThanOrEqual(85);
        expect(Math.min(...marks)).toBeGreaterThanOrEqual(0);
        for (const [i, w] of worths.entries())
          for (const [j, v] of worths.entries()) if (w > v) expect(marks[i]).toBeGreaterThan(marks[j]!);
      }
    },
  );

  it('of a thing that is not there gets none', () => {
    expect(markChoice(rounds<ChoiceRound>('tip')[0]!, 99).marks).toBe(0);
  });
});

describe('where to stand', () => {
  it('no water that nobody may wade has marks, nor feet on a lie; the best position is one that one may stand at', () => {
    let barred = 0;
    for (const r of rounds<StandRound>('stand', [17, 404, 9001, 5, 6, 7, 8])) {
      const { channel, lies } = r.survey;
      const worths = worthsOf(r);
      r.options.forEach(({ trial: { plan }, ...o }, i) => {
        const may = mayStand(channel, lies, plan.xM, plan.yM);
        expect(o.barred === undefined).toBe(may);
        if (!may) expect(worths[i]).toBe(0);
        barred += Number(!may);
      });
      // Lettered down the run, so that the letter tells nothing.
      const down = r.options.map((o) => o.trial.plan.xM);
      expect(down).toEqual([...down].sort((a, b) => a - b));
    }
    expect(barred).toBeGreaterThan(2);
  });
});

describe('the angle and the change', () => {
  it('each angle is cast as it says, and its fly is shown to the lie as the engine finds', () => {
    for (const r of rounds<AngleRound>('angle'))
      for (const { what, trial } of r.options) expect(Math.abs(trial.plan.angleDeg - what)).toBeLessThan(3);
  });

  it('changes one thing only, and what was shown badly is shown well by the best of them', () => {
    for (const r of rounds<ChangeRound>('change')) {
      const best = Math.max(...r.options.map((o) => o.verdict.showing));
      expect(r.before.showing).toBeLessThanOrEqual(0.6 * best);
      for (const { what, trial } of r.options) {
        const { plan, rig } = trial;
        const differs = {
          tip: rig.tip!.name !== r.options.find((o) => o.what === 'mend')!.trial.rig.tip!.name,
          mend: plan.mendM !== r.plan.mendM,
          angle: plan.angleDeg !== r.plan.angleDeg,
        };
        expect(Object.values(differs).filter(Boolean)).toHaveLength(1);
        expect(differs.tip).toBe(what.endsWith('tip'));
        if (what === 'squarer') expect(plan.angleDeg).toBeGreaterThan(r.plan.angleDeg);
        if (what === 'flatter') expect(plan.angleDeg).toBeLessThan(r.plan.angleDeg);
      }
    }
  });
});

describe('the order', () => {
  it('goes down the run, or up it; from one position near water first (common practice, no source)', () => {
    for (const r of rounds<OrderRound>('order', [3, 17, 404, 9001, 12, 30])) {
      const sign = r.upstream ? -1 : 1;
      r.right.forEach((i, n) => {
        const next = r.lies[r.right[n + 1] ?? i]!;
        const here = r.lies[i]!;
        const along = sign * (next.xM - here.xM);
        if (Math.abs(along) > 6) expect(along).toBeGreaterThan(0);
        else expect(next.yM).toBeGreaterThanOrEqual(here.yM);
      });
      // One pair turned round costs a third, all turned round everything.
      const worths = worthsOf(r);
      expect(worths[r.orders.findIndex((o) => o.join() === r.right.join())]).toBe(1);
      expect(worths[r.orders.findIndex((o) => o.join() === [...r.right].reverse().join())]).toBe(0);
    }
  });
});

describe('the fly', () => {
  it('by each school the best is one that the school would tie on (handbook of the trade; common practice, no source)', () => {
    const schools = new Set<string>();
    for (const r of rounds<FlyRound>('fly', [1, 2, 3, 4, 5, 6, 7, 8, 9, 10])) {
      const best = r.options.reduce((a, b) => (b.merit > a.merit ? b : a)).fly;
      const { visibilityM, colour, sky } = r.water.reading;
      schools.add(r.school);
      if (visibilityM <= 0.6 || colour === 'grey-brown') continue; // then all go dark, or pale
      if (r.school === 'naturals') expect(['olive', 'brown', 'tan', 'white', 'yellow', 'black']).toContain(best.colour);
      if (r.school === 'light match' && (sky === 'overcast' || sky === 'dusk'))
        expect(['black', 'black and blue', 'purple', 'brown']).toContain(best.colour);
      if (r.school === 'light match' && sky === 'bright')
        expect(['white', 'yellow', 'pink', 'orange', 'tan']).toContain(best.colour);
    }
    expect(schools).toEqual(new Set(['contrast', 'light match', 'naturals']));
  });
});

describe('rest, change or leave', () => {
  it('after a fish came: the same cast at once, then rest it, then the same, then smaller or higher (common practice, no source)', () => {
    const all = Array.from({ length: 80 }, (_, seed) => roundOf('stay', { seed, grade: 'plain' }) as StayRound);
    const rightOf = (code: StayRound['log']['code'], more: (r: StayRound) => boolean = () => true) =>
      new Set(all.filter((r) => r.log.code === code && more(r)).map((r) => r.right));
    expect(rightOf('pluck')).toEqual(new Set(['same']));
    expect(rightOf('pluck, cast again')).toEqual(new Set(['rest']));
    expect(rightOf('pluck, rested')).toEqual(new Set(['same']));
    expect(rightOf('pluck, rested, cast again', (r) => r.flies === 2)).toEqual(new Set(['dropper']));
    expect(rightOf('pluck, rested, cast again', (r) => r.flies === 1 && r.hasSmaller)).toEqual(new Set(['smaller']));
    expect(rightOf('pluck, rested, cast again', (r) => r.flies === 1 && !r.hasSmaller)).toEqual(new Set(['higher']));
    expect(rightOf('young fish')).toEqual(new Set(['leave']));
    expect(rightOf('all cast')).toEqual(new Set(['over']));
    expect(rightOf('nothing yet')).toEqual(new Set(['planned']));
    for (const r of all) {
      expect(r.choices).toContain(r.right);
      expect(r.choices.includes('dropper')).toBe(r.flies === 2);
      expect(r.choices.includes('smaller')).toBe(r.hasSmaller);
    }
  });
});

describe('the day', () => {
  it('clearer and falling is never behind dirtier and rising; the top of a rise is never the best where another day is clear', () => {
    for (const r of rounds<DayRound>(
      'day',
      Array.from({ length: 30 }, (_, i) => 50 + i),
    )) {
      const worths = worthsOf(r);
      const verdicts = r.days.map((d) => d.choice.verdict);
      r.days.forEach((d, i) => {
        if (d.trend === 'rising' && r.days.some((o, j) => o.trend === 'falling' && verdicts[j] === verdicts[i]))
          expect(worths[i]).toBeLessThan(1);
        if (verdicts[i] === 'elsewhere' && verdicts.includes('go')) expect(worths[i]).toBeLessThan(1);
      });
      expect(r.series.every((p) => Number.isFinite(p.stageM) && p.flowM3s! > 0)).toBe(true);
    }
  });
});

describe('the moment', () => {
  it('is that of the swing which plays; nearer is never less, and right on it is everything', () => {
    const kinds = new Set<string>();
    for (const seed of [1, 3, 5, 8, 11]) {
      const r = roundOf('moment', { seed, grade: 'plain' }) as MomentRound;
      kinds.add(r.moment);
      const of = { tight: r.swing.fishing!.fromS, touch: r.swing.firstTouchS, rise: r.swing.maxDepthS };
      expect(r.truthS).toBe(of[r.moment]);
      expect(r.swing.lines.length).toBeGreaterThan(r.truthS); // two a second, to be drawn
      const marks = [0, 1, 2, 4, 8, 30].map((off) => markMoment(r, r.truthS + off).marks);
      expect(marks[0]).toBe(100);
      expect(marks).toEqual([...marks].sort((a, b) => b - a));
      expect(marks.at(-1)).toBeLessThan(1);
    }
    expect(kinds.size).toBe(3);
  });
});

describe('a run of one’s own', () => {
  // A riffle that drops into a trough towards the far bank, and shelves up into a tailout.
  const run = river(
    [
      across(0, 24, 0, 0.25, 0.3, 0.35, 0.3, 0),
      across(15, 24, 0, 0.5, 0.9, 1.4, 1.2, 0),
      across(40, 24, 0, 0.5, 1, 1.5, 1.3, 0),
      across(60, 24, 0, 0.4, 0.6, 0.7, 0.5, 0),
    ],
    0.8,
  );
  const own = { run: { ...run, id: 'mine', levelM: 0.2 }, quarry: 'sea trout' as const };

  it.each(OWN_KINDS)('%s is asked on it, at another level', (kind) => {
    const r = roundOf(kind, { seed: 77, grade: 'middling', own });
    if (!('water' in r)) throw new Error(r.kind);
    expect(r.water.run).toBe(own.run);
    expect(r.water).toMatchObject({ kind: null, quarry: 'sea trout', reading: { runId: 'mine' } });
  });

  it('levels are about the one that it was drawn at, and differ', () => {
    const rand = seeded(4);
    const levels = Array.from({ length: 40 }, () => {
      const r = roundOf('speed', { seed: Math.floor(1e6 * rand()), grade: 'hard', own });
      return 'water' in r ? r.water.reading.levelM : NaN;
    });
    expect(Math.min(...levels)).toBeGreaterThanOrEqual(0.2 - 0.15);
    expect(Math.max(...levels)).toBeLessThanOrEqual(0.2 + 0.45);
    expect(new Set(levels).size).toBeGreaterThan(20);
  });

  it('says so where no fish holds', () => {
    const bare = {
      ...river([across(0, 8, 0, 0.04, 0.05, 0.04, 0), across(30, 8, 0, 0.04, 0.05, 0.04, 0)], 0.3),
      levelM: 0,
    };
    expect(() => roundOf('tip', { seed: 1, grade: 'plain', own: { run: bare, quarry: 'steelhead' } })).toThrow(
      'no tip round',
    );
  });
});
