import { Button, IconButton, Stack, Text } from '@/ui';
import { usePlay, useStill } from './usePlay';

interface Props {
  t: number;
  seconds: number;
  onTime: (t: number) => void;
  /** What is played. */
  what?: string;
}

/** Plays the swing in river time; where motion is not wanted, goes through it second by second. */
export function PlayBar({ t, seconds, onTime, what = 'the swing' }: Props) {
  const still = useStill();
  const play = usePlay(t, seconds, onTime);
  const step = (by: number) => {
    play.stop();
    onTime(Math.min(seconds, Math.max(0, Math.round(t) + by)));
  };
  return (
    <Stack row align="center">
      {still ? null : (
        <IconButton
          label={play.playing ? 'Pause' : `Play ${what}`}
          icon={play.playing ? 'pause' : 'play'}
          onPress={play.toggle}
        />
      )}
      <IconButton label="A second back" icon="back" onPress={() => step(-1)} />
      <IconButton label="A second on" icon="forward" onPress={() => step(1)} />
      <Text size="strong" style={{ flex: 1, textAlign: 'center' }}>
        {`${t.toFixed(1)} of ${Math.round(seconds)} s`}
      </Text>
      {still ? null : (
        <Button
          kind="quiet"
          label={`× ${play.speed}`}
          accessibilityLabel={`Speed ${play.speed} times the river’s, change`}
          onPress={play.nextSpeed}
        />
      )}
    </Stack>
  );
}
