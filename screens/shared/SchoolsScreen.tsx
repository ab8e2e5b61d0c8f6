import { useRouter } from 'expo-router';
import { SCHOOL_NAMES, type SchoolName } from '@/core/answer/schools';
import { useSettings } from '@/store/hooks';
import { Choice, Hint, IconButton, plainOptions, Screen, Stack, Text } from '@/ui';
import { SCHOOL_WORDS } from '@/words/schools';

/** As is usual for the fish and the water of the day. */
const USUAL = 'the usual';

/** Settings of their own. */
const ELSEWHERE: readonly SchoolName[] = ['depth', 'murkPlace'];

/** Questions on which good anglers disagree: advice goes by what is chosen, and says what the others would do. */
export function SchoolsScreen() {
  const router = useRouter();
  const [{ schools = {} }, set] = useSettings();
  return (
    <Screen
      title="Where good anglers disagree"
      subtitle="Advice goes by what you choose and says what the others would do"
      lead={<IconButton label="Back to the settings" icon="back" onPress={() => router.replace('/settings')} />}
    >
      {SCHOOL_NAMES.filter((name) => !ELSEWHERE.includes(name)).map((name) => {
        const options: Readonly<Record<string, string>> = SCHOOL_WORDS[name].options;
        const chosen: string = schools[name] ?? USUAL;
        return (
          <Stack key={name} gap="xs">
            <Choice
              label={SCHOOL_WORDS[name].asks}
              options={plainOptions([USUAL, ...Object.keys(options)])}
              value={chosen}
              onChange={(v) => {
                const { [name]: _, ...rest } = schools;
                set({ schools: v === USUAL ? rest : { ...rest, [name]: v } });
              }}
            />
            <Text size="small" tone="ink2">
              {options[chosen] ?? 'By the fish, the season and the water of the day.'}
            </Text>
          </Stack>
        );
      })}
      <Hint>How deep to show the fly, and where fish go in high water, stand in the settings.</Hint>
    </Screen>
  );
}
