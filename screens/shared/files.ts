/** Hands a text, or what was written already, to the user as a file. */
export function download(name: string, type: string, content: string | Blob): void {
  const url = URL.createObjectURL(typeof content === 'string' ? new Blob([content], { type }) : content);
  const a = document.createElement('a');
  a.href = url;
  a.download = name;
  a.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** A file as it is handed over. */
const fileOf = (name: string, type: string, content: string | Blob): File => new File([content], name, { type });

/** Whether this device can hand a file to another program, or to another device, through its own sheet. */
export function canShare(name: string, type: string): boolean {
  try {
    return navigator.canShare?.({ files: [fileOf(name, type, '')] }) ?? false;
  } catch {
    return false;
  }
}

/** Hands a file to the device’s own sheet. @returns whether it went; false where one closed the sheet */
export async function share(name: string, type: string, content: string | Blob): Promise<boolean> {
  try {
    await navigator.share({ files: [fileOf(name, type, content)], title: name });
    return true;
  } catch (error) {
    if ((error as Error).name === 'AbortError') return false;
    throw error;
  }
}

/** Asks for a file; null when none was chosen. */
export function pickFile(accept: string): Promise<File | null> {
  return new Promise((resolve) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = accept;
    input.oncancel = () => resolve(null);
    input.onchange = () => resolve(input.files?.[0] ?? null);
    input.click();
  });
}

/** What is in a file. Throws RangeError when it is larger than `most` bytes or cannot be opened. */
export async function bytesOf(file: Blob, most: number): Promise<Uint8Array> {
  if (file.size > most) throw new RangeError(`it is larger than ${most / 1e6} MB, the most that is read here`);
  try {
    return new Uint8Array(await file.arrayBuffer());
  } catch {
    throw new RangeError('this file can’t be opened: it may have been moved or changed. Choose it again');
  }
}

/** Names that some systems keep for devices. */
const RESERVED = /^(con|prn|aux|nul|com\d|lpt\d)$/i;

/** A name for a file made from a name that a person gave: letters and digits of any script, joined by hyphens. */
export function fileName(given: string): string {
  const name = given
    .normalize('NFC')
    .toLocaleLowerCase()
    .replace(/[^\p{L}\p{M}\p{N}]+/gu, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60);
  return name === '' || RESERVED.test(name) ? `run-${name || '1'}` : name;
}
