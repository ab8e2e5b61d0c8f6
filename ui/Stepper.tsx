import { useEffect, useRef } from 'react';
import { Pressable, View } from 'react-native';
import { Icon, type IconName } from './Icon';
import { Text } from './Text';
import { radius, space, TARGET, themed, useTheme } from './theme';

interface Props {
  label: string;
  /** As it is read: "2 paces", "12 May". */
  text: string;
  onLess: () => void;
  onMore: () => void;
  lessLabel?: string;
  moreLabel?: string;
  canLess?: boolean;
  canMore?: boolean;
}

const useStyles = themed((t) => ({
  row: { flexDirection: 'row', alignItems: 'center', gap: space.s },
  button: {
    width: TARGET,
    height: TARGET,
    borderRadius: radius.s,
    borderWidth: 1.5,
    borderColor: t.edge,
    backgroundColor: t.card,
    alignItems: 'center',
    justifyContent: 'center',
  },
  off: { opacity: 0.4 },
  value: { flex: 1, textAlign: 'center' },
}));

/** A button that is held repeats after so long, every so often, ms. */
const [HELD_MS, REPEAT_MS] = [400, 120];

interface EndProps {
  name: string;
  icon: IconName;
  onStep: () => void;
  can: boolean;
}

/** A step at a tap; held, one after the other. */
function End({ name, icon, onStep, can }: EndProps) {
  const s = useStyles();
  const theme = useTheme();
  const step = useRef(onStep);
  const timer = useRef<ReturnType<typeof setInterval>>(undefined);
  useEffect(() => {
    step.current = onStep;
  });
  const stop = () => clearInterval(timer.current);
  useEffect(() => {
    if (!can) stop();
    return stop;
  }, [can]);
  return (
    <Pressable
      role="button"
      aria-label={name}
      aria-disabled={!can || undefined}
      disabled={!can}
      onPress={onStep}
      delayLongPress={HELD_MS}
      onLongPress={() => {
        stop();
        step.current();
        timer.current = setInterval(() => step.current(), REPEAT_MS);
      }}
      onPressOut={stop}
      style={[s.button, !can && s.off]}
    >
      <Icon name={icon} color={theme.ink} size={20} />
    </Pressable>
  );
}

/** One step less or more. */
export function Stepper({ label, text, onLess, onMore, canLess = true, canMore = true, ...names }: Props) {
  const s = useStyles();
  return (
    <View role="group" aria-label={`${label}: ${text}`}>
      <Text size="small" tone="ink2" aria-hidden>
        {label}
      </Text>
      <View style={s.row}>
        <End name={names.lessLabel ?? `${label}, less`} icon="minus" onStep={onLess} can={canLess} />
        <Text size="strong" style={s.value} aria-live="polite">
          {text}
        </Text>
        <End name={names.moreLabel ?? `${label}, more`} icon="plus" onStep={onMore} can={canMore} />
      </View>
    </View>
  );
}
