import { useState } from 'react';
import type { LessonName } from '@/core/practice/lessons';
import { Button, later, Loading, Sheet } from '@/ui';
import { LESSON_TITLES } from '@/words/lessonTitles';

export const LessonPages = later(
  () => import('./LessonPages'),
  (m) => m.LessonPages,
  () => <Loading what="Opening…" />,
);

/** A lesson over the page on which its subject stands. */
export function LessonSheet({ lesson, open, onClose }: { lesson: LessonName; open: boolean; onClose: () => void }) {
  return (
    <Sheet title={LESSON_TITLES[lesson]} open={open} onClose={onClose}>
      {open ? <LessonPages lesson={lesson} onDone={onClose} /> : null}
    </Sheet>
  );
}

/** A button that opens a lesson. */
export function LessonLink({ lesson }: { lesson: LessonName }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button kind="quiet" label={`Lesson: ${LESSON_TITLES[lesson]}`} onPress={() => setOpen(true)} />
      <LessonSheet lesson={lesson} open={open} onClose={() => setOpen(false)} />
    </>
  );
}
