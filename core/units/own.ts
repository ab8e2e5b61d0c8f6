/** What a table holds under a name that came from outside: its own, never what every object has ("constructor"). */
export const own = <T>(table: Readonly<Record<string, T>>, name: string): T | undefined =>
  Object.hasOwn(table, name) ? table[name] : undefined;
