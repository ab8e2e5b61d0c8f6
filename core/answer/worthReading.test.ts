import { oddsOf } from '../advice/trial';
import { finished } from '../maths/work';
import { waterAt } from '../water';
import { across, answered, request, river, situation } from './waters.testing';
import { benchOf } from './setupWorth';
import { worthReading } from './worthReading';

/** A spate river, up by two hands since it was read. */
const SPATE = river(
  [0, 30, 60].map((x) => across(x, 15, 0, 0.5, 0.9, 1.1, 0.8, 0)),
  0.7,
);
const UP = {
  reading: { waterTempC: 12, visibilityM: 0.8, colour: 'tea', sky: 'overcast', levelM: 0.2 },
  water: { quarry: 'sea trout' },
} as const;

describe('what to read first', () => {
  it('a float, and a depth, where the odds are low for want of them: what it says of them is so once they are read', () => {
    const a = answered(SPATE, UP);
    const stands = a.served!.stands;
    const said =
      /^First time a float and measure a depth: if they bear out speed and depth, .*in (\d+) of 10 swings at lie 1, not in (\d+)\.$/.exec(
        a.read!,
      )!;
    expect(Number(said[2])).toBe(Math.round(stands[0]!.chance!));
    expect(Number(said[1])).toBeGreaterThan(Number(said[2]));
    // The same water, read so that it is as it was thought to be.
    const { channel } = request(UP, SPATE);
    const at = { xM: SPATE.speed!.xM, yM: SPATE.speed!.yM };
    const surfaceMps = waterAt(channel, at.xM, at.yM).speedMps * (1 + channel.profile.m);
    const edge = { xM: 30, yM: 2 };
    const read = {
      ...UP.reading,
      speed: { surfaceMps, ...at },
      depths: [{ ...edge, depthM: waterAt(channel, edge.xM, edge.yM).depthM, how: 'staff' as const }],
    };
    const now = situation({ ...UP, reading: read }, SPATE);
    const odds = stands.map((t) => oddsOf(now.channel, { lie: t.lie, sideOn: false }, t)!.ofTen);
    expect(odds[0]!).toBeGreaterThan(Number(said[1]) - 1.1);
    expect(odds[0]!).toBeLessThan(Number(said[1]) + 1.1);
  });

  it('is asked of nobody who has read it, nor where the casts are right often enough', () => {
    const { stands } = answered(SPATE, UP).served!;
    const asked = (part: object, chance?: number) =>
      finished(
        worthReading(
          benchOf(situation({ ...UP, reading: { ...UP.reading, ...part } }, SPATE)),
          chance === undefined ? stands : stands.map((t) => ({ ...t, chance })),
        ),
      );
    const speed = { surfaceMps: 0.8, xM: 30, yM: 9 };
    const depths = [{ xM: 30, yM: 2, depthM: 0.6, how: 'staff' }];
    expect(asked({})).toMatch(/time a float/);
    expect(asked({ speed }) ?? '').not.toMatch(/float/);
    expect(asked({ depths }) ?? '').not.toMatch(/depth/);
    expect(asked({ speed, depths })).toBeNull();
    expect(asked({}, 7)).toBeNull();
    expect(asked({}, 6)).toBe(null);
  });

  it('is asked for the three best lies, the better weighing more', () => {
    const [stand] = answered(SPATE, UP).served!.stands;
    const four = [6, 6, 3, 0].map((chance, i) => ({
      ...stand!,
      chance,
      lie: { ...stand!.lie, rank: i + 1, score: 0.1 * (i + 1), staged: false },
    }));
    const said = finished(worthReading(benchOf(situation(UP, SPATE)), four));
    expect(said).toMatch(/swings at lies 2, 3, 4, not in 2\.$/); // (0.2 · 6 + 0.3 · 3) / 0.9
    expect(finished(worthReading(benchOf(situation(UP, SPATE)), []))).toBeNull();
  });
});
