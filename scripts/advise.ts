// npm run --silent advise -- case.json   (or - for standard input): what to tie on and how to fish a run, as JSON. Exit 2 on
// bad input.
import fs from 'node:fs';
import { lieOptionsOf, requestOf } from '@/core/answer';
import { answerFor } from '@/core/answer/answer';
import { answerJson } from '@/core/formats/answerJson';
import { survey } from '@/core/lies/survey';
import { readAnswerCase } from '@/store/answerCase';

function refuse(message: string): never {
  console.error(message);
  process.exit(2);
}

const [file] = process.argv.slice(2);
if (!file) refuse('case: name a file, or - for standard input');
try {
  const q = readAnswerCase(fs.readFileSync(file === '-' ? 0 : file, 'utf8'));
  const work = answerFor(requestOf({ ...survey(q.run, q.reading, lieOptionsOf(q)), question: q }));
  let step = work.next();
  while (!step.done) step = work.next();
  process.stdout.write(JSON.stringify(answerJson(step.value)) + '\n');
} catch (error) {
  if (error instanceof RangeError) refuse(error.message);
  if ((error as NodeJS.ErrnoException).code) refuse(`case: ${(error as Error).message}`);
  throw error;
}
