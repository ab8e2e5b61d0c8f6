import { type Situation } from './situation';
import { cautionsOf } from './cautions';
import { feature, LIGHT, RUN, situation } from './waters.testing';

const rig = situation({ tiedOn: LIGHT }).tiedOn!;
const s = situation({ reading: { waterTempC: 16 } }); // neither cold nor warm
const says = (o: Partial<Situation> = {}, on: Parameters<typeof cautionsOf>[1] = null) =>
  cautionsOf({ ...s, ...o }, on).map((c) => `${c.level}: ${c.says}`);
const lies = (...staged: boolean[]) => staged.map((is, i) => ({ ...s.lies[0]!, rank: i + 1, staged: is }));
const bare = { ...rig, fly: { ...rig.fly, weight: 'none' as const } };

describe('what to mind (handbook of the trade: the usual cautions)', () => {
  it('is nothing where there is nothing', () => {
    expect(says()).toEqual([]);
    expect(says({}, bare)).toEqual([]);
  });

  it('closed water comes first, and stops; so does water that is too warm, by its own limit', () => {
    expect(says({ closed: ['Closed.'], seen: ['rises'] })[0]).toBe('stop: Closed.');
    const warm = { reading: { ...s.reading, waterTempC: 19 } };
    expect(says(warm).some((x) => x.startsWith('stop'))).toBe(false);
    const rules = { ...s.rules!, closesAtC: 18 };
    expect(says({ ...warm, rules }).some((x) => x.startsWith('stop'))).toBe(true);
  });

  it.each<[string, Partial<Situation>, RegExp]>([
    ['young fish', { seen: ['juveniles'] }, /^care: Young fish swarm here/],
    ['rising fish', { seen: ['rises'] }, /^care: For a steady riser change to a dry fly/],
    ['a redd', { run: { ...RUN, features: [feature('redd', 30, 5, 2, 2)] } }, /^care: There is a redd in this run/],
    ['a lie by a redd', { lies: lies(false, true, false, true) }, /^care: Fish at 2, 4 may be waiting to spawn/],
    ['all lies by a redd', { lies: lies(true, true) }, /^care: Every lie of this run is near the redd/],
  ])('%s', (_, o, words) => {
    const told = says(o);
    expect(told).toHaveLength(1);
    expect(told[0]).toMatch(words);
  });

  it('a weighted fly, on the point or above, or shot: glasses; two flies: the free hook', () => {
    const beaded = { ...rig.fly, weight: 'bead' as const };
    const dropper = (fly: typeof rig.fly) => ({ ...bare, droppers: [{ fly } as never] });
    expect(says({}, { ...rig, fly: beaded })).toEqual(['care: A weighted fly: glasses and a brimmed hat.']);
    expect(says({}, { ...bare, shot: { massKg: 0.0005 } as never })).toHaveLength(1);
    expect(says({}, dropper(bare.fly))).toEqual([expect.stringMatching(/^care: Two flies: mind the free hook/)]);
    expect(says({}, dropper(beaded))).toHaveLength(2);
  });
});
