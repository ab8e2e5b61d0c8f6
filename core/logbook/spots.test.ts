import { day, PLAN, RUN } from '../testing/fixtures';
import { buildChannel } from '../water';
import type { LogEvent } from './events';
import { fold } from './fold';
import { placeOf } from './placed';
import { aboutLevel, type Spot, spotOf } from './spots';

const base = { id: 'e', at: 1, runId: 'run', xM: null, yM: null, rig: null };
const cast = (o: object = {}) => ({
  ...base,
  kind: 'cast' as const,
  plan: { ...PLAN, xM: 10, yM: 1, outM: 8, angleDeg: 60 },
  ...o,
});
const take = (o: object = {}) => ({
  ...{ ...base, kind: 'take' as const, sign: null, what: 'landed' as const, juvenile: false, fish: null, where: null },
  ...o,
});
const CHANNEL = buildChannel(RUN, day());
const round = (p: { xM: number; yM: number }) => [p.xM, p.yM].map((v) => Math.round(10 * v) / 10);

describe('where fish took on a run', () => {
  it('round the angler, from where the line was laid to straight downstream, by hand', () => {
    const at = (where: Spot['where'], plan: object = {}) =>
      round(placeOf(spotOf(take({ where }), cast({ plan: { ...cast().plan, ...plan } }), null)!, CHANNEL));
    expect(at('landing')).toEqual([14, 7.9]); // 10 + 8·cos 60°, 1 + 8·sin 60°
    expect(at('dangle')).toEqual([18, 1]);
    expect(at('landing', { angleDeg: 90 })).toEqual([10, 9]);
    // From beyond the middle it goes back towards the described bank, inwards to the nearer one.
    const far = CHANNEL.edgeFar[0]! - 1;
    expect(at('landing', { yM: far, angleDeg: 90 })[1]).toBeCloseTo(far - 8, 1);
    expect(at('landing', { yM: far, angleDeg: 90, inwards: true })[1]).toBeCloseTo(far + 8, 1);
  });

  it('on the way of the fly that was taken where the engine said it', () => {
    const flies = [
      [100, 80, 180, 20, 40, 90, 55, 80],
      [90, 70, 170, 10, 40, 90, 55, 80],
    ];
    const did = { v: 1, s: 9, flies, lies: [], touches: 0 };
    const at = (o: object) => round(placeOf(spotOf(take(o), cast({ did }) as never, null)!, CHANNEL));
    expect(at({ where: 'landing' })).toEqual([10, 8]);
    expect(at({ where: 'dangle', place: 1 })).toEqual([17, 1]);
    expect(at({})).toEqual([13.6, 5.3]); // mid-swing, where nobody said
  });

  it('a log tells them with the level that was read, not those of juveniles and signs', () => {
    const reading = { ...base, kind: 'reading', reading: day({ levelM: 0.2 }) };
    const events = [
      { ...base, kind: 'run start', runName: 'Weir' },
      cast(),
      take(),
      reading,
      cast(),
      take({ what: 'pluck' }),
      take({ juvenile: true }),
      take({ what: 'follow' }),
    ].map((e, i) => ({ ...e, id: String(i), at: i }));
    const { spots } = fold(events as unknown as LogEvent[]);
    expect(spots.map((s) => [s.at, s.levelM, s.landed])).toEqual([
      [2, null, true],
      [5, 0.2, false],
    ]);
    expect(aboutLevel(spots, 0.3).map((s) => s.at)).toEqual([5]);
    expect(aboutLevel(spots, 0.4)).toEqual([]);
    expect(spotOf(take({ runId: null }), cast(), 0)).toBeNull();
  });
});
