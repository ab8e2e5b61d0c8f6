import { StyleSheet } from 'react-native';
import { Button, space, Stack, useWide } from '@/ui';
import type { Logging } from './useLogging';

interface Props {
  /** The run is fished out: no cast is left. */
  done: boolean;
  logging: Logging;
  onTake: () => void;
  onChange: () => void;
  onMore: () => void;
}

/** What a wet thumb needs, the cast the largest. */
export function FishButtons({ done, logging, onTake, onChange, onMore }: Props) {
  const wide = useWide();
  const key = (k: string) => (wide ? k : undefined);
  return (
    <Stack>
      <Button
        label={done ? 'Run fished out' : 'Cast'}
        kind="primary"
        big
        shortcut={key('C')}
        disabled={done}
        onPress={logging.cast}
      />
      <Stack row>
        <Button label="Take" kind="fly" big shortcut={key('T')} style={s.two} onPress={onTake} />
        <Button label="Change" big shortcut={key('F')} style={s.two} onPress={onChange} />
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
          accessibilityLabel="Fly was fouled: the last cast is no evidence"
          style={s.quick}
          onPress={() => logging.note({ kind: 'fouled' }, 'Fouled fly: the last cast does not count.')}
        />
        <Button label="More" style={s.quick} onPress={onMore} />
      </Stack>
    </Stack>
  );
}

const s = StyleSheet.create({
  two: { flex: 2, paddingHorizontal: space.xs },
  one: { flex: 1.4, paddingHorizontal: space.xs },
  quick: { flex: 1, minHeight: 48, paddingHorizontal: 2 },
});
