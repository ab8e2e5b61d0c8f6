import { useState } from 'react';
import { View } from 'react-native';
import { arrivesAs, FROM, type Range, seenFrom } from '@/core/sight';
import { flyBody, type FlyColour, type FlyItem, flySinkRate, motionOfFly, profileOf } from '@/core/tackle';
import { useSettings } from '@/store/hooks';
import { Block, Fact, Slider, Stack, Text, useTheme } from '@/ui';
import { FlyLikeness } from '@/ui/charts';
import { type Looking, useLook } from '../shared/useLook';
import { format, formatNumber, unitOf, type UnitSystem } from '@/words/units';
import { HowThisWorks } from '../shared/HowThisWorks';

/** Likeness on a page of its own: so many points to the metre. */
const PER_M = 2400;
/** Beside another so many points long at the most. */
const BESIDE_PX = 140;

/** In one unit, likely and in brackets from where to where. @example '0.48 (0.37–0.74) m' */
const rangeText = ({ likelyM, lowM, highM }: Range, units: UnitSystem): string => {
  const [likely, low, high] = [likelyM, lowM, highM].map((m) => formatNumber('depth', m, units));
  return likelyM < HARDLY_M ? 'hardly' : `${likely} (${low}–${high}) ${unitOf('depth', units)}`;
};
const HARDLY_M = 0.03;

/** How a fly looks, sinks and is seen in the water of the run in hand. */
export function FlySight({ fly }: { fly: FlyItem }) {
  const [{ units }] = useSettings();
  const looking = useLook();
  const sinks = flySinkRate(flyBody(fly));
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
            <Distance fly={fly} looking={looking} />
            <HowThisWorks page="sight" />
          </>
        ) : (
          <Text tone="ink2">Choose a run under Read: what fish see depends on its water and light.</Text>
        )}
      </Block>
    </>
  );
}

/** The fly in the hand and as it comes to a fish from some way off; its colours, then and there, as swatches. */
function Distance({ fly, looking: { look } }: { fly: FlyItem; looking: Looking }) {
  const [{ units }] = useSettings();
  const theme = useTheme();
  const furthest = Math.max(0.2, 2 * seenFrom(look, fly, 'beside').outline.likelyM);
  const [awayM, setAwayM] = useState(furthest / 4);
  const step = furthest / 20;
  const frame = { padding: 8, borderWidth: 1, borderColor: theme.hairline, alignItems: 'center' } as const;
  const arrives = (colour: FlyColour, m: number) => arrivesAs(look, { colour, ...(fly.flash && { flash: true }) }, m);
  const seen = (label: string, m: number) => (
    <View style={{ flex: 1 }}>
      <View style={{ ...frame, backgroundColor: arrivesAs(look, { colour: 'black' }, 50) }}>
        <FlyLikeness fly={fly} perM={BESIDE_PX / fly.lengthM} tint={(colour) => arrives(colour, m)} />
      </View>
      <Text size="small" style={{ textAlign: 'center' }}>
        {label}
      </Text>
    </View>
  );
  const there = format('depth', awayM, units);
  return (
    <>
      <Stack row gap="s">
        {seen('close by', 0)}
        {seen(`from ${there}`, awayM)}
      </Stack>
      <Slider
        label="Seen from"
        value={awayM}
        min={0}
        max={furthest}
        step={step}
        onChange={setAwayM}
        format={() => there}
      />
      <Stack gap="xs" role="list" aria-label="Its colours">
        {[fly.colour, ...(fly.also ?? []).map((a) => a.colour)].map((colour) => (
          <View key={colour} role="listitem">
            <Stack row gap="s" align="center">
              {[0, awayM].map((m) => (
                <View key={m} style={{ ...frame, width: 44, height: 28, backgroundColor: arrives(colour, m) }} />
              ))}
              <Text>{`${colour}: close by, and from ${there}`}</Text>
            </Stack>
          </View>
        ))}
      </Stack>
      <Text size="small" tone="ink2">
        Colours as a fish sees them from beside, against the water.
      </Text>
    </>
  );
}
