import { useRouter } from 'expo-router';
import type { OtherSchool } from '@/core/answer';
import { SCHOOL_NAMES, type SchoolName } from '@/core/answer/schools';
import { useSession, useSettings } from '@/store/hooks';
import { Button, Choice, Hint, IconButton, Loading, Screen, Text } from '@/ui';
import { SCHOOL_WORDS, wouldToday } from '@/words/schools';
import type { RunReady } from './RunGate';
import { useAnswer } from './useAnswer';
import { useRunDay } from './useRunDay';

/** As is usual for the fish and the water of the day. */
const USUAL = 'the usual';
const USUAL_SAYS = 'By the fish, the season and the water of the day.';

/** Settings of their own. */
const ELSEWHERE: readonly SchoolName[] = ['depth', 'murkPlace'];

/** Questions on which good anglers disagree: advice goes by what is chosen, and says what the others would do. */
export function SchoolsScreen() {
  const router = useRouter();
  const [session] = useSession();
  const { run, water, today, survey } = useRunDay(session?.runId);
  return (
    <Screen
      title="Where good anglers disagree"
      subtitle="Advice goes by what you choose and says what the others would do"
      lead={<IconButton label="Back to the settings" icon="back" onPress={() => router.replace('/settings')} />}
    >
      {run && today && survey.data ? (
        <OnRun run={run} water={water ?? null} today={today} survey={survey.data} />
      ) : (
        <>
          <Text>Choose a run, and each school says what it would do there today.</Text>
          <Button label="Choose a run" onPress={() => router.navigate('/read')} />
          <Questions />
        </>
      )}
    </Screen>
  );
}

/** With what each would do on a run today. */
function OnRun(ready: RunReady) {
  const { answer, share, error } = useAnswer(ready, 'best');
  return (
    <>
      {answer ? (
        <Text>{`What each would do on ${ready.run.name} today stands with it.`}</Text>
      ) : error ? null : (
        <Loading what={`Asking each school about ${ready.run.name}… ${Math.round(100 * share)} %`} />
      )}
      <Questions {...(answer && { today: answer.schools })} />
    </>
  );
}

function Questions({ today = [] }: { today?: readonly OtherSchool[] }) {
  const [{ schools = {}, units }, set] = useSettings();
  return (
    <>
      {SCHOOL_NAMES.filter((name) => !ELSEWHERE.includes(name)).map((name) => {
        const asked = today.find((t) => t.school === name);
        const options = Object.entries<string>(SCHOOL_WORDS[name].options).map(([value, says]) => ({
          ...{ value, label: value },
          says: [says, wouldToday(asked, value, units)].filter(Boolean).join(' '),
        }));
        const usual = schools[name] || !asked ? USUAL_SAYS : `${USUAL_SAYS} Today: ${asked.used}.`;
        return (
          <Choice
            key={name}
            label={SCHOOL_WORDS[name].asks}
            options={[{ value: USUAL, label: USUAL, says: usual }, ...options]}
            value={schools[name] ?? USUAL}
            onChange={(v) => {
              const { [name]: _, ...rest } = schools;
              set({ schools: v === USUAL ? rest : { ...rest, [name]: v } });
            }}
          />
        );
      })}
      <Hint>How deep to show the fly, and where fish go in high water, stand in the settings.</Hint>
    </>
  );
}
