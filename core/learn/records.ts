import type { Caught } from '../logbook';

/** The largest fish so far of a kind, or on a kind of hook, as they followed each other. */
interface RecordLine {
  /** What it is the largest of: "sea trout", "on a size 12 or smaller". */
  readonly of: string;
  /** Each larger than all before it, the first first. */
  readonly steps: readonly { readonly at: number; readonly lengthM: number }[];
  /** So many fish of it have a length. */
  readonly measured: number;
}

/** Hooks as small as this are worth a line of their own: sizes are even numbers, smaller for larger hooks (common practice). */
const SMALL_HOOKS = [10, 12, 14, 16];
/** The size of a hook, "12"; 1/0 and larger are none of the small ones. */
const sizeOf = (hook: string): number | null => (/^\d{1,2}$/.test(hook.trim()) ? Number(hook) : null);

function growth(of: string, fish: readonly Caught[]): RecordLine[] {
  const measured = fish
    .flatMap(({ take }) => (take.fish?.lengthM ? [{ at: take.at, lengthM: take.fish.lengthM }] : []))
    .sort((a, b) => a.at - b.at);
  const steps: { at: number; lengthM: number }[] = [];
  for (const f of measured) if (f.lengthM > (steps.at(-1)?.lengthM ?? 0)) steps.push(f);
  return steps.length > 0 ? [{ of, steps, measured: measured.length }] : [];
}

/** One’s largest fish of each kind, those caught most often first, and the largest on small hooks. */
export function recordsOf(fish: readonly Caught[]): RecordLine[] {
  const kinds = new Map<string, Caught[]>();
  for (const c of fish) {
    const kind = c.take.fish?.species;
    if (kind) kinds.set(kind, [...(kinds.get(kind) ?? []), c]);
  }
  const lines = [...kinds].sort(([, a], [, b]) => b.length - a.length).flatMap(([kind, own]) => growth(kind, own));
  const small = SMALL_HOOKS.flatMap((least) =>
    growth(
      `on a size ${least} or smaller`,
      fish.filter((c) => (sizeOf(c.fly?.hook ?? '') ?? 0) >= least),
    ),
  );
  // The same fish on a size 10 as on a size 12 is told once, by the smaller hook.
  const last = (r: RecordLine | undefined) => r?.steps.at(-1)?.at;
  return [...lines, ...small.filter((r, i) => last(r) !== last(small[i + 1]))];
}
