import type { Happened, Visit } from '@/core/logbook';
import { effortByRig } from '@/core/logbook/effort';
import { describeRig } from '@/core/tackle';
import { MINUTE_MS } from '@/core/units';
import { useSettings } from '@/store/hooks';
import { Block, Fact, Stack, Text } from '@/ui';
import { clock } from '../shared/time';
import { format, formatLevel } from '@/words/units';
import { several } from '@/words/counting';

const takes = (n: number) => several(n, 'take');
const casts = (n: number, byHand: number) => `${byHand > 0 ? 'about ' : ''}${several(n, 'cast')}`;
/** A pace is told of so many casts and more. */
const PACED = 10;

/** How an outing was spent: run by run, and fly by fly. */
export function Effort({ visits, all }: { visits: readonly Visit[]; all: readonly Happened[] }) {
  const [{ units }] = useSettings();
  // What was tied on twice is one.
  const rigs = new Map<string, { readonly casts: number; readonly takes: number }>();
  for (const r of effortByRig(all)) {
    const name = r.set ? describeRig(r.set) : 'not noted';
    const known = rigs.get(name) ?? { casts: 0, takes: 0 };
    rigs.set(name, { casts: known.casts + r.casts, takes: known.takes + r.takes });
  }
  return (
    <Block title="Effort and takes">
      <Stack gap="s">
        {visits.map((v) => {
          const minutes = (v.toAt - v.fromAt) / MINUTE_MS;
          const counted = v.casts - v.byHand;
          return (
            <Stack key={v.fromAt} gap="xs">
              <Fact name={v.runName} value={`${casts(v.casts, v.byHand)}, ${takes(v.takes)}`} />
              <Text size="small" tone="ink2">
                {[
                  v.timed ? `${clock(v.fromAt)} to ${clock(v.toAt)}` : '',
                  counted >= PACED && minutes > 0 ? `${Math.round((60 * counted) / minutes)} casts an hour` : '',
                  v.levelM === null ? '' : `level ${formatLevel(v.levelM, units)}`,
                  v.visibilityM === null ? '' : `visibility ${format('depth', v.visibilityM, units)}`,
                ]
                  .filter(Boolean)
                  .join(' · ')}
              </Text>
            </Stack>
          );
        })}
      </Stack>
      {rigs.size > 1 ? (
        <Stack gap="xs">
          <Text size="small" tone="ink2">
            By rig. A handful of takes says little about which fly is better.
          </Text>
          {[...rigs].map(([name, r]) => (
            <Fact key={name} name={name} value={`${casts(r.casts, 0)}, ${takes(r.takes)}`} />
          ))}
        </Stack>
      ) : null}
    </Block>
  );
}
