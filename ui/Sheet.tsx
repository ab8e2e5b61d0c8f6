import { useEffect, useRef, type ReactNode } from 'react';
import { Modal, Pressable, ScrollView, View } from 'react-native';
import { IconButton } from './Button';
import { Text } from './Text';
import { radius, space, themed } from './theme';

interface Props {
  title: string;
  open: boolean;
  onClose: () => void;
  children: ReactNode;
}

const useStyles = themed((t) => ({
  scrim: { position: 'absolute', inset: 0, backgroundColor: t.scrim },
  place: { flex: 1, justifyContent: 'flex-end', alignItems: 'center' },
  sheet: {
    width: '100%',
    maxWidth: 560,
    maxHeight: '88%',
    backgroundColor: t.paper,
    borderTopLeftRadius: radius.l,
    borderTopRightRadius: radius.l,
    paddingTop: space.s,
  },
  head: {
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'space-between',
    paddingLeft: space.l,
    paddingRight: space.s,
  },
  content: { padding: space.l, paddingTop: space.s, gap: space.l, paddingBottom: space.xxl },
}));

/** The sheets that are open, the one on top last: Escape closes that one only. */
const opened: symbol[] = [];

/** A page that rises from the bottom over the present one; Escape, the scrim or the cross close it. What the modal itself does as the key
 * is let go (`onRequestClose`) would close the next sheet, too. */
export function Sheet({ title, open, onClose, children }: Props) {
  const s = useStyles();
  const close = useRef(onClose);
  useEffect(() => {
    close.current = onClose;
  });
  useEffect(() => {
    if (!open) return;
    const me = Symbol(title);
    opened.push(me);
    const onKey = (e: KeyboardEvent) => {
      if (e.key === 'Escape' && opened.at(-1) === me) close.current();
    };
    window.addEventListener('keydown', onKey);
    return () => {
      window.removeEventListener('keydown', onKey);
      opened.splice(opened.indexOf(me), 1);
    };
  }, [open, title]);
  return (
    <Modal visible={open} transparent animationType="none" aria-label={title}>
      <View style={s.place}>
        <Pressable style={s.scrim} onPress={onClose} aria-hidden tabIndex={-1} />
        <View style={s.sheet} role="region" aria-label={title}>
          <View style={s.head}>
            <Text size="title" level={2}>
              {title}
            </Text>
            <IconButton label="Close" icon="close" onPress={onClose} />
          </View>
          <ScrollView contentContainerStyle={s.content} keyboardShouldPersistTaps="handled">
            {children}
          </ScrollView>
        </View>
      </View>
    </Modal>
  );
}
