/** How the browser keeps what is stored here; null where it does not say. */
interface Keeping {
  /** Whether it clears it only when the user says so. */
  readonly persisted: boolean | null;
  readonly usedBytes: number | null;
  readonly leftBytes: number | null;
}

const manager = (): StorageManager | undefined => (typeof navigator === 'undefined' ? undefined : navigator.storage);

/** Asks the browser to keep what is stored even when the device runs out of room (Storage Standard, 5). */
export async function askToKeep(): Promise<boolean> {
  const m = manager();
  return (await m?.persisted?.()) || (await m?.persist?.()) || false;
}

export async function keeping(): Promise<Keeping> {
  const m = manager();
  const [persisted, room] = await Promise.all([
    m?.persisted?.().catch(() => null) ?? null,
    m?.estimate?.().catch(() => null) ?? null,
  ]);
  const known = room?.usage !== undefined && room.quota !== undefined ? room : null;
  return {
    persisted,
    usedBytes: known?.usage ?? null,
    leftBytes: known ? Math.max(0, known.quota! - known.usage!) : null,
  };
}
