// npm run --silent cover -- case.json   (or - for standard input): the casts that cover a run in a time, as JSON. Exit 2 on bad
// input.
import { requestOf } from '@/core/answer';
import { answerFor } from '@/core/answer/answer';
import { waysIn } from '@/core/answer/waysIn';
import { beatFor, ruleBeat } from '@/core/cover';
import { coveringOf } from '@/core/cover/covering';
import { coverJson } from '@/formats/beatJson';
import { lieOptionsOf } from '@/core/lies';
import { survey } from '@/core/lies/survey';
import { finished } from '@/core/maths/work';
import { readCoverCase } from '@/store/answerCase';
import { caseCommand } from './command';

caseCommand((text) => {
  const { question, minutes, patience } = readCoverCase(text);
  const options = lieOptionsOf(question);
  const request = requestOf({ ...survey(question.run, question.reading, options), question });
  const { served } = finished(answerFor(request));
  if (!served) return coverJson(null);
  const { rig } = served.setup;
  const covering = finished(coveringOf({ ...request, rig, way: served.way, special: waysIn(served).slice(1) }));
  return coverJson({
    rig,
    covering,
    beat: beatFor(covering, minutes, patience),
    rule: ruleBeat(covering, minutes, patience),
  });
});
