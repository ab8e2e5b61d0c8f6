import { useState } from 'react';
import { View } from 'react-native';
import type { LessonName } from '@/core/practice/lessons';
import { Block, PickRow, Stack, Text } from '@/ui';
import { capital } from '@/words/capital';
import { HELP, type Page } from '@/words/help';
import type { HelpPage } from '@/words/helpTitles';
import { LESSON_TITLES } from '@/words/lessonTitles';
import { TERMS } from '@/words/terms';
import { LessonPages } from './LessonLink';

/** What a help page says, and what the trade's words on its screen mean. */
export function HelpText({ page }: { page: HelpPage }) {
  const { says, terms, lessons = [] }: Page = HELP[page];
  const [lesson, setLesson] = useState<LessonName | null>(null);
  if (lesson) return <LessonPages lesson={lesson} onDone={() => setLesson(null)} />;
  return (
    <>
      {says.map((sentence) => (
        <Text key={sentence}>{sentence}</Text>
      ))}
      {lessons.length > 0 ? (
        <Block title="Lessons">
          <Stack gap="s">
            {lessons.map((name) => (
              <PickRow key={name} label="" value={LESSON_TITLES[name]} onPress={() => setLesson(name)} />
            ))}
          </Stack>
        </Block>
      ) : null}
      <Block title="Words on this screen">
        <Stack role="list">
          {terms.map((term) => (
            <View key={term} role="listitem">
              <Text size="strong">{capital(term)}</Text>
              <Text tone="ink2">{TERMS[term]}</Text>
            </View>
          ))}
        </Stack>
      </Block>
    </>
  );
}
