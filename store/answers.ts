import { createAsyncStorage } from '@react-native-async-storage/async-storage';
import type { Answer } from '@/core/answer';
import { hasRoom } from './copy';
import { seal, unseal } from './seal';
import { within } from './storage';

/** An answer, to what it is one, and what worked it out. */
interface Kept {
  readonly by: string;
  readonly asked: string;
  readonly answer: Answer;
}

const KEY = 'last';
/** So many answers are kept: the runs of a day. */
const MOST = 6;
/** Looking for one must not take longer than working it out. */
const PATIENCE_MS = 1_000;
const storage = () => createAsyncStorage('wanderung-answers');

/** What is kept, the newest first; nothing where it cannot be read. */
async function kept(): Promise<readonly Kept[]> {
  try {
    const stored = await within(PATIENCE_MS, storage().getItem(KEY));
    const { value, intact } = unseal(stored ?? seal('[]'));
    return intact ? (value as Kept[]) : [];
  } catch {
    return [];
  }
}

/**
 * An answer that was worked out before, on this page or one before it: a phone drops pages that are not in sight.
 *
 * @param by the version of the program that worked it out; another may answer otherwise
 * @param asked all that the answer follows from
 */
export const keptAnswer = async (by: string, asked: string): Promise<Answer | null> =>
  (await kept()).find((k) => k.by === by && k.asked === asked)?.answer ?? null;

/** Keeps an answer in place of the oldest; where it cannot be stored it is worked out again. */
export async function keepAnswer(by: string, asked: string, answer: Answer): Promise<void> {
  if (!(await hasRoom())) return;
  const others = (await kept()).filter((k) => k.by === by && k.asked !== asked);
  const newest: Kept[] = [{ by, asked, answer }, ...others.slice(0, MOST - 1)];
  await storage()
    .setItem(KEY, seal(JSON.stringify(newest)))
    .catch(() => undefined);
}

/** They name runs and places: they go with the rest. */
export const forgetAnswers = (): Promise<void> => storage().clear();
