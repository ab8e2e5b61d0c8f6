import { privateFiles } from './privateFiles';
import { reopen } from './reopen';
import { createSecondCopy, type SecondCopy } from './secondCopy';
import { STORE } from './storage';

const SLICE_KEYS = 100;

/** All that is stored, in slices. */
async function* stored(): AsyncGenerator<[string, string][]> {
  const store = await reopen(STORE);
  const keys = await store.getAllKeys();
  for (let i = 0; i < keys.length; i += SLICE_KEYS) {
    const values = await store.getMany(keys.slice(i, i + SLICE_KEYS));
    yield Object.entries(values).flatMap(([k, v]) => (v === null ? [] : [[k, v] as [string, string]]));
  }
}

/** What a second copy is asked; it may be in another worker. */
export type Copy = Pick<SecondCopy, 'append' | 'add' | 'end' | 'hasRoom' | 'turn' | 'value'> & {
  /** Gathers what is stored anew. Returns whether there was room. */
  gather(serial: number): Promise<boolean>;
  /** Begins to recall all of it. */
  recall(): Promise<{ readonly serial: number; readonly isWhole: boolean }>;
  /** Begins to recall the last transaction. */
  recallLast(): Promise<void>;
  /** The next slice of what is recalled; null at its end. */
  recalled(): Promise<[string, string][] | null>;
};

/** The second copy in this worker. */
export function copyHere(): Copy {
  const copy = createSecondCopy(privateFiles());
  let values: AsyncGenerator<[string, string][]> | null = null;
  return {
    ...copy,
    gather: (serial) => copy.gather(serial, stored()),
    async recall() {
      const { serial, isWhole, values: all } = await copy.open();
      values = all();
      return { serial, isWhole };
    },
    async recallLast() {
      values = (await copy.last()).values();
    },
    recalled: async () => (await values?.next())?.value ?? null,
  };
}
