// npm run bench: prints tables; compare the ratios of one run, not times of different machines.
import { benchStart } from './start';
import { benchStore } from './store';
import { benchSwing } from './swing';

benchSwing();
void benchStore().then(benchStart);
