// npm run bench: prints tables; compare the ratios of one run, not times of different machines.
import { benchField } from './field';
import { benchRapier } from './rapier';
import { benchStart } from './start';
import { benchStore } from './store';
import { benchRanking, benchSwing } from './swing';

benchSwing();
benchField();
benchRanking();
void benchRapier().then(benchStore).then(benchStart);
