import { type ReactNode, useState } from 'react';
import { Pressable, View } from 'react-native';
import { Block, Icon, rowFrame, Stack, Text, themed, useTheme, useWide } from '@/ui';

interface Props {
  title: string;
  /** What matters of it while it is closed, in one line. */
  summary: string;
  /** It has a heading of its own where there is room. */
  block?: boolean;
  /** It is open at first. */
  begins?: boolean;
  children: ReactNode;
}

const useStyles = themed((t) => ({
  row: rowFrame(t),
  text: { flex: 1, minWidth: 0 },
  turned: { transform: [{ rotate: '90deg' }] },
  pressed: { opacity: 0.7 },
}));

/** Titles of those that were left open: who comes back finds them so. */
const left = new Set<string>();

/** A part of a phone's page that is opened by its row; where there is room it is simply there. */
export function Fold({ title, summary, block = false, begins = false, children }: Props) {
  const s = useStyles();
  const theme = useTheme();
  const wide = useWide();
  const [open, setOpen] = useState(begins || left.has(title));
  const turn = () => {
    if (open) left.delete(title);
    else left.add(title);
    setOpen(!open);
  };
  if (wide) return block ? <Block title={title}>{children}</Block> : children;
  return (
    <Stack gap="l">
      <Pressable
        role="button"
        aria-label={`${title}, ${summary}`}
        aria-expanded={open}
        onPress={turn}
        style={({ pressed }) => [s.row, pressed && s.pressed]}
      >
        <View style={s.text}>
          <Text size="strong">{title}</Text>
          <Text size="small" tone="ink2" numberOfLines={2}>
            {summary}
          </Text>
        </View>
        <View style={open ? s.turned : undefined}>
          <Icon name="forward" size={20} color={theme.ink} />
        </View>
      </Pressable>
      {open ? children : null}
    </Stack>
  );
}
