import { useRouter } from 'expo-router';
import { type EventOf, type LogEvent, standing } from '@/core/logbook';
import {
  join,
  type LoggedOuting,
  type Rearranged,
  type Scribe,
  split,
  takenBack,
  unjoin,
  unsplit,
} from '@/core/logbook/correct';
import { append, type Change, patch, put, rearranged, remove } from '@/store/changes';
import { newId, ofSession, useCommit, useSession } from '@/store/hooks';
import { openDatabase } from '@/store/open';
import { factsOf, type Outing, outingOf } from '@/store/records';
import { useToast } from '@/ui';
import { saidOf } from '@/words/said';

/** Makes the ids and tells the time of what is corrected now. */
export const scribe = (): Scribe => ({ id: newId, now: Date.now() });

/** An outing with its log, as they are stored now. */
async function logged(id: string): Promise<LoggedOuting | null> {
  const { db } = openDatabase();
  const outing = (await db.all('outing')).find((o) => o.id === id);
  return outing ? { outing: factsOf(outing), events: await db.events(id) } : null;
}

/** First and last moment of what stands of a log. */
function span(events: readonly LogEvent[]): readonly [number, number] | null {
  const times = standing(events).map((e) => e.at);
  return times.length > 0 ? [Math.min(...times), Math.max(...times)] : null;
}

/** When an outing began and ended: as far before and after its entries as it did before these were added. */
function hoursOf(
  { startedAt, endedAt }: Outing,
  events: readonly LogEvent[],
  added: readonly LogEvent[],
): Pick<Outing, 'startedAt' | 'endedAt'> {
  const [before, after] = [span(events), span([...events, ...added])];
  if (!before || !after) return { startedAt, endedAt };
  return {
    startedAt: startedAt + after[0] - before[0],
    endedAt: endedAt === null ? null : endedAt + after[1] - before[1],
  };
}

/** Corrections of outings: each is said, and can be taken back; nothing that was logged is lost. */
export function useCorrect() {
  const commit = useCommit();
  const toast = useToast();
  const router = useRouter();
  const [session] = useSession();
  const fail = (error: unknown) => toast(`Couldn’t change: ${saidOf(error)}.`);
  const attempt = (work: () => Promise<void>) => void work().catch(fail);

  /** Appends corrections to a log; the outing's hours follow. */
  const correct = async (outing: Outing, events: readonly LogEvent[], added: readonly LogEvent[]) => {
    const hours = hoursOf(outing, events, added);
    await commit(append(outing.id, added), patch('outing', outing.id, hours));
  };
  /** Carries out what a correction of outings comes to; the outing that is being fished goes with its log. */
  const rearrange = async (r: Rearranged, next: Partial<Record<string, string | null>> = {}) => {
    const now = session?.outingId ?? null;
    const moved: Change[] = now !== null && now in next ? [ofSession({ outingId: next[now] ?? null })] : [];
    await commit(...rearranged(r), ...moved);
  };

  const takeBackSplit = async (id: string, cut: EventOf<'split'>) => {
    const [first, second] = [await logged(id), await logged(cut.outing.outingId)];
    if (!first || !second) throw new RangeError('the other part is not here any more');
    await rearrange(unsplit(first, cut, second, scribe()), { [second.outing.outingId]: id });
  };
  const takeBackJoin = async (id: string, joined: EventOf<'join'>) => {
    const whole = await logged(id);
    if (!whole) throw new RangeError('the outing is not here any more');
    await rearrange(unjoin(whole, joined, scribe()));
  };

  const takeBackAll = async (id: string, of: readonly LogEvent[]) => {
    const now = await logged(id);
    if (!now) throw new RangeError('the outing is not here any more');
    const by = scribe();
    await correct(
      outingOf(now.outing),
      now.events,
      of.map((e) => takenBack(e.id, by)),
    );
  };

  return {
    /** Appends what says entries anew or takes them back, and says so. */
    amend: (outing: Outing, events: readonly LogEvent[], added: readonly LogEvent[], said: string) =>
      attempt(async () => {
        await correct(outing, events, added);
        toast(said, () => attempt(() => takeBackAll(outing.id, added)));
      }),

    /** Takes corrections that were made together back, however long ago that was. */
    takeBack: (outing: Outing, of: readonly LogEvent[]) =>
      attempt(async () => {
        const [e] = of;
        if (e?.kind === 'split') await takeBackSplit(outing.id, e);
        else if (e?.kind === 'join') await takeBackJoin(outing.id, e);
        else await takeBackAll(outing.id, of);
        toast('Undone: your log is as before.');
      }),

    split: (outing: Outing, at: number) =>
      attempt(async () => {
        const whole = await logged(outing.id);
        if (!whole) return;
        const into = newId();
        const parts = split(whole, at, into, scribe());
        await rearrange(parts, outing.endedAt === null ? { [outing.id]: into } : {});
        const [cut] = parts.appended[0]!.events as [EventOf<'split'>];
        toast('Outing split in two.', () => attempt(() => takeBackSplit(outing.id, cut)));
      }),

    join: (outing: Outing, otherId: string) =>
      attempt(async () => {
        const [a, b] = [await logged(outing.id), await logged(otherId)];
        if (!a || !b) return;
        const whole = join(a, b, scribe());
        const [id, gone] = [whole.kept[0]!.outingId, whole.gone[0]!];
        await rearrange(whole, { [gone]: id });
        router.replace({ pathname: '/learn/[outing]', params: { outing: id } });
        const joined = whole.appended[0]!.events.at(-1) as EventOf<'join'>;
        toast('Outings joined.', () => attempt(() => takeBackJoin(id, joined)));
      }),

    note: (outing: Outing, notes: string) =>
      attempt(async () => void (await commit(patch('outing', outing.id, { notes })))),

    remove: (outing: Outing, events: readonly LogEvent[]) =>
      attempt(async () => {
        const fished = session?.outingId === outing.id;
        await commit(remove('outing', outing.id), ...(fished ? [ofSession({ outingId: null })] : []));
        router.navigate('/learn');
        toast('Outing removed.', () =>
          attempt(
            async () =>
              void (await commit(
                put('outing', outing),
                append(outing.id, events),
                ...(fished ? [ofSession({ outingId: outing.id })] : []),
              )),
          ),
        );
      }),
  };
}
