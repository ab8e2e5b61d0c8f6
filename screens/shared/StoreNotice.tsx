import { useState } from 'react';
import { View } from 'react-native';
import { useStoreStatus } from '@/store/hooks';
import { openDatabase } from '@/store/open';
import { Button, radius, space, Text, themed } from '@/ui';

const useStyles = themed((t) => ({
  bar: {
    position: 'absolute',
    top: space.s,
    left: space.s,
    right: space.s,
    maxWidth: 640,
    marginHorizontal: 'auto',
    backgroundColor: t.card,
    borderColor: t.ink,
    borderWidth: 2,
    borderRadius: radius.m,
    padding: space.m,
    gap: space.s,
  },
  row: { flexDirection: 'row', gap: space.s },
}));

/** Says when something could not be saved or read, wherever the user is. */
export function StoreNotice() {
  const s = useStyles();
  const { failing, damaged } = useStoreStatus();
  const [seen, setSeen] = useState(0);
  const unread = damaged.length > seen;
  if (!failing && !unread) return null;
  return (
    <View style={s.bar} role="alert">
      {failing ? (
        <>
          <Text>{failing}</Text>
          <Button label="Try again now" onPress={() => void openDatabase().db.retry()} />
        </>
      ) : (
        <>
          <Text size="strong">
            {damaged.length === 1
              ? 'One stored record could not be read'
              : `${damaged.length} stored records could not be read`}
          </Text>
          <Text size="small">
            {damaged[0]!.key}: {damaged[0]!.why}. It is kept as it is; all else works. Export everything under Learn,
            and import a backup to put it right.
          </Text>
          <View style={s.row}>
            <Button label="Go on" onPress={() => setSeen(damaged.length)} />
          </View>
        </>
      )}
    </View>
  );
}
