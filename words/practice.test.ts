import { type Round, roundOf } from '@/core/practice/rounds';
import { responseCurve } from '@/core/practice/curve';
import { finished } from '@/core/maths/work';
import { GRADES, ROUND_KINDS } from '@/core/practice/played';
import { dayWords, eyeWords, markedWords, questionOf, reasonOf, ROUND_HINTS, ROUND_TITLES } from './practice';

const rounds: Round[] = ROUND_KINDS.flatMap((kind) =>
  GRADES.slice(0, kind === 'tip' ? 1 : 2).map((grade, i) => roundOf(kind, 21 + i, grade)),
);

describe('the practice ground in words', () => {
  it.each(rounds.map((r) => [r.kind, r] as const))(
    '%s: asks and explains in whole sentences, in the units in use',
    (_, r) => {
      for (const units of ['metric', 'imperial'] as const) {
        const all = [
          questionOf(r, units),
          ...reasonOf(r, units),
          ...('water' in r ? [dayWords(r as never, units)] : []),
        ];
        for (const s of all) expect(s).not.toMatch(/undefined|NaN|null|\.\./);
        if (units === 'imperial') for (const s of all) expect(s).not.toMatch(/\d (m|cm|°C|m\/s)\b/);
        for (const s of reasonOf(r, units)) expect(s).toMatch(/\.$/);
      }
      expect(ROUND_TITLES[r.kind]).toMatch(/\?$/);
      expect(ROUND_HINTS[r.kind]).not.toMatch(/\.$/);
    },
  );

  it('what it says of tip and current is what the engine finds', () => {
    const hang = (variable: 'tip' | 'current', u = 0.9) => finished(responseCurve({ variable, u, lineClean: true }));
    const at = (curve: ReturnType<typeof hang>, value: number) =>
      curve.reduce((a, b) => (Math.abs(b.value - value) < Math.abs(a.value - value) ? b : a)).dangleM;
    const tip = hang('tip');
    for (const ips of [2, 3, 4]) {
      const ratio = at(tip, 2 * ips * 0.0254) / at(tip, ips * 0.0254);
      expect(ratio).toBeGreaterThan(1.6);
      expect(ratio).toBeLessThan(2.6);
    }
    const current = hang('current');
    for (const u of [0.5, 0.6, 0.75]) expect(at(current, 2 * u) / at(current, u)).toBeLessThan(0.5);
  });

  it('marks, bias and doubt', () => {
    expect(markedWords({ marks: 83.4 })).toBe('83 of 100 marks.');
    expect(markedWords({ marks: 20, off: 1, held: false })).toBe('20 of 100 marks, outside your range.');
    const eye = { kind: 'depth', played: 12, marks: 71.6, bias: 1.21, biased: true, held: 0.5, dueAt: 0 } as const;
    expect(eyeWords(eye)).toEqual([
      '72 of 100 marks lately; 12 rounds played',
      'You read depth 21 % too high',
      'Your range holds 5 times in 10: say less sure',
    ]);
    expect(eyeWords({ ...eye, bias: 0.9, held: 1 }).slice(1)).toEqual([
      'You read depth 10 % too low',
      'Your range always holds: say surer',
    ]);
    expect(eyeWords({ ...eye, biased: false, held: 0.8 })).toHaveLength(1);
    expect(eyeWords({ ...eye, played: 0, marks: null })).toEqual([ROUND_HINTS.depth]);
  });
});
