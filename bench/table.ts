/** Median and largest of a few timings, ms. */
export function time(times: number, work: () => void): { median: number; max: number } {
  const ms: number[] = [];
  for (let i = 0; i < times; i++) {
    const t0 = performance.now();
    work();
    ms.push(performance.now() - t0);
  }
  ms.sort((a, b) => a - b);
  return { median: ms[Math.floor(ms.length / 2)]!, max: ms[ms.length - 1]! };
}

export async function timeAsync(times: number, work: () => Promise<unknown>): Promise<number> {
  const ms: number[] = [];
  for (let i = 0; i < times; i++) {
    const t0 = performance.now();
    await work();
    ms.push(performance.now() - t0);
  }
  return ms.sort((a, b) => a - b)[Math.floor(times / 2)]!;
}

export function table(title: string, head: readonly string[], rows: readonly (readonly (string | number)[])[]): void {
  const text = [head, ...rows.map((r) => r.map((v) => (typeof v === 'number' ? v.toFixed(v < 10 ? 2 : 0) : v)))];
  const width = head.map((_, c) => Math.max(...text.map((r) => String(r[c]).length)));
  console.log(`\n${title}`);
  text.forEach((r, i) => {
    console.log(r.map((v, c) => (c === 0 ? String(v).padEnd(width[c]!) : String(v).padStart(width[c]!))).join('  '));
    if (i === 0) console.log(width.map((w) => '─'.repeat(w)).join('  '));
  });
}
