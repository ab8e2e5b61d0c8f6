/** The same function, which gives what it gave last while it is asked the same: two screens that ask alike share what was made. */
export function lately<A extends readonly unknown[], T>(make: (...a: A) => T): (...a: A) => T {
  let last: { readonly asked: A; readonly made: T } | null = null;
  return (...asked) => {
    if (!last || asked.some((a, i) => a !== last!.asked[i])) last = { asked, made: make(...asked) };
    return last.made;
  };
}
