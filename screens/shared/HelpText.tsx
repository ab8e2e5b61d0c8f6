import { View } from 'react-native';
import { Block, Stack, Text } from '@/ui';
import { capital } from '@/words/capital';
import { HELP } from '@/words/help';
import type { HelpPage } from '@/words/helpTitles';
import { TERMS } from '@/words/terms';

/** What a help page says, and what the trade's words on its screen mean. */
export function HelpText({ page }: { page: HelpPage }) {
  const { says, terms } = HELP[page];
  return (
    <>
      {says.map((sentence) => (
        <Text key={sentence}>{sentence}</Text>
      ))}
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
