/** How faults of the engine are named: their words are for whoever mends it, and no reader of files or store throws them. */
const FAULTS = /^(Type|Reference|Syntax|Eval|Internal|DataClone)Error$|^(Invalid|Maximum) /;

/** What an error says on a screen: its own words where they were written to be read, else what is safe and what to do. */
export function saidOf(error: unknown): string {
  const { name, message } = error as Error;
  return FAULTS.test(name) || FAULTS.test(message)
    ? 'a fault in the app stopped this; your data is safe, so reload the page and try again'
    : message;
}
