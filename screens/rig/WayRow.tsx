import { memo, useState } from 'react';
import { type Way, WAYS } from '@/core/cast';
import { PickRow, Sheet, Stack, Text } from '@/ui';
import { WAY_WORDS } from '@/words/cast';
import { capital } from '@/words/capital';

/** How the fly is fished, each way with what it is for. Choosing one sets angle, mend and hands to what it starts from. */
export const WayRow = memo(function WayRow({ way, onWay }: { way: Way; onWay: (way: Way) => void }) {
  const [open, setOpen] = useState(false);
  return (
    <Stack gap="xs">
      <PickRow label="How the fly is fished" value={capital(way)} onPress={() => setOpen(true)} />
      <Text size="small" tone="ink2">
        {WAY_WORDS[way]}
      </Text>
      {open ? (
        <Sheet title="How the fly is fished" open onClose={() => setOpen(false)}>
          <Stack>
            {WAYS.map((w) => (
              <PickRow
                key={w}
                label=""
                value={capital(w)}
                detail={WAY_WORDS[w]}
                chosen={w === way}
                onPress={() => {
                  onWay(w);
                  setOpen(false);
                }}
              />
            ))}
          </Stack>
        </Sheet>
      ) : null}
    </Stack>
  );
});
