import { finished } from '../maths/work';
import { flipsOf } from './flips';
import { setupOf, underFloat } from './rigs';
import type { Served } from './served';
import { type Asked, BAG, LIGHT, RUN, situation, tied } from './waters.testing';
import { benchOf } from './worth';

/** What would change the answer, of a fly under a float: other depths and speeds are not tried for it, only other days. */
function days(o: Asked): string[] {
  const s = situation(o);
  const rig = situation({ tiedOn: LIGHT }).tiedOn!;
  const setup = underFloat(s, setupOf(s, 'drift or float', rig, 1))!;
  return finished(flipsOf(benchOf(s), { setup } as Served)).map((f) => `${f.when}: ${f.then}`);
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
