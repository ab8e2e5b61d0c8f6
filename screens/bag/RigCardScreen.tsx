import { useRouter } from 'expo-router';
import { useWindowDimensions } from 'react-native';
import { consequencesOf, describeRig } from '@/core/tackle';
import { cardOf } from '@/core/tackle/card';
import { useSession, useSettings } from '@/store/hooks';
import { Block, Button, Caution, Empty, IconButton, Loading, Screen, Stack, Text, useWide } from '@/ui';
import { KnotSteps, RigCardPicture } from '@/ui/charts';
import { useRig } from '../shared/useRig';
import { hangingWords, KNOTS } from '@/words/rigCard';
import { consequenceWords } from '@/words/consequences';

const PHONE = { width: 358, height: 440 } as const;

/** The rig in hand as it is tied: lengths, diameters, knots and how to tie them; to be printed where there is room. */
export function RigCardScreen() {
  const router = useRouter();
  const wide = useWide();
  const { height } = useWindowDimensions();
  const [session] = useSession();
  const [{ units }] = useSettings();
  const { kit, rig } = useRig(session?.rig);
  const back = <IconButton label="Back" icon="back" onPress={() => router.replace('/rig')} />;
  if (!session || !kit)
    return (
      <Screen title="Rig card" lead={back}>
        <Loading what="Opening your bag…" />
      </Screen>
    );
  if (!rig)
    return (
      <Screen title="Rig card" lead={back}>
        <Empty
          title="No rig yet"
          actions={<Button label="Choose the rig" kind="primary" onPress={() => router.navigate('/rig')} />}
        >
          Choose a rod, a line, a leader and a fly under Rig to see how they are tied.
        </Empty>
      </Screen>
    );
  const card = cardOf(rig);
  const picture = (
    <RigCardPicture
      card={card}
      units={units}
      width={wide ? 560 : PHONE.width}
      height={wide ? Math.max(420, height - 140) : PHONE.height}
    />
  );
  return (
    <Screen
      title="Rig card"
      subtitle={describeRig(rig)}
      lead={back}
      picture={picture}
      footer={wide ? <Button label="Print the card" onPress={() => window.print()} /> : undefined}
    >
      <Text size="small" tone="ink2">
        Lengths to scale from the line’s loop down; thicknesses drawn wider, flies no smaller than can be seen.
      </Text>
      <Text>{card.above.join(' → ')}</Text>
      <Button label="Change the rig" onPress={() => router.replace('/rig')} />
      <Stack>
        {consequencesOf(rig)
          .filter((c) => c.level === 'bad')
          .map((c) => (
            <Caution key={c.code}>{consequenceWords(c, units)}</Caution>
          ))}
      </Stack>
      {rig.droppers.length > 0 ? (
        <Block title={rig.droppers.length > 1 ? 'How the flies above hang' : 'How the dropper hangs'}>
          {hangingWords(rig, units).map((says) => (
            <Text key={says}>{says}</Text>
          ))}
        </Block>
      ) : null}
      {card.knots.map((knot) => (
        <Block key={knot} title={knot.replace(/^./, (c) => c.toUpperCase())}>
          <Text size="small" tone="ink2">{`For ${KNOTS[knot].for}.`}</Text>
          <KnotSteps knot={knot} steps={KNOTS[knot].steps} />
        </Block>
      ))}
    </Screen>
  );
}
