// npm run --silent colour -- case.json   (or - for standard input): a river's visibility as JSON. Exit 2 on bad input.
import fs from 'node:fs';
import { forecastColour } from '@/core/colour';
import { colourJson, readColourCase } from '@/core/formats/colourCase';

function refuse(message: string): never {
  console.error(message);
  process.exit(2);
}

const [file] = process.argv.slice(2);
if (!file) refuse('case: name a file, or - for standard input');
try {
  const c = readColourCase(fs.readFileSync(file === '-' ? 0 : file, 'utf8'));
  process.stdout.write(JSON.stringify(colourJson(forecastColour(c.river, c.series, c.readings, c.ask))) + '\n');
} catch (error) {
  if (error instanceof RangeError) refuse(error.message);
  if ((error as NodeJS.ErrnoException).code) refuse(`case: ${(error as Error).message}`);
  throw error;
}
