// npm run --silent colour -- case.json   (or - for standard input): a river's visibility as JSON. Exit 2 on bad input.
import { forecastColour } from '@/core/colour';
import { colourJson, readColourCase } from '@/formats/colourCase';
import { caseCommand } from './command';

caseCommand((text) => {
  const c = readColourCase(text);
  return colourJson(forecastColour(c.river, c.series, c.readings, c.ask, c.rainAhead));
});
