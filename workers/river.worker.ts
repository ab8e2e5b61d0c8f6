import { expose, releaseProxy, type ProxyMethods } from 'comlink';
import type { CastRequest, Move } from '@/core/advice';
import { caseOnRun, swingOnRun } from '@/core/advice/cast';
import { changesFor, type ChangesRequest } from '@/core/advice/changes';
import { moveCurve } from '@/core/advice/moves';
import type { RankRequest } from '@/core/advice/rank';
import { survey } from '@/core/advice/survey';
import { tryAll } from '@/core/advice/trial';
import { NUMERICS, swingBand, type Doubt } from '@/core/swing';

/** Work goes on for so long before messages are let in: a cancel, or the swing of the newest drag. */
const SLICE_MS = 12;
const breathe = () => new Promise<void>((resolve) => setTimeout(resolve, 0));

const running = new Set<number>();

export type OnShare = (share: number) => void;

/** Drives a search to its end, breathing on the way; null when it was cancelled. */
async function drive<T>(job: number, work: Generator<number, T, undefined>, onShare?: OnShare): Promise<T | null> {
  running.add(job);
  try {
    let since = performance.now();
    for (;;) {
      const step = work.next();
      if (step.done) return step.value;
      if (performance.now() - since < SLICE_MS) continue;
      onShare?.(step.value);
      await breathe();
      if (!running.has(job)) return null;
      since = performance.now();
    }
  } finally {
    running.delete(job);
    // The other side's callback came over a channel of its own: close it.
    (onShare as Partial<ProxyMethods> | undefined)?.[releaseProxy]?.();
  }
}

const api = {
  survey,

  swing: (q: CastRequest) => swingOnRun(q),

  /** Ends a job; its promise gives null. */
  cancel: (job: number) => void running.delete(job),

  band: (
    job: number,
    onShare: OnShare | undefined,
    q: CastRequest,
    plain: { rows: number; dangleS: number | null },
    doubt: Doubt,
  ) => drive(job, swingBand(caseOnRun(q.channel, q.rig, q.plan, q.lies), plain, doubt), onShare),

  changes: (job: number, onShare: OnShare | undefined, q: ChangesRequest) => drive(job, changesFor(q), onShare),

  async rough(job: number, onShare: OnShare | undefined, q: RankRequest, which: readonly number[]) {
    const tried = await drive(job, tryAll(q, which, NUMERICS.rough), onShare);
    return tried && tried.map((t) => t && t.miss);
  },

  full: (job: number, onShare: OnShare | undefined, q: RankRequest, which: readonly number[]) =>
    drive(job, tryAll(q, which, NUMERICS.full), onShare),

  curve: (job: number, onShare: OnShare | undefined, move: Move) => drive(job, moveCurve(move), onShare),
};
export type RiverWorker = typeof api;

expose(api);
