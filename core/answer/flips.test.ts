import type { Tried } from '../advice';
import type { FishLie } from '../lies';
import { finished } from '../maths/work';
import type { SwingResult } from '../swing';
import type { WaterColour } from '../water';
import { range } from 'd3-array';
import { swingOnRun } from '../cast/case';
import { flyAt, HZ } from '../swing/series';
import { checksOf, flipsOf } from './flips';
import type { Method } from './methods';
import { setupOf, underFloat } from './rigs';
import { firstCasts, type Served } from './stands';
import { plainWays } from './ways';
import { type Asked, BAG, LIGHT, RUN, situation, tied } from './waters.testing';
import { benchOf } from './setupWorth';

/** What would change the answer, of a fly under a float: other depths and speeds are not tried for it, only other days. */
function days(o: Asked, method: Method = 'drift or float'): string[] {
  const s = situation(o);
  const rig = situation({ tiedOn: LIGHT }).tiedOn!;
  const setup = underFloat(s, setupOf(s, 'drift or float', rig, 1))!;
  return finished(flipsOf(benchOf(s), { setup: { ...setup, method } } as Served)).map((f) => `${f.when}: ${f.then}`);
}
const told = (o: Asked, when: string) => days(o).find((f) => f.startsWith(when)) ?? null;
const CLEAR = { visibilityM: 2.5, colour: 'clear', sky: 'bright' } as const;
const STEELHEAD = { water: { quarry: 'steelhead' } } as const;

describe('other days that would change the answer (common practice, no source)', () => {
  it('dirty water that clears, and clear water that colours: with the fly and its angle', () => {
    expect(
      told({ reading: { visibilityM: 0.4, colour: 'grey-brown' } }, 'It clears to 1.20 m of sight'),
    ).not.toBeNull();
    const colours = told({ reading: CLEAR }, 'It colours to 0.50 m of sight')!;
    expect(colours).toMatch(/: streamer on the swing with the black .*, cast at \d+°$/);
    expect(told({ reading: { visibilityM: 0.4, colour: 'grey-brown' } }, 'It colours')).toBeNull();
  });

  it('insects that come up, or stop', () => {
    // Dirty water speaks for a streamer as long as nothing hatches.
    const coloured = { reading: { visibilityM: 0.4, colour: 'grey-brown', waterTempC: 13 } } as const;
    expect(told(coloured, 'Insects come up, with few rises')).toMatch(/: soft hackles on the swing with the /);
    const hatch = { ...coloured, seen: ['hatch'] } as const;
    expect(told(hatch, 'Insects come up')).toBeNull();
    expect(told(hatch, 'The hatch stops')).toMatch(/: streamer on the swing with the /);
  });

  it('nothing that could not be seen: no fish refuses where the water is dirty, nothing comes up in mud', () => {
    const sight = (visibilityM: number, colour: WaterColour) =>
      days({ reading: { visibilityM, colour, waterTempC: 13 } }, 'streamer on the swing').join();
    expect(sight(1.3, 'green')).toMatch(/Fish look and refuse: drift or float/);
    expect(sight(0.4, 'grey-brown')).toMatch(/Insects come up/);
    expect(sight(0.4, 'grey-brown')).not.toMatch(/refuse/);
    expect(sight(0.1, 'brown soup')).toMatch(/It clears/);
    expect(sight(0.1, 'brown soup')).not.toMatch(/Insects|refuse/);
  });

  it('cold water that warms', () => {
    const at = (waterTempC: number) => told({ reading: { waterTempC } }, 'It warms to 10.0 °C');
    expect(at(4)).toMatch(/: soft hackles on the swing with the [^,]*$/);
    expect(at(9)).toBeNull();
  });

  it('the light that goes, over warm clear water, where it is not dusk', () => {
    const at = (sky: 'bright' | 'dusk', waterTempC: number) =>
      told({ reading: { ...CLEAR, sky, waterTempC }, ...STEELHEAD }, 'The light goes');
    expect(at('bright', 13)).toMatch(/: wake fly with the /);
    expect([at('dusk', 13), at('bright', 9)]).toEqual([null, null]);
  });

  it('are five at the most, and none where the bag has no fly for them', () => {
    expect(days({ reading: CLEAR }).length).toBeLessThanOrEqual(5);
    expect(days({ reading: CLEAR, kit: BAG.filter((k) => k.type !== 'fly') })).toEqual([]);
  });
});

describe('other water', () => {
  it('deeper or faster than read wants a heavier tip; shallower or slower a lighter one, or none', () => {
    const o = { tiedOn: tied('two-hander 7', 'short head', '10 ft slow', '4 ft of 12 lb', 'black rabbit strip') };
    const s = situation(
      { ...o, ...STEELHEAD, reading: { waterTempC: 5 } },
      { ...RUN, speed: { ...RUN.speed!, surfaceMps: 1 } },
    );
    const setup = setupOf(s, 'streamer on the swing', s.tiedOn!, 1);
    const flips = finished(flipsOf(benchOf(s), { setup } as Served));
    const then = (when: RegExp) => flips.find((f) => when.test(f.when))?.then ?? '';
    const heavier = ['10 ft fast', '10 ft heavy'];
    const lighter = ['10 ft intermediate', '6 ft sinking leader', 'no tip'];
    for (const when of [/deeper than read/, /faster than read/]) expect(['', ...heavier]).toContain(then(when));
    for (const when of [/shallower than read/, /slower than read/]) expect(['', ...lighter]).toContain(then(when));
    expect(flips.filter((f) => / than read$/.test(f.when)).length).toBeGreaterThan(0);
  });
});

describe('how to see at the river that it is right', () => {
  const s = situation({ tiedOn: LIGHT });
  const setup = setupOf(s, 'streamer on the swing', s.tiedOn!, 1);
  // The first plain cast that comes under control.
  const [{ lie, cast, swing }] = firstCasts(benchOf(s), setup, plainWays(s, setup)[0]!).flatMap((plain) => {
    const whole = swingOnRun({ channel: s.channel, rig: setup.rig, plan: plain.plan, lies: [plain.lie] });
    return whole.fishing ? [{ lie: plain.lie, cast: plain, swing: whole }] : [];
  }) as unknown as [{ lie: FishLie; cast: Tried; swing: SwingResult }];
  const of = (o: Partial<Served['setup']> = {}, at = s, stands: readonly object[] = [{ ...cast, lie, chance: 8 }]) =>
    checksOf(benchOf(at), { setup: { ...setup, ...o }, of: [lie], stands } as unknown as Served);

  it('by the count to coming tight, as it is simulated', () => {
    const tight = swing.fishing!.fromS;
    const says = tight < 1.5 ? 'at once' : `by the count of ${Math.round(tight)}`;
    expect(of()[0]).toBe(`The line should come tight ${says}.`);
    expect(of({ method: 'strip' }).join()).not.toMatch(/come tight/);
  });

  it('by how long a pale fly is seen, where it goes out of sight above the bed', () => {
    const sight = (visibilityM: number) => of({}, { ...s, visibilityM }).find((x) => /out of sight/.test(x));
    const deepest = Math.max(...range(swing.rows).map((i) => flyAt(swing, i).depthM));
    const half = deepest / 2;
    const after = range(swing.rows).find((i) => flyAt(swing, i).depthM >= half)!;
    expect(sight(half)).toBe(`A pale fly would go out of sight after ${Math.round(after / HZ)} s.`);
    expect([sight(deepest + 0.01), sight(lie.depthM), sight(5)]).toEqual([undefined, undefined, undefined]);
  });

  it('by a wake, a touch of the bed, or none of it', () => {
    expect(of({ method: 'wake fly' }).join()).toMatch(/draw a wake all the way/);
    // What drifts neither draws nor is lightened: the float tells, or the foam.
    const floated = underFloat(s, { ...setup, method: 'drift or float' })!;
    expect(of(floated).join()).toMatch(/float should stand .* shallower\.$/);
    expect(of({ method: 'drift or float' }).join()).toMatch(/as fast as the foam .* the drift is over\.$/);
    expect(of().join()).toMatch(swing.fishing!.touches > 0 ? /touches the bed (once|\d+ times)/ : /touch/);
    expect(of({}, s, [])).toEqual([]);
    // A fly that is to ride high should never touch; one that goes near the bed now and then.
    const asked = (share: number) => {
      const band = { ...cast.verdict.lie.band, bottomM: share * lie.depthM };
      const verdict = { ...cast.verdict, lie: { ...cast.verdict.lie, band } };
      return of({}, s, [{ ...cast, verdict, lie, chance: 8 }]).join();
    };
    expect(asked(0.79)).toMatch(/It should not touch the bed/);
    expect(asked(0.81)).not.toMatch(/should not touch/);
  });
});
