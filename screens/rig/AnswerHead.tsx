import type { FirstThought, Stand } from '@/core/answer';
import { answerTitle, castWords, standWords, sureOfStand } from '@/words/answer'; // not the barrel: two lazy pages share these
import { Stack, Stepper, Text } from '@/ui';
import { useSettings } from '@/store/hooks';
import { capital } from '@/words/capital';

interface Props {
  setup: FirstThought['setup'];
  stands: readonly Stand[];
  /** The first of them is where one begins; the others are for a lie each. */
  begins: boolean;
  /** Which stand is looked at. */
  page: number;
  onPage: (page: number) => void;
  /** Only a first look, the answer being worked out so far, 0 to 1; null: it is the answer. */
  firstLook: number | null;
}

/** The answer in a line, and its stands to page through, in the order of the work. */
export function AnswerHead({ setup, stands, begins, page, onPage, firstLook }: Props) {
  const [{ units }] = useSettings();
  const stand = stands[page];
  return (
    <Stack gap="xs">
      {firstLook === null ? null : (
        <Text size="strong" tone="ink2">{`First look. Choosing your rig… ${Math.round(100 * firstLook)} %`}</Text>
      )}
      <Text size="title" level={2} aria-live="polite">
        {answerTitle(setup.method, setup.rig)}
      </Text>
      {stand ? (
        <>
          <Stepper
            label={`${begins && page === 0 ? 'Start here' : `For lie ${stand.lie.rank}`}: ${standWords(stand.plan, units)}`}
            text={`Position ${page + 1} of ${stands.length}`}
            lessLabel="Previous position"
            moreLabel="Next position"
            canLess={page > 0}
            canMore={page < stands.length - 1}
            onLess={() => onPage(page - 1)}
            onMore={() => onPage(page + 1)}
          />
          <Text>
            {begins && page === 0
              ? `${capital(castWords(stand.plan, units))}.`
              : `${capital(castWords(stand.plan, units))}. ${sureOfStand(stand)}`}
          </Text>
        </>
      ) : null}
    </Stack>
  );
}
