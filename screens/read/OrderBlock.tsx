import { View } from 'react-native';
import { outOfReachWords } from '@/core/cast';
import type { Order } from '@/core/cover';
import { stopWords } from '@/core/cover/stopWords'; // not the barrel: only the river wants the rest of it
import type { UnitSystem } from '@/core/units';

import { Block, Caution, Choice, Stack, Text } from '@/ui';

interface Props {
  order: Order | null;
  upstream: boolean;
  onUpstream: (upstream: boolean) => void;
  units: UnitSystem;
}

/** In which order to fish the run, from where, and what the way there asks for. */
export function OrderBlock({ order, upstream, onUpstream, units }: Props) {
  return (
    <Block title="The order of the work">
      <Choice
        label="You fish it"
        options={[
          { value: 'down', label: 'down, swinging' },
          { value: 'up', label: 'up, casting upstream' },
        ]}
        value={upstream ? 'up' : 'down'}
        onChange={(v) => onUpstream(v === 'up')}
      />
      {!order ? (
        <Text tone="ink2">
          Choose a rod, a line and a fly under Rig: then the way is worked out from what you cast.
        </Text>
      ) : order.stops.length === 0 ? (
        <Text>Nothing to fish here today.</Text>
      ) : (
        <Stack role="list">
          {order.stops.map((s, i) => (
            <View key={s.lie.rank} role="listitem">
              <Text>{`${i + 1}. ${stopWords(s, i === 0, units)}`}</Text>
            </View>
          ))}
        </Stack>
      )}
      {order?.outOfReach.map((out) => (
        <Text key={out.rank} tone="ink2">
          {outOfReachWords(out, units)}
        </Text>
      ))}
      <Caution>
        The way keeps to water that is easy for fit adults. A bed can fall away in one step: a staff in hand, and turn
        back when in doubt.
      </Caution>
    </Block>
  );
}
