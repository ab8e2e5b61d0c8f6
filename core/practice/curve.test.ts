import { whole } from '../testing/fixtures';
import { runSwing } from '../swing';
import { INCH_M } from '../units';
import { flumeCase, responseCurve } from './curve';
import { type CurvePoint, type CurveRequest, effect, VARIABLE_NAMES } from './variables';

const curve = (variable: CurveRequest['variable'], lineClean = true): CurvePoint[] =>
  whole(responseCurve({ variable, u: 0.9, lineClean })).value;
const deepest = (p: CurvePoint) => p.deepestM;
const dangle = (p: CurvePoint) => p.dangleM;
const across = (p: CurvePoint) => p.crossMps;

describe('what moves the fly (directions of an earlier study of the model, from memory)', () => {
  it('current: slower is deeper everywhere; speed across goes with the current', () => {
    const c = curve('current');
    c.forEach((p, i) => i > 0 && expect(p.deepestM).toBeLessThan(c[i - 1]!.deepestM));
    const share = c.map((p) => p.crossMps / p.value);
    expect(Math.max(...share) / Math.min(...share)).toBeLessThan(1.2);
  });

  it('angle and mend move the deepest point; the dangle forgets the cast', () => {
    for (const variable of ['angle', 'mend'] as const) {
      const c = curve(variable);
      expect(effect(c, deepest).word).not.toBe('hardly');
      expect(effect(c, dangle).word).toBe('hardly');
    }
  });

  it('tip and fly move depth everywhere and speed hardly', () => {
    for (const variable of ['tip', 'fly'] as const) {
      const c = curve(variable);
      expect(effect(c, dangle).word).toBe('strongly');
      expect(effect(c, across).word).toBe('hardly');
    }
    const tip = curve('tip');
    tip.forEach((p, i) => i > 0 && expect(p.deepestM).toBeGreaterThan(tip[i - 1]!.deepestM));
  });

  it('a following rod is about a sixth slower', () => {
    const [still, follows] = curve('rod');
    expect(follows!.crossMps / still!.crossMps).toBeCloseTo(0.84, 1);
  });

  it.each(VARIABLE_NAMES)('%s: the dirty line is never shallower on the dangle', (variable) => {
    const [clean, dirty] = [curve(variable), curve(variable, false)];
    clean.forEach((p, i) => expect(dirty[i]!.dangleM).toBeGreaterThan(p.dangleM - 0.02));
  });

  it('tells its share as it goes, names settings that are no numbers, and leaves out half way where a cast begins below', () => {
    const { value, shares } = whole(responseCurve({ variable: 'angle', u: 0.9, lineClean: true }));
    expect(shares).toEqual(value.map((_, i) => (i + 1) / value.length));
    for (const p of value) expect(p.halfwayM === null).toBe(p.value <= 45);
    expect(curve('rod').every((p) => typeof p.words === 'string')).toBe(true);
  });

  it('is the study’s cast: 18 m of line in all from a tip over the water, whatever sinks of it', () => {
    for (const tipM of [0, 1.5, 4.6]) {
      const c = flumeCase({ tipM });
      expect(c.line.reduce((m, l) => m + l.lengthM, 0)).toBeCloseTo(18, 9);
      expect(Math.min(...c.line.map((l) => l.lengthM))).toBeGreaterThan(0);
      expect(c.line.filter((l) => l.kind === 'sink')).toHaveLength(tipM > 0 ? 1 : 0);
    }
    const tip = (ips: number) => flumeCase({ rateMps: ips * INCH_M }).line[1]!;
    expect(tip(7).diameterM).toBeCloseTo(1e-3, 5); // line data of the study, from memory: 7 ips 1.0 mm
    expect(tip(1.5).diameterM).toBeCloseTo(1.3e-3, 5);
    for (const rod of ['still', 'follow', 'lead'] as const) {
      const r = flumeCase({ rod }).rod;
      expect('path' in r ? r.path[0]![3] : r.follow.z).toBeLessThan(0);
    }
  });

  it('lays the slack to the side it is told', () => {
    const tight = (bow?: 1 | -1) => runSwing(flumeCase({ slackM: 1.5, bow })).tightAtFlyS!;
    expect(tight(1)).toBeLessThan(tight(-1));
    expect(tight()).toBe(tight(-1));
  });

  it('calls an effect by its ratio: a tenth is hardly, a third somewhat', () => {
    const word = (ratio: number) =>
      effect(
        [1, ratio].map((deepestM) => ({ deepestM }) as CurvePoint),
        deepest,
      ).word;
    expect([1, 1.09, 1.11, 1.34, 1.36, 3].map(word)).toEqual([
      'hardly',
      'hardly',
      'somewhat',
      'somewhat',
      'strongly',
      'strongly',
    ]);
  });
});
