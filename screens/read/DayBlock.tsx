import { View } from 'react-native';
import type { Survey } from '@/core/lies';
import { FOUR_IN_FIVE } from '@/core/maths';
import type { Contradiction, ReadingEffect, Source } from '@/core/water';

import { Button, Fact, Hint, Stack, Text } from '@/ui';
import type { Today } from '../shared/useRunDay';
import { capital } from '@/words/capital';
import { format, formatLevel, type UnitSystem } from '@/words/units';
import { Fold } from '../shared/Fold';
import { HowThisWorks } from '../shared/HowThisWorks';

const SPEED_WORDS: Record<Survey['channel']['speedFrom'], string> = {
  today: 'from what is known of today',
  'read with the run': 'from the float timed when the run was read, carried to today’s level',
  typical: 'typical for such a run; time a float for a better figure',
};

/** What to do about a reading that does not fit the others. */
const CURE: Record<Source, string> = {
  'level by the gauge': 'Is the gauge above a weir or a tributary? Compare a stone you know.',
  'level by eye': 'The eye is easily wrong about the level: compare a stone you know, or take the gauge’s.',
  'level as a guess': 'Nobody read the level: read it, or take the gauge’s.',
  'depth by the leg': 'Right place? Wade again to check.',
  'depth by the staff': 'Right place? Measure again.',
  'depth by a sink count': 'The line may have hung in the current: count again with more slack.',
  float: 'Time the float again, over ten paces or more, in the main current.',
  'pace by eye': 'Time a float instead.',
  'gauge’s flow': 'The gauge may stand where other water joins: time a float.',
  'float when the run was read': 'The run may have changed since it was read: time a float today.',
  'typical run': 'This run isn’t a typical one.',
};

const value = (of: ReadingEffect['of'], v: number, units: UnitSystem) =>
  of === 'flow' ? format('flow', v, units) : formatLevel(v, units);
/** Four in five, as a share of the flow or as a length. */
const doubt = (of: ReadingEffect['of'], sd: number, units: UnitSystem) =>
  of === 'flow' ? `${Math.round(100 * FOUR_IN_FIVE * sd)} %` : format('level', FOUR_IN_FIVE * sd, units);

function effectWords(t: ReadingEffect, units: UnitSystem): string {
  return `${capital(t.from)}: ${t.of} ${value(t.of, t.before, units)} ± ${doubt(t.of, t.sdBefore, units)} becomes ${value(t.of, t.after, units)} ± ${doubt(t.of, t.sdAfter, units)}.`;
}

function contradictionWords(c: Contradiction, units: UnitSystem): string {
  return `Two readings contradict each other: the ${c.culprit} says a ${c.of} of ${value(c.of, c.saidCulprit, units)}, the ${c.against.join(' and the ')} ${value(c.of, c.saidOthers, units)}. ${CURE[c.culprit]}`;
}

/** Where the water was not read today: what that costs, and the way to do it. */
export function ReadingPrompt({ today, onNew }: { today: Today; onNew: () => void }) {
  return (
    <Stack>
      {today.fresh ? null : (
        <Hint>{`The water is ${today.source}. A reading takes half a minute and sharpens the lies.`}</Hint>
      )}
      <Button label="New reading" icon="plus" onPress={onNew} />
    </Stack>
  );
}

/** How much water there is, how sure that is, and what each reading said: what does not fit at once, the rest on asking. */
export function DayBlock({ survey: { channel: c }, units }: { survey: Survey; units: UnitSystem }) {
  return (
    <Stack>
      {c.impossible ? (
        <Hint>
          Depths and speed contradict each other: no wadeable run has such water. Time another float, and check the
          depths.
        </Hint>
      ) : null}
      {c.contradictions.map((x) => (
        <Hint key={x.of}>{contradictionWords(x, units)}</Hint>
      ))}
      <Fold title="How much water, and how sure" summary={`${format('flow', c.flowM3s, units)} through the run`}>
        <Fact
          name="Flow through the run"
          value={`${format('flow', c.flowM3s, units)} ± ${Math.round(100 * c.speedSpread)} %`}
        />
        <Text size="small" tone="ink2">
          {`Speed: ${SPEED_WORDS[c.speedFrom]}. Depths ± ${Math.round(100 * c.depthSpread)} %. 4 times in 5 the truth lies within.`}
        </Text>
        {c.readingEffects.length > 0 ? (
          <Stack role="list" gap="xs">
            {c.readingEffects.map((t, i) => (
              <View key={i} role="listitem">
                <Text size="small">{effectWords(t, units)}</Text>
              </View>
            ))}
          </Stack>
        ) : null}
        <HowThisWorks page="water" />
      </Fold>
    </Stack>
  );
}
