import fs from 'node:fs';

/** Ends a command with a message on bad input. */
export function refuse(message: string): never {
  console.error(message);
  process.exit(2);
}

/** Numbers to a thousandth: a millimetre, a millimetre a second. */
const rounded = (_key: string, value: unknown): unknown =>
  typeof value === 'number' ? Math.round(1000 * value) / 1000 : value;

/** A command that reads the case named on the command line (- for standard input) and prints one JSON object. Exit 2 on bad
 * input. */
export function caseCommand(answer: (text: string) => object): void {
  const [file] = process.argv.slice(2);
  if (!file) refuse('case: name a file, or - for standard input');
  try {
    process.stdout.write(JSON.stringify(answer(fs.readFileSync(file === '-' ? 0 : file, 'utf8')), rounded) + '\n');
  } catch (error) {
    if (error instanceof RangeError) refuse(error.message);
    if ((error as NodeJS.ErrnoException).code) refuse(`case: the file "${file}" cannot be opened`);
    throw error;
  }
}
