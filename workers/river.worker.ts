import { expose } from 'comlink';
import type { CastRequest } from '@/core/advice';
import { caseOnRun, swingOnRun } from '@/core/advice/cast';
import { survey } from '@/core/advice/survey';
import { swingBand, type Band, type Doubt } from '@/core/swing';

/** Lets messages in (a cancel among them) between two swings. */
const breathe = () => new Promise<void>((resolve) => setTimeout(resolve, 0));

let latestBand = 0;

const api = {
  survey,

  swing: (q: CastRequest) => swingOnRun(q),

  /** The band of doubt; a later call ends an earlier one, which then gives null. */
  async band(q: CastRequest, plain: { rows: number; dangleS: number | null }, doubt: Doubt): Promise<Band | null> {
    const mine = ++latestBand;
    await breathe();
    if (mine !== latestBand) return null;
    const c = caseOnRun(q.channel, q.rig, q.plan, q.lies);
    return swingBand(c, plain, doubt);
  },
};
export type RiverWorker = typeof api;

expose(api);
