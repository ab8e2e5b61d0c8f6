/// <reference lib="webworker" />
import { FOLDER } from './copy';
import type { CopyFiles } from './secondCopy';

const TRIES = 10;
const PAUSE_MS = 20;
/** What room is looked for with. */
const padding = (n: number) => new Uint8Array(n).fill(1);
let spare = padding(0);

/**
 * This origin's private files, for a worker: only there they are written in place. Whether bytes fit is found by writing them:
 * browsers' estimates of the room left know their own quota, not the device's.
 */
export function privateFiles(): CopyFiles {
  const root = async () => (await navigator.storage.getDirectory()).getDirectoryHandle(FOLDER, { create: true });
  const has = async (name: string) => {
    for await (const key of (await root()).keys()) if (key === name) return true;
    return false;
  };
  async function opened<T>(name: string, work: (file: FileSystemSyncAccessHandle) => T, tries = TRIES): Promise<T> {
    const handle = await (await root()).getFileHandle(name, { create: true });
    let file: FileSystemSyncAccessHandle;
    try {
      file = await handle.createSyncAccessHandle();
    } catch (error) {
      // Another tab has it open for a moment.
      if ((error as Error).name !== 'NoModificationAllowedError' || tries === 0) throw error;
      await new Promise((r) => setTimeout(r, PAUSE_MS));
      return opened(name, work, tries - 1);
    }
    try {
      return work(file);
    } finally {
      file.close();
    }
  }
  /** Whether all of it could be written; a device without room writes a part, or refuses. */
  function fits(file: FileSystemSyncAccessHandle, bytes: Uint8Array<ArrayBuffer>, at: number): boolean {
    try {
      return file.write(bytes, { at }) === bytes.length;
    } catch (error) {
      if ((error as Error).name === 'QuotaExceededError') return false;
      throw error;
    }
  }
  return {
    async list() {
      const names: string[] = [];
      for await (const name of (await root()).keys()) names.push(name);
      return names;
    },
    size: async (name) => ((await has(name)) ? opened(name, (file) => file.getSize()) : 0),
    async append(name, bytes, spareBytes) {
      if (spare.length < spareBytes) spare = padding(spareBytes);
      try {
        return await opened(name, (file) => {
          const size = file.getSize();
          const end = size + bytes.length;
          const done = fits(file, new Uint8Array(bytes), size) && fits(file, spare.subarray(0, spareBytes), end);
          file.truncate(done ? end : size);
          file.flush();
          return done ? end : null;
        });
      } catch (error) {
        if ((error as Error).name === 'QuotaExceededError') return null; // no room for the file's name either
        throw error;
      }
    },
    read: (name, from, to) =>
      opened(name, (file) => {
        const bytes = new Uint8Array(to - from);
        return bytes.subarray(0, file.read(bytes, { at: from }));
      }),
    remove: async (name) => {
      if (await has(name)) await (await root()).removeEntry(name);
    },
  };
}
