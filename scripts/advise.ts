// npm run --silent advise -- case.json   (or - for standard input): what to tie on and how to fish a run, as JSON. Exit 2 on
// bad input.
import { requestOf } from '@/core/answer';
import { answerFor } from '@/core/answer/answer';
import { answerJson } from '@/formats/answerJson';
import { lieOptionsOf } from '@/core/lies';
import { survey } from '@/core/lies/survey';
import { finished } from '@/core/maths/work';
import { readAnswerCase } from '@/store/answerCase';
import { caseCommand } from './command';

caseCommand((text) => {
  const question = readAnswerCase(text);
  const today = survey(question.run, question.reading, lieOptionsOf(question));
  return answerJson(finished(answerFor(requestOf({ ...today, question }))), today.channel, question.settings.units);
});
