import { Pressable, StyleSheet, View, type ViewStyle } from 'react-native';
import { Icon, type IconName } from './Icon';
import { Text } from './Text';
import { radius, space, TARGET, themed, useTheme, type Theme } from './theme';

type Kind = 'primary' | 'plain' | 'quiet' | 'fly';

interface Props {
  label: string;
  onPress: () => void;
  kind?: Kind;
  /** A second line that says what it would do. */
  hint?: string;
  icon?: IconName;
  /** Says more than the label where the label alone would not do. */
  accessibilityLabel?: string;
  /** Key that does the same on a wide screen. */
  shortcut?: string;
  disabled?: boolean;
  /** Fish: taller, larger type. */
  big?: boolean;
  style?: ViewStyle;
}

const useStyles = themed((t) => ({
  base: {
    minHeight: TARGET,
    borderRadius: radius.m,
    borderWidth: 2,
    paddingHorizontal: space.l,
    paddingVertical: space.s,
    justifyContent: 'center',
    alignItems: 'center',
  },
  primary: { backgroundColor: t.ink, borderColor: t.ink },
  plain: { backgroundColor: t.card, borderColor: t.ink },
  quiet: { backgroundColor: 'transparent', borderColor: 'transparent', paddingHorizontal: space.s },
  fly: { backgroundColor: t.card, borderColor: t.fly },
  pressed: { opacity: 0.7 },
  disabled: { opacity: 0.45 },
  big: { minHeight: 64, borderRadius: radius.l },
}));

const labelTone = (kind: Kind): keyof Pick<Theme, 'onInk' | 'flyText' | 'ink'> =>
  kind === 'primary' ? 'onInk' : kind === 'fly' ? 'flyText' : 'ink';

export function Button({ label, onPress, kind = 'plain', hint, icon, shortcut, disabled, big, style, ...rest }: Props) {
  const s = useStyles();
  const theme = useTheme();
  const tone = labelTone(kind);
  return (
    <Pressable
      role="button"
      aria-label={rest.accessibilityLabel ?? (hint ? `${label}. ${hint}` : label)}
      aria-disabled={disabled || undefined}
      {...(shortcut ? { 'aria-keyshortcuts': shortcut } : null)}
      disabled={disabled}
      onPress={onPress}
      style={({ pressed }) => [s.base, s[kind], big && s.big, pressed && s.pressed, disabled && s.disabled, style]}
    >
      <View style={fixed.row}>
        {icon ? <Icon name={icon} size={big ? 26 : 20} color={theme[tone]} /> : null}
        <Text size={big ? 'title' : 'strong'} tone={tone} numberOfLines={2} style={fixed.centre}>
          {label}
        </Text>
        {shortcut ? (
          <Text size="small" tone={tone} aria-hidden style={fixed.key}>
            {shortcut}
          </Text>
        ) : null}
      </View>
      {hint ? (
        <Text size="small" tone={tone} style={fixed.centre}>
          {hint}
        </Text>
      ) : null}
    </Pressable>
  );
}

/** A square button with an icon only; the label is for readers and shows as a tooltip. */
export function IconButton({ label, icon, onPress }: { label: string; icon: IconName; onPress: () => void }) {
  const theme = useTheme();
  return (
    <Pressable
      role="button"
      aria-label={label}
      {...{ title: label }}
      onPress={onPress}
      style={({ pressed }) => [fixed.square, pressed && fixed.dim]}
    >
      <Icon name={icon} color={theme.ink} />
    </Pressable>
  );
}

const fixed = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', justifyContent: 'center', gap: space.s },
  centre: { textAlign: 'center' },
  key: { opacity: 0.75 },
  square: { width: TARGET, height: TARGET, alignItems: 'center', justifyContent: 'center', borderRadius: radius.s },
  dim: { opacity: 0.6 },
});
