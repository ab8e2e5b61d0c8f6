// npm run --silent swing -- case.json   (or - for standard input): one swing as JSON; exit 2 on bad input.
import fs from 'node:fs';
import { readSwingCase, swingResultJson } from '@/core/formats/swingCase';
import { NUMERICS, runSwing } from '@/core/swing';

function refuse(message: string): never {
  console.error(message);
  process.exit(2);
}

const file = process.argv[2];
if (!file) refuse('case: name a file, or - for standard input');
let text = '';
try {
  text = fs.readFileSync(file === '-' ? 0 : file, 'utf8');
} catch (error) {
  refuse(`case: ${(error as Error).message}`);
}
try {
  process.stdout.write(JSON.stringify(swingResultJson(runSwing(readSwingCase(text), NUMERICS.fine))) + '\n');
} catch (error) {
  if (error instanceof RangeError) refuse(error.message);
  throw error;
}
