import { fliesOf, leaderLengthM, type Rig, tippetDiameterM, tippetOf } from '../tackle';
import {
  angles,
  flips,
  GLIDE,
  LOW_CLEAR,
  MURK,
  rigOf,
  SEA_TROUT,
  STEELHEAD,
  STREAM,
  takesDown,
} from './situations.testing';
import { answered as ask } from './waters.testing';

/** Situations of the trade with the whole advice run over them: what a good guide would nod at, what he would not, and the reading
 * that flips it (handbook of the trade; common practice, no source): by water and light. */
const median = (list: readonly number[]) => [...list].sort((x, y) => x - y)[Math.floor(list.length / 2)]!;
const dark = (rig: Rig) => ['black', 'black and blue', 'purple'].includes(rig.fly.colour);

describe('water and light', () => {
  it('dirty and up: a streamer low, slow and dark, 60 to 70°; as it clears, another fly', () => {
    const a = ask(GLIDE, { reading: MURK, water: SEA_TROUT });
    expect(a.method).toBe('streamer on the swing');
    expect(dark(rigOf(a))).toBe(true);
    expect(rigOf(a).fly.lengthM).toBeGreaterThanOrEqual(0.05);
    expect(median(angles(a))).toBeLessThanOrEqual(80);
    expect(a.why).toContainEqual(expect.objectContaining({ code: 'sign', sign: 'dirty', visibilityM: 0.4 }));
    expect(flips(a)).toMatch(/clears: /);
  });

  it('size in murk goes by the school: bigger, unless it is said that size hardly matters', () => {
    const usual = ask(GLIDE, { reading: MURK, water: SEA_TROUT });
    const schools = { murkSize: 'size hardly matters' } as const;
    const any = ask(GLIDE, { reading: MURK, water: SEA_TROUT, settings: { schools } });
    expect([usual, any].map((a) => a.school.murkSize)).toEqual(['bigger', 'size hardly matters']);
    expect(rigOf(usual).fly.lengthM).toBeGreaterThanOrEqual(rigOf(any).fly.lengthM);
  });

  it('mud: dark, close in, and the odds told as they are', () => {
    const a = ask(GLIDE, { reading: { visibilityM: 0.1, colour: 'brown soup', levelM: 0.5 } });
    expect(a.method === 'streamer on the swing' || a.method === 'hang').toBe(true);
    expect(dark(rigOf(a))).toBe(true);
    expect(a.served!.found).toBeLessThan(0.2);
  });

  it('tea is dark but clear: not fished as silt of the same sight', () => {
    const tea = ask(GLIDE, { reading: { ...MURK, colour: 'tea' }, water: SEA_TROUT });
    const silt = ask(GLIDE, { reading: MURK, water: SEA_TROUT });
    const dirty = expect.objectContaining({ sign: 'dirty' });
    expect(silt.why).toContainEqual(dirty);
    expect(tea.why).not.toContainEqual(dirty);
    expect(dark(rigOf(silt))).toBe(true);
  });

  it('low and clear: a long leader, small flies, no heavy tip; coloured it is a dark streamer', () => {
    const a = ask(GLIDE, { reading: LOW_CLEAR });
    const rig = rigOf(a);
    expect(takesDown(rig)).toBeLessThan(0.25);
    expect(leaderLengthM(rig.leader)).toBeGreaterThan(rig.tip ? 1.7 : 2.6);
    expect(Math.max(...fliesOf(rig).map((f) => f.lengthM))).toBeLessThanOrEqual(0.05);
    expect(flips(a)).toMatch(/colours: streamer on the swing with the black/);
  });

  it('what wakes in low clear water at dusk hangs on 9 ft that turn it over, not on 12 ft of fine tippet', () => {
    const a = ask(GLIDE, {
      at: Date.UTC(2026, 6, 10, 4),
      reading: { ...LOW_CLEAR, visibilityM: 2, waterTempC: 19, sky: 'dusk' },
    });
    expect(a.method).toBe('wake fly');
    expect(leaderLengthM(rigOf(a).leader)).toBeLessThan(3);
    expect(tippetOf(rigOf(a).leader).diameterM).toBeGreaterThanOrEqual(tippetDiameterM(3));
  });

  it('warm, clear, soft light: a waking fly with no tip; at noon not', () => {
    const clear = { visibilityM: 2.5, colour: 'clear', waterTempC: 13 } as const;
    const dusk = ask(GLIDE, { reading: { ...clear, sky: 'dusk' }, water: STEELHEAD, at: Date.UTC(2026, 8, 10, 18) });
    expect(dusk.method).toBe('wake fly');
    expect(rigOf(dusk).tip).toBeNull();
    expect(dusk.served!.stands.every((t) => t.verdict.pass.depthM < 0.15 || t.chance! < 5)).toBe(true);
    expect(dusk.check).toContainEqual({ code: 'wake' });
    const noon = ask(GLIDE, { reading: { ...clear, sky: 'bright' }, water: STEELHEAD });
    expect(noon.method).not.toBe('wake fly');
    expect(flips(noon)).toMatch(/light goes: wake fly/);
  });

  it('cold: a streamer on a tip, slow; never a waking fly; the heavier tip where it is deeper', () => {
    const a = ask(GLIDE, { reading: { visibilityM: 1.5, colour: 'blue-green', waterTempC: 4 }, water: STEELHEAD });
    expect(a.method).toBe('streamer on the swing');
    expect(takesDown(rigOf(a))).toBeGreaterThan(0.2);
    expect(a.why).toContainEqual(expect.objectContaining({ sign: 'cold', tempC: 4 }));
    const warmer = ask(GLIDE, {
      reading: { visibilityM: 2, colour: 'clear', waterTempC: 14, sky: 'dusk' },
      water: STEELHEAD,
      settings: { school: 'upper to middle' },
    });
    const depth = ({ served }: typeof a) =>
      median(served!.stands.map((t) => t.verdict.pass.depthM / t.verdict.lie.depthM));
    expect(depth(warmer)).toBeLessThan(depth(a));
  });

  it('too warm: stop comes first', () => {
    const a = ask(STREAM, { reading: { waterTempC: 21.5 } });
    expect(a.cautions[0]).toEqual({ level: 'stop', code: 'too warm' });
    expect(ask(STREAM).cautions.some((c) => c.level === 'stop')).toBe(false);
  });
});
