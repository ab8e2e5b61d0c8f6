import { useRouter } from 'expo-router';
import { isCalled } from '@/core/learn/evidence';
import type { Lists } from '@/core/learn/proofs';
import { Block, Button, Loading, Stack, Text } from '@/ui';
import { type Namer, provedWords } from '@/words/proofs';
import { useDimensions } from './useDimensions';

interface Props {
  lists: Lists | null;
  share: number;
  /** It could not be worked out. */
  failed?: boolean;
  name: Namer;
}

/** So many are told here; the rest stand in the lists. */
const MOST = 3;

const half = { flex: 1 };

/** What the counts prove, in a sentence each, before anything else. */
export function Known({ lists, share, failed = false, name }: Props) {
  const router = useRouter();
  const dims = useDimensions();
  const firm = lists ? dims.flatMap((by) => lists[by].filter(isCalled).map((proof) => ({ by, proof }))) : [];
  return (
    <Block title="What your casts prove">
      {failed ? (
        <Text>Couldn’t compare your casts. Your log is safe: reload the page to try again.</Text>
      ) : !lists ? (
        <Loading what={`Comparing what you fished: ${Math.round(100 * share)} %`} room={56} />
      ) : firm.length === 0 ? (
        <Text>
          Nothing yet: no fly, water or hour stands out by more than luck. That is usual in the first seasons.
        </Text>
      ) : (
        <Stack gap="s" role="list" aria-label="Proved">
          {firm.slice(0, MOST).map(({ by, proof }) => (
            <Text key={`${by}|${proof.name}`} role="listitem">
              {provedWords(by, proof.name, proof.ratio!, name)}
            </Text>
          ))}
        </Stack>
      )}
      <Stack row>
        <Button label="Ask your log" icon="forward" style={half} onPress={() => router.navigate('/learn/ask')} />
        <Button label="See pictures" icon="learn" style={half} onPress={() => router.navigate('/learn/year')} />
      </Stack>
    </Block>
  );
}
