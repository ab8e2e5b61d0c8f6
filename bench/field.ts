import { coarseSurvey, survey } from '@/core/lies/survey';
import { atLevel, type Run, type Section } from '@/core/water';

import { table, time } from './table';

const OPTIONS = { quarry: 'sea trout', school: 'near the bed', most: 5 } as const;

/** A run of 100 m by 25 m of so many sections, each a little different. */
function runOf(count: number): Run {
  const sections: Section[] = Array.from({ length: count }, (_, i) => ({
    xM: (100 * i) / (count - 1),
    points: [0, 0.4, 0.8, 1.2 + 0.3 * Math.sin(i), 0.9, 0.5, 0].map((depthM, j) => ({ yM: (25 * j) / 6, depthM })),
  }));
  const features = Array.from({ length: 8 }, (_, i) => ({
    ...{ id: `b${i}`, kind: 'boulder' as const, xM: 10 + 10 * i, yM: 5 + 2 * i, lengthM: 1.5, widthM: 1.5 },
  }));
  return {
    ...{ id: 'run', waterId: 'water', name: 'bench', lengthM: 100, bank: 'left', bearingDeg: 180, bed: 'cobble' },
    ...{ levelM: 0, sections, features, speed: { surfaceMps: 0.9, xM: 50, yM: 12 }, notes: '' },
  };
}

/** Field and lies at a new level: coarse as while a slider is dragged, full as in a worker. */
export function benchField(): void {
  let level = 0;
  const reading = () => ({
    ...{ id: 'r', runId: 'run', at: 0, levelM: (level += 0.001), visibilityM: 1, atLeast: false },
    ...{ colour: 'green' as const, speed: null, waterTempC: 10, sky: 'broken' as const },
  });
  const rows = [3, 10, 30].flatMap((n) => {
    const run = runOf(n);
    const coarse = () => {
      const there = atLevel(run, { ...reading(), levelM: 0 }, (level += 0.001));
      coarseSurvey(there.run, there.reading, OPTIONS);
    };
    const full = () => void survey(run, reading(), OPTIONS);
    [coarse, full].forEach((work) => time(5, work)); // warm
    return [
      [`${n} sections, coarse`, time(15, coarse).median, 16],
      [`${n} sections, full survey`, time(15, full).median, 100],
    ] as const;
  });
  const base = rows[0]![1];
  table(
    'Field and lies at a new level',
    ['work', 'ms', 'over the first', 'budget ms'],
    rows.map(([name, ms, budget]) => [name, ms, ms / base, budget]),
  );
}
