import { LESSON_NAMES } from '@/core/practice/lessons';
import { PACES } from '@/core/water';
import { SCENES, SCENES_OF, type Shape } from '@/ui/charts/lessonScenes';
import { LESSON_WORDS, said } from './lessons';
import { LESSON_TITLES } from './lessonTitles';

describe('the lessons', () => {
  it.each(LESSON_NAMES)(
    '%s: a scene a step, whole sentences in the units in use, a question with one right answer',
    (name) => {
      const { steps, check, caution } = LESSON_WORDS[name];
      expect(SCENES_OF[name]).toHaveLength(steps.length);
      expect(LESSON_TITLES[name]).toMatch(/^[A-Z].*[^.]$/);
      expect(check.choices[check.right]).toBeDefined();
      expect(said(check.asks, 'metric')).toMatch(/\?$/);
      for (const units of ['metric', 'imperial'] as const) {
        const all = [...steps, check.why].map((s) => said(s, units));
        for (const s of all) expect(s).toMatch(/^[A-Z\d].*[.?]$/);
        const choices = check.choices.map((c) => said(c, units));
        expect(new Set(choices).size).toBe(choices.length);
        if (units === 'imperial') expect([...all, ...choices].join(' ')).not.toMatch(/\d (m|cm|m\/s)\b/);
      }
      expect(caution ?? '.').toMatch(/\.$/);
    },
  );

  it('where the work can hurt someone there is a caution', () => {
    for (const name of ['wading', 'boots', 'wood', 'storms', 'two flies', 'release'] as const)
      expect(LESSON_WORDS[name].caution).toBeTruthy();
    expect(LESSON_WORDS.wading.caution).toMatch(/qualified instructor.*local rules/);
  });

  it('the stick: its right answer is the way by the seconds, and a walking pace', () => {
    const { choices, right } = LESSON_WORDS.stick.check;
    expect(said(choices[right]!, 'metric')).toBe('0.83 m/s');
    expect(10 / 12).toBeGreaterThan(0.85 * PACES.walk);
    expect(10 / 12).toBeLessThan(1.15 * PACES.walk);
  });
});

describe('their scenes', () => {
  const shapes = Object.entries(SCENES).flatMap(([name, all]) => all.map((s: Shape) => [name, s] as const));

  it('move only what has several frames, each with as many points, and stay near the picture', () => {
    for (const [name, shape] of shapes) {
      if (shape.is === 'words' || shape.is === 'flow') continue;
      const frames = shape.frames as readonly (readonly unknown[])[];
      expect([name, frames.length > 0]).toEqual([name, true]);
      const lengths = new Set(frames.map((f) => f.length));
      expect([name, lengths.size]).toEqual([name, 1]);
      for (const [x, y] of frames.flat(2).length > 0 ? pairs(frames) : []) {
        expect(x).toBeGreaterThanOrEqual(-1);
        expect(x).toBeLessThanOrEqual(161);
        expect(y).toBeGreaterThanOrEqual(-40);
        expect(y).toBeLessThanOrEqual(91);
      }
    }
    expect(shapes.length).toBeGreaterThan(100);
  });

  it('each is shown in a lesson', () => {
    expect(new Set(Object.values(SCENES_OF).flat())).toEqual(new Set(Object.keys(SCENES)));
  });
});

/** The points of frames, whether of a line or of a body. */
function pairs(frames: readonly (readonly unknown[])[]): (readonly [number, number])[] {
  const flat = frames.flat(3) as number[];
  return Array.from({ length: flat.length / 2 }, (_, i) => [flat[2 * i]!, flat[2 * i + 1]!] as const);
}
