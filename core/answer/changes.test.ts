import { finished } from '../maths/work';
import { itemsOf } from '../tackle';
import { does, smallestChanges, stepsTo, wayTo } from './changes';
import type { Method } from './methods';
import { setupOf } from './rigs';
import { serve, type Served } from './servedLies';
import { across, BAG, fly, LIGHT, river, situation, tied } from './waters.testing';
import { benchOf, byWeight, usualOf } from './setupWorth';

const s = situation({ tiedOn: LIGHT });
const b = benchOf(s);
const on = s.tiedOn!;
const served = (worth: number, o: Partial<Served> & { method?: Method } = {}): Served =>
  ({ setup: setupOf(s, o.method ?? b.votes[0]!.method, on, 1), worth, chance: 0, ...o }) as Served;

describe('a change of what is on', () => {
  it('is told by what is changed, with what it costs; what is on already is no change', () => {
    const sculpin = { ...on, fly: fly('sculpin', 'olive') };
    const steps = stepsTo(b, on, sculpin);
    expect(steps.levers).toEqual(['fly']);
    expect(steps.words).toMatch(/^[A-Z].*olive sculpin/);
    expect(steps.costS).toBeGreaterThan(0);
    expect(wayTo(b, on, served(1))).toBeNull();
    expect(wayTo(b, on, { ...served(1), setup: setupOf(s, 'strip', sculpin, 1) })).toMatchObject({
      does: true,
      ...steps,
    });
  });

  it('of the rod: it is set up anew, unless it stands by', () => {
    const other = situation({
      tiedOn: tied('two-hander 7', 'short head', '10 ft fast', '4 ft of 12 lb', 'black rabbit strip'),
    }).tiedOn!;
    expect(stepsTo(b, on, other).words).toMatch(/^Set up 12 ft rod with short head: /);
    const standing = benchOf({ ...s, rigged: [other] });
    expect(stepsTo(standing, on, other).words).not.toMatch(/^Set up/);
    const third = { ...other, rod: { ...other.rod, id: 'third' } };
    expect(stepsTo(benchOf({ ...s, rigged: [third] }), on, other).words).toMatch(/^Set up/);
    expect(stepsTo(standing, on, other).costS).toBeLessThan(stepsTo(b, on, other).costS);
  });
});

describe('what does it', () => {
  it('is worth three quarters of the best', () => {
    for (const best of [1, 2])
      expect([0.76, 0.74].map((share) => does(b, served(share * best), served(best)))).toEqual([true, false]);
  });

  it('or passes as often as its own way does where all is well, if the water does not speak against that way', () => {
    const first = b.votes[0]!.method;
    const last = b.votes.at(-1)!.method;
    const usual = usualOf(s, setupOf(s, first, on, 1));
    expect([0.91, 0.89].map((of) => does(b, served(0.1, { chance: of * usual }), served(1)))).toEqual([true, false]);
    expect(b.votes[0]!.points - b.votes.at(-1)!.points).toBeGreaterThan(4);
    expect(does(b, served(0.1, { chance: 1, method: last }), served(1, { method: first }))).toBe(false);
  });
});

describe('the smallest change', () => {
  it('of a fly that rides high is what takes it down: a tip, or shot; where that is not enough, another fly with it', () => {
    const deep = river(
      [0, 30, 60].map((x) => across(x, 24, 0, 0.9, 1.6, 2, 1.6, 0)),
      0.9,
    );
    const kept = /two-hander|short head|10 ft (fast|heavy)|4 ft of 12 lb|rabbit strip|sculpin/;
    const at = situation(
      {
        kit: BAG.filter((k) => kept.test(k.id)),
        reading: { waterTempC: 5, visibilityM: 1.5 },
        water: { quarry: 'steelhead' },
        tiedOn: tied('two-hander 7', 'short head', '', '4 ft of 12 lb', 'black rabbit strip'),
      },
      deep,
    );
    const bench = benchOf(at);
    const other = itemsOf(at.kit, 'fly').find((f) => f.family === 'sculpin')!;
    const [tip] = itemsOf(at.kit, 'tip');
    const rig = { ...at.tiedOn!, fly: other, tip: tip! };
    const lies = byWeight(at).slice(0, 3);
    const best = finished(serve(bench, setupOf(at, 'streamer on the swing', rig, 1), lies));
    const changes = finished(smallestChanges(bench, at.tiedOn!, best));
    // What does it first, then what comes near, by what it costs; what another fly alone would do is not told: it rides as high.
    expect(changes.map((c) => [c.levers.join(), c.does])).toEqual([
      ['tip,fly', true],
      ['shot', false],
      ['tip', false],
    ]);
    expect(changes[0]!.served.worth).toBeCloseTo(best.worth, 9);
    expect(changes[1]!.costS).toBeLessThan(changes[2]!.costS);
  });
});
