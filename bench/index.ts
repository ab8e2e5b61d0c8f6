// npm run bench: prints tables; compare the ratios of one run, not times of different machines.
import { benchAnswer } from './answer';
import { benchCareer, benchCareerScreens } from './career';
import { benchChances } from './chances';
import { benchCover } from './cover';
import { benchDays, benchNudges } from './days';
import { benchDrag } from './drag';
import { benchField } from './field';
import { benchHeights } from './heights';
import { benchLearn } from './learn';
import { benchRapier } from './rapier';
import { benchStart } from './start';
import { benchStore } from './store';
import { benchSwing, benchYardstick } from './swing';
import { benchYear } from './year';

const benches: Record<string, () => void | Promise<void>> = {
  swing: () => (benchSwing(), benchYardstick()),
  field: benchField,
  days: benchDays,
  year: benchYear,
  nudges: benchNudges,
  chances: benchChances,
  answer: benchAnswer,
  cover: benchCover,
  learn: benchLearn,
  rapier: benchRapier,
  store: benchStore,
  start: benchStart,
  heights: benchHeights,
  career: async () => {
    await benchCareer();
    await benchCareerScreens();
  },
  drag: benchDrag,
};

// npm run bench -- drag store: only these.
const chosen = process.argv.slice(2);
void (async () => {
  for (const [name, bench] of Object.entries(benches)) if (chosen.length === 0 || chosen.includes(name)) await bench();
})();
