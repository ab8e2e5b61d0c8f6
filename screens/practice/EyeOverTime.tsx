import { doubtOf, errorsOf } from '@/core/practice/eye';
import type { Played } from '@/core/practice/played';
import { Block, Text } from '@/ui';
import { MoveCurve } from '@/ui/charts';
import { doubtWords, SURE_WORDS } from '@/words/practice';

const CURVE_PX = 150;
/** So many times in a hundred a range should hold. */
const SHOULD = 80;

/** How far off one’s numbers are by and by, and whether one’s ranges hold as they should. */
export function EyeOverTime({ played }: { played: readonly Played[] }) {
  const errors = errorsOf(played).map((e) => Math.round(100 * e));
  const doubts = doubtOf(played).filter((d) => d.held !== null);
  if (errors.length === 0 && doubts.length === 0) return null;
  const held = doubts.map((d) => Math.round(100 * d.held!));
  return (
    <Block title="Your eye over time">
      {errors.length > 0 ? (
        <>
          <Text size="strong">How far off your numbers are</Text>
          <MoveCurve
            labels={errors.map((_, i) => String(5 * (i + 1)))}
            at={errors.map((_, i) => i)}
            curves={[{ name: 'off', values: errors }]}
            chosen={errors.length - 1}
            unit="%"
            height={CURVE_PX}
            summary={`How far off in the mean, five rounds at a time: ${errors.map((e) => `${e} %`).join(', ')}`}
          />
          <Text size="small" tone="ink2">
            Rounds from left to right, five at a time
          </Text>
        </>
      ) : null}
      {doubts.length > 0 ? <Text size="strong">How often your ranges hold</Text> : null}
      {doubts.length > 1 ? (
        <MoveCurve
          labels={doubts.map((d) => SURE_WORDS[d.sure])}
          at={doubts.map((_, i) => i)}
          curves={[
            { name: 'held', values: held },
            { name: 'should', values: held.map(() => SHOULD), dashed: true },
          ]}
          chosen={0}
          unit="%"
          height={CURVE_PX}
          summary={`How often your ranges held: ${doubts.map((d, i) => `${SURE_WORDS[d.sure]} ${held[i]} %`).join(', ')}; ${SHOULD} % would be right`}
        />
      ) : null}
      {doubts.map((d) => (
        <Text key={d.sure}>{doubtWords(d)}</Text>
      ))}
    </Block>
  );
}
