import { View } from 'react-native';
import { arrivesAs, FROM, type Range, seenFrom } from '@/core/sight';
import { flyBody, type FlyItem, flySinkRate, motionOfFly, profileOf } from '@/core/tackle';
import { useSettings } from '@/store/hooks';
import { Block, Fact, Stack, Text, useTheme } from '@/ui';
import { FlyLikeness } from '@/ui/charts';
import { useLook } from '../shared/useLook';
import { format, formatNumber, unitOf, type UnitSystem } from '@/words/units';
import { HowThisWorks } from '../shared/HowThisWorks';

/** Likeness on a page of its own: so many points to the metre. */
const PER_M = 2400;
const SMALL_PER_M = 1100;

/** In one unit, likely and in brackets from where to where. @example '0.48 (0.37–0.74) m' */
const rangeText = ({ likelyM, lowM, highM }: Range, units: UnitSystem): string => {
  const [likely, low, high] = [likelyM, lowM, highM].map((m) => formatNumber('depth', m, units));
  return likelyM < HARDLY_M ? 'hardly' : `${likely} (${low}–${high}) ${unitOf('depth', units)}`;
};
const HARDLY_M = 0.03;

/** How a fly looks, sinks and is seen in the water of the run in hand. */
export function FlySight({ fly }: { fly: FlyItem }) {
  const [{ units }] = useSettings();
  const theme = useTheme();
  const looking = useLook();
  const sinks = flySinkRate(flyBody(fly));
  const near = looking ? seenFrom(looking.look, fly, 'beside').outline.likelyM : 0;
  return (
    <>
      <View style={{ alignItems: 'center' }}>
        <FlyLikeness fly={fly} perM={Math.min(PER_M, 260 / fly.lengthM)} label={`${fly.name}, a likeness`} />
      </View>
      <Stack gap="xs">
        <Fact
          name={sinks < 0 ? 'Rises in still water' : 'Sinks in still water'}
          value={format('sinkRate', Math.abs(sinks), units)}
        />
        <Fact name="Moves, profile" value={`${motionOfFly(fly)}, ${profileOf(fly)}`} />
      </Stack>
      <Block title="What a fish sees">
        {looking ? (
          <>
            <Text size="small" tone="ink2">
              {`${looking.where}: ${looking.viewing.colour} water, ${format('depth', looking.viewing.visibilityM, units)} of sight${looking.read ? '' : ' (not read today)'}, the fly ${format('depth', looking.viewing.depthM, units)} down${looking.dark ? '; it is dark now: by the light of noon' : ''}.`}
            </Text>
            <Stack gap="xs">
              {FROM.map((from) => {
                const { outline, colour } = seenFrom(looking.look, fly, from);
                return (
                  <Stack key={from} gap="xs">
                    <Fact name={`Outline, from ${from}`} value={rangeText(outline, units)} />
                    <Fact name={`Colour, from ${from}`} value={rangeText(colour, units)} />
                  </Stack>
                );
              })}
            </Stack>
            <Stack row gap="m" align="center" wrap>
              {[0, near / 2, near].map((m) => {
                const veil = arrivesAs(looking.look, { colour: 'black' }, 50);
                return (
                  <View key={m} style={{ alignItems: 'center' }}>
                    <View style={{ backgroundColor: veil, padding: 8, borderWidth: 1, borderColor: theme.hairline }}>
                      <FlyLikeness
                        fly={fly}
                        perM={Math.min(SMALL_PER_M, 90 / fly.lengthM)}
                        tint={(colour) =>
                          arrivesAs(looking.look, { colour, ...(fly.flash ? { flash: true } : null) }, m)
                        }
                      />
                    </View>
                    <Text size="small">{m === 0 ? 'close by' : format('depth', m, units)}</Text>
                  </View>
                );
              })}
            </Stack>
            <Text size="small" tone="ink2">
              Colours as a fish sees them from beside, against the water.
            </Text>
            <HowThisWorks page="sight" />
          </>
        ) : (
          <Text tone="ink2">Choose a run under Read: what fish see depends on its water and light.</Text>
        )}
      </Block>
    </>
  );
}
