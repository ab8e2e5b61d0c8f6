import type { ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { Icon, type IconName } from './Icon';
import { Text } from './Text';
import { radius, space, type Theme, themed, useTheme } from './theme';

interface Props {
  label: string;
  value: string;
  detail?: string;
  /** Why not. */
  caution?: string | null;
  /** It cannot be chosen; the caution says why. */
  barred?: boolean;
  /** A likeness, before the words. */
  lead?: ReactNode;
  onPress: () => void;
  chosen?: boolean;
  icon?: IconName;
}

/** The frame of a row that is tapped. */
export const rowFrame = (t: Theme) =>
  ({
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    minHeight: 56,
    paddingVertical: space.s,
    paddingHorizontal: space.m,
    borderRadius: radius.s,
    borderWidth: 1.5,
    borderColor: t.edge,
  }) as const;

const useStyles = themed((t) => ({
  row: { ...rowFrame(t), backgroundColor: t.card },
  chosen: { borderColor: t.ink, borderWidth: 2 },
  lead: { minWidth: 64 },
  text: { flex: 1, minWidth: 0 },
  caution: { backgroundColor: t.cautionGround, paddingHorizontal: space.xs, alignSelf: 'flex-start' },
  pressed: { opacity: 0.7 },
}));

/** A row that opens something or chooses it: what it is, and what it stands at. */
export function PickRow({ label, value, detail, caution, barred, lead, onPress, chosen, icon = 'forward' }: Props) {
  const s = useStyles();
  const theme = useTheme();
  return (
    <Pressable
      role="button"
      aria-label={[label, value, detail, caution].filter(Boolean).join(', ')}
      aria-pressed={chosen}
      aria-disabled={barred || undefined}
      disabled={barred}
      onPress={onPress}
      style={({ pressed }) => [s.row, chosen && s.chosen, pressed && s.pressed]}
    >
      {lead ? <View style={s.lead}>{lead}</View> : null}
      <View style={s.text}>
        {label ? (
          <Text size="small" tone="ink2">
            {label}
          </Text>
        ) : null}
        <Text size="strong" numberOfLines={4}>
          {value}
        </Text>
        {detail ? (
          <Text size="small" tone="ink2">
            {detail}
          </Text>
        ) : null}
        {caution ? (
          <Text size="small" tone="cautionText" style={s.caution}>
            {caution}
          </Text>
        ) : null}
      </View>
      {barred ? null : <Icon name={chosen ? 'check' : icon} size={20} color={theme.ink} />}
    </Pressable>
  );
}
