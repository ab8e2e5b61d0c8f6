import { whole } from '../testing/fixtures';
import { responseCurve } from './curve';
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
});
