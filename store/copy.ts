import type { Copy } from './copyHere';
import { within } from './storage';

/** The folder of the second copy among this origin's private files (File System Standard, 3.2). */
export const FOLDER = 'wanderung';
/** Room is looked for so long at most before it is taken as there. */
const LOOK_MS = 2_000;

const hasPlace = (): boolean => typeof navigator !== 'undefined' && !!navigator.storage?.getDirectory;
let here: Copy | null = null;

/** The second copy of what is stored: in a worker, where alone such files are written; null where the browser has no place for one. */
export async function openCopy(): Promise<Copy | null> {
  if (!hasPlace()) return null;
  if (typeof document === 'undefined') return (here ??= (await import('./copyHere')).copyHere());
  return (await import('@/workers/copy')).copyWorker();
}

/** Whether there was ever a second copy, found out without a worker. */
export async function hasCopy(): Promise<boolean> {
  if (!hasPlace()) return false;
  try {
    const root = await within(LOOK_MS, navigator.storage.getDirectory());
    return !!(await root.getDirectoryHandle(FOLDER));
  } catch {
    return false;
  }
}

/**
 * Whether the device has room for more; true where that cannot be told. A write without room can cost the whole store, what
 * is only kept for convenience included.
 */
export async function hasRoom(): Promise<boolean> {
  try {
    const copy = await within(LOOK_MS, openCopy());
    return !copy || (await within(LOOK_MS, copy.hasRoom()));
  } catch {
    return true;
  }
}
