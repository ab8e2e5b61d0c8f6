import { Pressable, View } from 'react-native';
import { Icon } from './Icon';
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

/** One step less or more. */
export function Stepper({ label, text, onLess, onMore, canLess = true, canMore = true, ...names }: Props) {
  const s = useStyles();
  const theme = useTheme();
  const end = (name: string, icon: 'minus' | 'plus', press: () => void, can: boolean) => (
    <Pressable
      role="button"
      aria-label={name}
      aria-disabled={!can || undefined}
      disabled={!can}
      onPress={press}
      style={[s.button, !can && s.off]}
    >
      <Icon name={icon} color={theme.ink} size={20} />
    </Pressable>
  );
  return (
    <View role="group" aria-label={`${label}: ${text}`}>
      <Text size="small" tone="ink2" aria-hidden>
        {label}
      </Text>
      <View style={s.row}>
        {end(names.lessLabel ?? `${label}, less`, 'minus', onLess, canLess)}
        <Text size="strong" style={s.value} aria-live="polite">
          {text}
        </Text>
        {end(names.moreLabel ?? `${label}, more`, 'plus', onMore, canMore)}
      </View>
    </View>
  );
}
