import { StyleSheet } from 'react-native';
import type { Next } from '@/core/cover';
import { Button, space, Stack, useWide } from '@/ui';
import type { Logging } from './useLogging';

interface Props {
  next: Next;
  logging: Logging;
  /** A smaller fly that could be tied on, in words; null where there is none. */
  smaller: string | null;
  onSmaller: () => void;
  /** Takes up the other side of a fair trial. */
  onSwap: () => void;
  onTake: () => void;
  onChange: () => void;
  onOtherwise: () => void;
  onMore: () => void;
}

/** What a wet thumb needs, the cast the largest; none of it ever stops working. */
export function FishButtons({ next, logging, smaller, onSmaller, onSwap, ...on }: Props) {
  const wide = useWide();
  const key = (k: string) => (wide ? k : undefined);
  const asked = askedFor({ next, logging, smaller, onSmaller, onSwap, onMore: on.onMore });
  const moves = next.last && Math.hypot(next.plan.xM - next.last.xM, next.plan.yM - next.last.yM) > 0.3;
  return (
    <Stack>
      <Stack row>
        {asked ? (
          <Button label={asked.label} kind="fly" style={s.two} onPress={asked.onPress} />
        ) : (
          <Button label="Same cast" shortcut={key('S')} style={s.two} onPress={logging.again} />
        )}
        {moves ? (
          <Button
            label="Don’t step"
            accessibilityLabel="Don’t step: cast from the same position"
            style={s.two}
            onPress={() => logging.go('here', 'Cast from here.')}
          />
        ) : null}
        <Button label="Other options" shortcut={key('O')} style={s.two} onPress={on.onOtherwise} />
      </Stack>
      <Button label="Cast" kind="primary" big shortcut={key('C')} onPress={logging.cast} />
      <Stack row>
        <Button label="Take" kind="fly" big shortcut={key('T')} style={s.two} onPress={on.onTake} />
        <Button label="Change" big shortcut={key('F')} style={s.two} onPress={on.onChange} />
        <Button
          label="Undo"
          accessibilityLabel="Undo the last entry"
          big
          shortcut={key('U')}
          style={s.one}
          disabled={!logging.undoable}
          onPress={logging.undo}
        />
      </Stack>
      <Stack row>
        <Button label="Juvenile" style={s.quick} onPress={logging.juvenile} />
        <Button
          label="Bed"
          accessibilityLabel="Touched the bed"
          style={s.quick}
          onPress={() => logging.note({ kind: 'bed' }, 'Bed touch noted.')}
        />
        <Button
          label="Weed"
          accessibilityLabel="Weed on the fly: don’t count the last cast"
          style={s.quick}
          onPress={() => logging.note({ kind: 'fouled' }, 'Fouled fly: the last cast doesn’t count.')}
        />
        <Button label="More" style={s.quick} onPress={on.onMore} />
      </Stack>
    </Stack>
  );
}

/** What the moment asks for besides a cast; null where it asks for nothing. */
function askedFor({
  next,
  logging,
  smaller,
  onSmaller,
  onSwap,
  onMore,
}: Pick<Props, 'next' | 'logging' | 'smaller' | 'onSmaller' | 'onSwap' | 'onMore'>): {
  label: string;
  onPress: () => void;
} | null {
  switch (next.kind) {
    case 'rest':
      return {
        label: `Rest ${next.minutes} min`,
        onPress: () => logging.note({ kind: 'rest', minutes: next.minutes! }, 'Resting. Watch the water.'),
      };
    case 'smaller':
      return smaller ? { label: 'Tie it on', onPress: onSmaller } : null;
    case 'swap':
      return { label: 'Switch now', onPress: onSwap };
    case 'leave':
      return { label: 'Leave this run', onPress: onMore };
    case 'over':
      return { label: 'Go through again', onPress: () => logging.go('again', 'From the first cast again.') };
    default:
      return null;
  }
}

const s = StyleSheet.create({
  two: { flex: 2, paddingHorizontal: space.xs },
  one: { flex: 1.4, paddingHorizontal: space.xs },
  quick: { flex: 1, minHeight: 48, paddingHorizontal: 2 },
});
