// npm run --silent advise -- case.json   (or - for standard input): what to tie on and how to fish a run, as JSON. Exit 2 on
// bad input.
import { lieOptionsOf, requestOf } from '@/core/answer';
import { answerFor } from '@/core/answer/answer';
import { answerJson } from '@/core/formats/answerJson';
import { survey } from '@/core/lies/survey';
import { readAnswerCase } from '@/store/answerCase';
import { caseCommand } from './command';

caseCommand((text) => {
  const question = readAnswerCase(text);
  const today = survey(question.run, question.reading, lieOptionsOf(question));
  const work = answerFor(requestOf({ ...today, question }));
  for (;;) {
    const step = work.next();
    if (step.done) return answerJson(step.value);
  }
});
