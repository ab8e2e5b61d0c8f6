import fc from 'fast-check';
import { castAt } from '../cast';
import { swingOnRun } from '../cast/case';
import {
  bandOf,
  type DepthSchool,
  findLies,
  noseDepthM,
  type OwnLeeway,
  type Quarry,
  type Willing,
  willingOf,
  type WillingDay,
} from '../lies';
import type { SwingResult } from '../swing';
import { COL, HZ, WIDTH } from '../swing/series';
import { RIG, RUN } from '../testing/fixtures';
import { buildChannel } from '../water';
import { rideOf, type ShownFly, shownFlies } from './flies';
import { gapsIn, groundOf, lieGround, WELL_SHOWN } from './ground';
import { passedBy, PASSED_FALL, PASSED_STEP } from './passing';
import { bestShown, showingsOf, showsUntilS } from './showing';

const DAY: WillingDay = { quarry: 'steelhead', temp: 10, vis: 1.2, bright: false, dusk: false, pressed: false };
const willing = (o: Partial<WillingDay> = {}, school: DepthSchool = 'near the bed') => {
  const d = { ...DAY, ...o };
  return willingOf(d, school, { colour: 'green', visibilityM: d.vis, sky: 'overcast', sunDeg: 30 });
};
/** A fly that is plainly seen. */
const FLY: ShownFly = { ride: 'sunk', seen: { likelyM: 5, lowM: 4, highM: 7 }, free: false, upM: willing().upM };

/** A fly that crosses a place at 0 m, at an even depth and speed, from so far on the one side to as far on the other. */
function crossing(o: {
  depthM: number;
  speedMps?: number;
  asideM?: number;
  axisDeg?: number;
  forS?: number;
}): SwingResult {
  const { depthM, speedMps = 0.2, asideM = 0, axisDeg = 90, forS = 20 } = o;
  const rows = forS * HZ + 1;
  const series = new Float64Array(WIDTH * rows);
  for (let i = 0; i < rows; i++) {
    const row = WIDTH * i;
    const t = i / HZ;
    series[row] = t;
    series[row + COL.x] = asideM;
    series[row + COL.y] = speedMps * (t - forS / 2);
    series[row + COL.depth] = depthM;
    series[row + COL.vy] = speedMps;
    series[row + COL.axis] = axisDeg;
  }
  const fishing = { fromS: 0, toS: forS };
  const lies = { flyDownS: new Float32Array(rows), lineDownS: new Float32Array(rows) };
  return { series, rows, others: [], fishing, ...lies, lineDragsS: null, firstTouchS: null } as unknown as SwingResult;
}
const PLACE_M = 1.5;
const shows = (r: SwingResult, o: { w?: Willing; fly?: ShownFly; depthM?: number; times?: number } = {}): number => {
  const { w = willing(), depthM = PLACE_M, times = 1 } = o;
  const fly = o.fly ?? { ...FLY, upM: w.upM };
  return bestShown(showingsOf(r, groundOf([{ xM: 0, yM: 0, depthM }], w), [fly], { times }))?.by ?? 0;
};

const nose = noseDepthM(willing(), PLACE_M);

describe('how well a fly is shown', () => {
  it('is nearly all of it for a slow broadside pass at the nose, half of it as far up, down or to the side as is told', () => {
    const w = willing();
    const best = shows(crossing({ depthM: nose }));
    expect(best).toBeGreaterThan(0.9);
    expect(best).toBeLessThanOrEqual(1);
    const near = (by: number) => expect(by / best).toBeCloseTo(0.5, 1);
    near(shows(crossing({ depthM: nose - w.upM })));
    near(shows(crossing({ depthM: nose, asideM: w.sideM })));
    near(shows(crossing({ depthM: nose, speedMps: w.crossMps })));
    const half = willing({}, 'upper to middle');
    near(shows(crossing({ depthM: nose + half.downM }), { w: half }));
  });

  it('tells the band where it is over half its best: one source for both', () => {
    for (const school of ['near the bed', 'upper to middle'] as const) {
      const w = willing({}, school);
      const band = bandOf(w, PLACE_M, 'sunk');
      const best = shows(crossing({ depthM: noseDepthM(w, PLACE_M) }), { w });
      const share = (depthM: number) => shows(crossing({ depthM }), { w }) / best;
      expect(share(band.topM + 0.05)).toBeGreaterThan(0.5);
      expect(share(band.topM - 0.05)).toBeLessThan(0.5);
    }
  });

  it('deeper towards the fish is never worse, slower never, nearer never (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: nose, noNaN: true }),
        fc.double({ min: 0.01, max: 0.3, noNaN: true }),
        fc.double({ min: 0.1, max: 0.9, noNaN: true }),
        fc.double({ min: 0, max: 1.2, noNaN: true }),
        (depthM, deeper, speedMps, asideM) => {
          const at = (o: object) => shows(crossing({ depthM, speedMps, asideM, ...o }));
          const here = at({});
          expect(at({ depthM: Math.min(nose, depthM + deeper) })).toBeGreaterThanOrEqual(here - 0.02);
          expect(at({ speedMps: 0.8 * speedMps })).toBeGreaterThanOrEqual(here - 1e-6);
          expect(at({ asideM: 0.8 * asideM })).toBeGreaterThanOrEqual(here - 1e-6);
        },
      ),
      { numRuns: 200, seed: 5 },
    );
  });

  it('moves by a little for a centimetre, a hundredth of speed, a tenth of a degree of warmth (no edge anywhere)', () => {
    for (let depthM = 0.05; depthM < PLACE_M - 0.06; depthM += 0.01)
      for (const speedMps of [0.2, 0.5, 0.7]) {
        const here = shows(crossing({ depthM, speedMps }));
        expect(Math.abs(shows(crossing({ depthM: depthM + 0.01, speedMps })) - here)).toBeLessThan(0.06);
        expect(Math.abs(shows(crossing({ depthM, speedMps: 1.01 * speedMps })) - here)).toBeLessThan(0.03);
      }
    for (let temp = 2; temp < 20; temp += 0.1) {
      const by = (t: number) => shows(crossing({ depthM: 0.8 }), { w: willing({ temp: t }) });
      expect(Math.abs(by(temp + 0.1) - by(temp))).toBeLessThan(0.03);
    }
  });

  it('is nothing on the bed, before the fly is under control, once the swing is over or its line lies on the bed', () => {
    const r = crossing({ depthM: nose });
    expect(shows(crossing({ depthM: PLACE_M }))).toBe(0);
    expect(shows({ ...r, fishing: null })).toBe(0);
    expect(shows({ ...r, fishing: { ...r.fishing!, fromS: 19 } })).toBe(0);
    expect(shows({ ...r, fishing: { ...r.fishing!, toS: 1 } })).toBe(0);
    expect(shows({ ...r, lineDragsS: 1 })).toBe(0);
    // What lay on the bed may have caught there: the longer the likelier, and a hair more turns nothing over.
    const down = (of: 'flyDownS' | 'lineDownS', s: number) =>
      shows({ ...r, [of]: new Float32Array(r.rows).fill(s) }) / shows(r);
    expect([0, 0.3, 1.15, 2].map((s) => down('flyDownS', s))).toEqual([1, 1, expect.closeTo(0.5, 2), 0]);
    expect([0, 1, 4.5, 8].map((s) => down('lineDownS', s))).toEqual([1, 1, expect.closeTo(0.5, 2), 0]);
    expect(shows({ ...r, lineDragsS: 19 })).toBeGreaterThan(0.9);
  });

  it('a touch now and then is right near the bed, and spoils it for those who fish above it', () => {
    const r = { ...crossing({ depthM: nose }), firstTouchS: 2 };
    expect(showsUntilS(r, willing())).toBe(20);
    expect(showsUntilS(r, willing({}, 'upper to middle'))).toBe(2);
    expect(shows(r, { w: willing({}, 'upper to middle') })).toBe(0);
  });

  it('is less for a glimpse than for a second or two, and does not add up out of many poor moments', () => {
    const glimpse = crossing({ depthM: nose, forS: 1 });
    expect(shows({ ...glimpse, fishing: { ...glimpse.fishing!, fromS: 0.4, toS: 0.6 } })).toBeLessThan(0.5);
    // It hangs a long way above the fish for a minute: that is no showing.
    expect(shows(crossing({ depthM: nose - 2.5 * willing().upM, speedMps: 0.001, forS: 60 }))).toBeLessThan(0.05);
  });

  it('its side counts in murk, hardly in clear water; not for what goes with the current', () => {
    const lost = (vis: number, free = false) => {
      const w = willing({ vis });
      const by = (axisDeg: number) => shows(crossing({ depthM: nose, axisDeg }), { w, fly: { ...FLY, free } });
      return 1 - by(0) / by(90);
    };
    expect(lost(0.3)).toBeGreaterThan(0.2);
    expect(lost(1.5)).toBeLessThan(0.06);
    expect(lost(0.3, true)).toBe(0);
  });

  it('what is not seen from there is not shown, but near by it is felt', () => {
    const hidden = { ...FLY, seen: { likelyM: 0.05, lowM: 0.03, highM: 0.08 } };
    const w = willing({ vis: 0.3 });
    const above = (m: number) => shows(crossing({ depthM: nose - m }), { w, fly: hidden });
    expect(above(0.1)).toBeGreaterThan(0.7);
    expect(above(0.6)).toBeLessThan(0.1);
  });

  it('of two flies the better counts, and which it is is told', () => {
    const r = crossing({ depthM: 0.2 });
    const below = crossing({ depthM: nose });
    const two = { ...r, others: [{ ...below, isFly: true }] } as unknown as SwingResult;
    const ground = groundOf([{ xM: 0, yM: 0, depthM: PLACE_M }], willing());
    expect(bestShown(showingsOf(two, ground, [FLY, FLY]))).toMatchObject({
      fly: 1,
      by: expect.closeTo(shows(below), 5),
    });
  });

  it('in deeper water the same pass is further above the fish', () => {
    expect(shows(crossing({ depthM: 0.8 }), { times: 1.4 })).toBeLessThan(shows(crossing({ depthM: 0.8 })) - 0.1);
  });
});

describe('how far fish come (directions of the trade: common practice, no source)', () => {
  const up = (o: Partial<WillingDay>, school?: DepthSchool) => willing(o, school).upM;
  it('travellers further than trout, less in the cold, in murk and under high sun; further in low light', () => {
    const by = (quarry: Quarry) => up({ quarry });
    expect(by('steelhead')).toBeGreaterThan(by('rainbow trout'));
    expect(by('rainbow trout')).toBeGreaterThan(by('brown trout'));
    expect(up({ temp: 4 })).toBeLessThan(0.7 * up({ temp: 12 }));
    expect(up({ vis: 0.4 })).toBeLessThan(up({}));
    expect(up({ bright: true })).toBeLessThan(up({}));
    expect(up({ dusk: true })).toBeGreaterThan(up({}));
    expect(up({ pressed: true })).toBeLessThan(up({}));
    expect(up({}, 'upper to middle')).toBeGreaterThan(up({}));
  });

  it('up further than to the side, hardly down; to the side no further than they make out', () => {
    const w = willing({}, 'upper to middle');
    expect(w.upM).toBeGreaterThan(w.sideM);
    expect(w.sideM).toBeGreaterThan(w.downM);
    expect(willing({ vis: 0.6 }).sideM).toBeLessThanOrEqual(0.36);
  });

  it('winter, a floating line and 2 m of water: hardly shown', () => {
    const channel = buildChannel(RUN, null);
    const deep = { ...channel, h: channel.h.map((h) => 2.5 * h) };
    const [lie] = findLies(RUN, deep, null, { quarry: 'steelhead', school: 'near the bed', most: 3 });
    const cold = { ...lie!, willing: willing({ temp: 4 }) };
    const rig = { ...RIG, tip: null, droppers: [], shot: undefined };
    const plan = castAt(cold, deep, rig, [cold]);
    const r = swingOnRun({ channel: deep, rig, plan, lies: [cold] });
    const by = bestShown(showingsOf(r, lieGround(deep, cold), shownFlies(rig, plan, cold.willing)))?.by ?? 0;
    expect(cold.depthM).toBeGreaterThan(1.8);
    expect(by).toBeLessThan(0.1);
  });
});

describe('the places of a lie', () => {
  const channel = buildChannel(RUN, null);
  const [lie] = findLies(RUN, channel, null, { quarry: 'sea trout', school: 'near the bed', most: 3 });
  it('lie all over it, each as deep as it is there', () => {
    const { places } = lieGround(channel, { ...lie!, lengthM: 9, widthM: 3 });
    expect(places.length).toBeGreaterThan(30);
    for (const p of places) {
      expect(Math.abs(p.xM - lie!.xM)).toBeLessThanOrEqual(4.5);
      expect(Math.abs(p.yM - lie!.yM)).toBeLessThanOrEqual(1.5);
    }
    expect(new Set(places.map((p) => p.depthM)).size).toBeGreaterThan(5);
    expect(lieGround(channel, lie!)).toBe(lieGround(channel, lie!));
  });

  it('those that were not shown well are gaps', () => {
    const ground = lieGround(channel, lie!);
    const shown = ground.places.map((_, i) => (i === 0 ? WELL_SHOWN : 0.4));
    expect(gapsIn(ground, shown)).toEqual(ground.places.slice(1));
  });

  it('flies are shown as they are meant to ride', () => {
    expect(rideOf(RIG.fly)).toBe('sunk');
    expect(shownFlies(RIG, castAt(lie!, channel, RIG, [lie!]), lie!.willing)[0]).toMatchObject({
      ride: 'sunk',
      free: false,
    });
  });
});

describe('how a swing passes its flies before fish', () => {
  const W = willing({}, 'upper to middle');
  const NOSE_M = noseDepthM(W, PLACE_M);
  const pass = (own: OwnLeeway, how: Partial<Parameters<typeof crossing>[0]> = {}, free = false) => {
    const w = willing({ own }, 'upper to middle');
    const flies = [{ ...FLY, upM: w.upM, free }];
    const ground = groundOf(
      [
        { xM: 0, yM: 0, depthM: PLACE_M },
        { xM: 99, yM: 0, depthM: PLACE_M },
      ],
      w,
    );
    const r = crossing({ depthM: NOSE_M, ...how });
    const shows = showingsOf(r, ground, flies);
    return { passed: passedBy(r, shows, ground, flies, [3, 3]), by: bestShown(shows)!.by };
  };
  /** So much of what is assumed. */
  const HOW = {
    up: (share: number) => ({ depthM: NOSE_M - share * W.upM }),
    aside: (share: number) => ({ asideM: share * W.sideM }),
    across: (share: number) => ({ speedMps: share * W.crossMps }),
    headOn: (share: number) => ({ axisDeg: (Math.asin(1 - share / W.headOn) * 180) / Math.PI }),
  } as const;

  it.each([
    ...([0, 1, 2, 4, 5] as const).flatMap((step) => (['up', 'aside'] as const).map((by) => [by, step] as const)),
    ...([2, 3, 4, 5] as const).map((step) => ['across', step] as const),
    ...([0, 1] as const).map((step) => ['headOn', step] as const),
  ])('is told of %s by step %i of what is assumed, of so many willing fish as would be shown it', (by, step) => {
    const share = step * PASSED_STEP[by];
    const { passed, by: shown } = pass({}, HOW[by](share));
    expect(passed.of).toBe('steelhead');
    expect(passed[by].map((v) => v > 0)).toEqual([...Array<boolean>(step).fill(false), true]);
    // As much as is shown is left of it by the fall of a showing.
    expect((passed[by][step]! / 1e5) * PASSED_FALL[by](share)).toBeCloseTo(0.5 * shown, 2);
  });

  it('leaves a half at half-way: above, aside, across', () => {
    for (const by of ['up', 'aside', 'across'] as const) {
      expect(PASSED_FALL[by](1)).toBeCloseTo(0.5, 12);
      expect(PASSED_FALL[by](0)).toBe(1);
    }
    expect(PASSED_FALL.headOn(0.2)).toBeCloseTo(0.8, 12);
  });

  it('a dead-drifted fly has no side to turn away', () => {
    expect(pass({}, { axisDeg: 0 }, true).passed.headOn).toHaveLength(1);
    expect(pass({}, { axisDeg: 0 }).passed.headOn.length).toBeGreaterThan(1);
  });

  it.each([
    ['up', 1.5, 4],
    ['aside', 1.5, 4],
    ['across', 1.5, 4],
    ['headOn', 0.5, 1],
  ] as const)('of %s by what is assumed, whatever one’s own takes say', (by, times, step) => {
    const how = HOW[by](step * PASSED_STEP[by]);
    const [usual, own] = [pass({}, how), pass({ [by]: times }, how)];
    expect(own.by).toBeGreaterThan(usual.by * (by === 'headOn' ? 1.02 : 1.2));
    for (const { passed } of [usual, own]) expect(passed[by].findIndex((v) => v > 0)).toBe(step);
    // Taken out of the showing, what one's own takes say of it makes no difference.
    expect(own.passed[by][step]! / usual.passed[by][step]!).toBeCloseTo(1, 1);
  });
});
