import { oddsOf } from '../advice/trial';
import { finished } from '../maths/work';
import { waterAt } from '../water';
import { across, answered, request, river, situation, tied } from './waters.testing';
import { benchOf } from './setupWorth';
import { worthReading } from './worthReading';

/** A deep run in the cold, its current not timed. */
const DEEP = river(
  [0, 30, 60].map((x) => across(x, 22, 0, 0.7, 1.4, 1.8, 1.5, 0)),
  1,
);
/** A tip that is just heavy enough: whether it is depends on the speed. */
const UNREAD = {
  ask: 'only this',
  tiedOn: tied('two-hander 7', 'short head', '10 ft intermediate', '4 ft of 12 lb', 'black woolly bugger'),
  reading: { waterTempC: 5, visibilityM: 0.8, colour: 'green', sky: 'overcast', levelM: 0.2 },
  water: { quarry: 'steelhead' },
} as const;

describe('what to read first', () => {
  it('a float, where the odds are low for want of it: what it says of them is so once it is read', () => {
    const a = answered(DEEP, UNREAD);
    const stands = a.served!.stands;
    const whole = stands.reduce((sum, t) => sum + t.lie.score, 0);
    const mean = (of: (t: (typeof stands)[number]) => number) =>
      stands.reduce((sum, t) => sum + t.lie.score * of(t), 0) / whole;
    const { read: what, ofTen, nowOfTen } = a.read!;
    expect(what).toEqual(['float']);
    expect(nowOfTen).toBeCloseTo(
      mean((t) => t.chance!),
      9,
    );
    expect(ofTen).toBeGreaterThan(nowOfTen);
    // The same water, read so that it is as it was thought to be.
    const { channel } = request(UNREAD, DEEP);
    const at = { xM: DEEP.speed!.xM, yM: DEEP.speed!.yM };
    const surfaceMps = waterAt(channel, at.xM, at.yM).speedMps * (1 + channel.profile.m);
    const now = situation({ ...UNREAD, reading: { ...UNREAD.reading, speed: { surfaceMps, ...at } } }, DEEP);
    const read = mean((t) => oddsOf(now.channel, t.lie, t)!.ofTen);
    expect(Math.abs(read - ofTen)).toBeLessThan(1.1);
  });

  it('is asked of nobody who has read it, nor where the casts are right often enough', () => {
    const { stands } = answered(DEEP, UNREAD).served!;
    const asked = (part: object, chance?: number) =>
      finished(
        worthReading(
          benchOf(situation({ ...UNREAD, reading: { ...UNREAD.reading, ...part } }, DEEP)),
          chance === undefined ? stands : stands.map((t) => ({ ...t, chance })),
        ),
      );
    const speed = { surfaceMps: 1, xM: 30, yM: 11 };
    const depths = [{ xM: 30, yM: 2, depthM: 0.6, how: 'staff' }];
    expect(asked({})!.read).toContain('float');
    expect(asked({ speed })?.read ?? []).not.toContain('float');
    expect(asked({ depths })?.read ?? []).not.toContain('staff');
    expect(asked({ speed, depths })).toBeNull();
    expect(asked({}, 7)).toBeNull();
  });

  it('is asked for the three best lies, the better weighing more', () => {
    const [stand] = answered(DEEP, UNREAD).served!.stands;
    const four = [6, 6, 3, 0].map((chance, i) => ({
      ...stand!,
      chance,
      lie: { ...stand!.lie, rank: i + 1, score: 0.1 * (i + 1), staged: false },
    }));
    const said = finished(worthReading(benchOf(situation(UNREAD, DEEP)), four));
    expect(said!.lies.toSorted()).toEqual([2, 3, 4]);
    expect(said!.nowOfTen).toBeCloseTo((0.2 * 6 + 0.3 * 3) / 0.9, 9);
    expect(finished(worthReading(benchOf(situation(UNREAD, DEEP)), []))).toBeNull();
  });
});
