import { useState } from 'react';
import { View } from 'react-native';
import { capital } from '@/words/capital';
import { HELP, type HelpPage } from '@/words/help';
import { TERMS } from '@/words/terms';
import { Block, Button, Sheet, Stack, Text } from '@/ui';

/** A short page behind a tap: what the screen reckons with, and what the trade's words on it mean. */
export function HowThisWorks({ page }: { page: HelpPage }) {
  const [open, setOpen] = useState(false);
  const { title, says, terms } = HELP[page];
  return (
    <>
      <Button
        kind="quiet"
        label="How this works"
        accessibilityLabel={`How this works: ${title}`}
        onPress={() => setOpen(true)}
      />
      <Sheet title={title} open={open} onClose={() => setOpen(false)}>
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
      </Sheet>
    </>
  );
}
