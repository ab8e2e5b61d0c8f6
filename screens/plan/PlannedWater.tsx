import { useRouter } from 'expo-router';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { useRecords, useSession } from '@/store/hooks';
import type { Water } from '@/store/records';
import { Button, Empty, IconButton, Loading, Screen } from '@/ui';
import { dayOf } from '../shared/time';
import { DayStepper } from './DayStepper';
import { useNow } from '../shared/useNow';

/** On a wide screen no wider than one reads. */
export const NARROW = { maxWidth: 640 } as const;

interface Props {
  title: string;
  footer?: ReactNode;
  children: (water: Water, day: string) => ReactNode;
}

/** A page of Plan about the water and the day that are chosen; the day can be changed on it. */
export function PlannedWater({ title, footer, children }: Props) {
  const router = useRouter();
  const now = useNow();
  const { data: waters } = useRecords('water');
  const [session, setSession] = useSession();
  const back = <IconButton label="Back to the plan" icon="back" onPress={() => router.replace('/')} />;
  const frame = (content: ReactNode, subtitle?: string) => (
    <Screen title={title} subtitle={subtitle} lead={back} footer={subtitle ? footer : undefined} full>
      {content}
    </Screen>
  );
  if (!waters || !session) return frame(<Loading what="Opening your waters…" />);
  const water = waters.find((w) => w.id === session.waterId) ?? waters[0];
  if (!water)
    return frame(
      <Empty
        title="No water yet"
        actions={<Button label="Add a water" kind="primary" onPress={() => router.push('/water')} />}
      >
        Add the river you fish first; then plan a day on it.
      </Empty>,
    );
  const today = dayOf(now);
  const day = session.day ?? today;
  return frame(
    <>
      <View style={NARROW}>
        <DayStepper day={day} today={today} onDay={(next) => setSession({ day: next })} />
      </View>
      {children(water, day)}
    </>,
    water.name,
  );
}
