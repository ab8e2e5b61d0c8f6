import { type Round, roundOf } from '@/core/practice/rounds';
import { responseCurve } from '@/core/practice/curve';
import { finished } from '@/core/maths/work';
import { isChoice } from '@/core/practice/marks';
import { GAME_KINDS, GRADES, ROUND_KINDS } from '@/core/practice/played';
import {
  doubtWords,
  eyeWords,
  dayWords,
  GAME_HINTS,
  GAME_TITLES,
  hourEndWords,
  markedWords,
  NOT_CAST,
  timeLeft,
} from './practice';
import { choicesOf, questionOf, reasonOf } from './rounds';

const rounds: Round[] = ROUND_KINDS.flatMap((kind) => GRADES.map((grade, i) => roundOf(kind, { seed: 21 + i, grade })));

describe('the practice ground in words', () => {
  it.each(rounds.map((r) => [r.kind, r] as const))(
    '%s: asks and explains in whole sentences, in the units in use',
    (_, r) => {
      for (const units of ['metric', 'imperial'] as const) {
        const all = [
          questionOf(r, units),
          ...reasonOf(r, units),
          ...('water' in r ? [dayWords(r, units)] : []),
          ...(isChoice(r) ? choicesOf(r, units) : []),
        ];
        for (const s of all) expect(s).not.toMatch(/undefined|NaN|null|\.\./);
        if (units === 'imperial') for (const s of all) expect(s).not.toMatch(/\d (m|cm|°C|m\/s)\b/);
        for (const s of reasonOf(r, units)) expect(s).toMatch(/^[A-Z\d].*[^.]\.$/);
        expect(questionOf(r, units)).toMatch(/(\?|“Now” when the fly .*\.|run\.)$/);
        if (isChoice(r)) expect(new Set(choicesOf(r, units)).size).toBe(choicesOf(r, units).length);
      }
    },
  );

  it('has a title and a hint for each', () => {
    for (const kind of GAME_KINDS) {
      expect(GAME_TITLES[kind]).toMatch(kind === 'hour' ? /^The/ : /\?$/);
      expect(GAME_HINTS[kind]).not.toMatch(/\.$/);
    }
  });

  it('whether ranges hold as they should: four times in five', () => {
    const words = (held: number) => doubtWords({ sure: 'sure', rounds: 10, held });
    expect(words(0.5)).toBe('Sure: your range held in 5 of 10 rounds: take a wider one.');
    expect(words(0.8)).toBe('Sure: your range held in 8 of 10 rounds, as it should.');
    expect(words(1)).toBe('Sure: your range held in 10 of 10 rounds: a narrower one would do.');
  });

  it('an hour: what it brought, and whether by luck', () => {
    const end = { found: 0.5, guide: 0.6, took: 4, of: 8, marks: 83, beat: null as never };
    const says = 'Your casts find 50 % of the willing fish in the mean; a guide’s hour with this rig finds 60 %.';
    expect(hourEndWords(end)).toEqual(['4 of 8 fish took.', says]);
    expect(hourEndWords({ ...end, took: 6 })[2]).toBe('You were lucky: these casts usually find fewer.');
    expect(hourEndWords({ ...end, took: 2 })[2]).toBe('You were unlucky: these casts usually find more.');
    expect(timeLeft({ casts: [], took: [], seconds: 660 })).toBe('49 minutes left');
    expect(timeLeft({ casts: [], took: [], seconds: 4000 })).toBe('0 minutes left');
    for (const s of Object.values(NOT_CAST)) expect(s).toMatch(/\.$/);
  });

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
    expect(eyeWords({ ...eye, played: 0, marks: null })).toEqual([GAME_HINTS.depth]);
  });
});
