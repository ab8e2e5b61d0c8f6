import { flyAt, HZ } from '@/core/swing/series';
import { useState } from 'react';
import { View } from 'react-native';
import { judgeFlies, type Verdict } from '@/core/advice';
import { handsOf } from '@/core/cast';
import type { Band, SwingResult } from '@/core/swing';

import { Button, Stack, Text } from '@/ui';
import type { JudgedCast } from '../shared/useSwing';
import { useRigInHand } from './RigInHand';
import { betweenWords, mendSentence, riseSentence, swingSentence, verdictSentence } from '@/words/advice';
import { format, type UnitSystem } from '@/words/units';
import { ofTen } from '@/words/counting';

interface Props {
  judged: JudgedCast;
  band: Band | null;
  brief?: boolean;
}

const DOUBT_WORDS = { speed: 'current', depth: 'depth of the water', line: 'state of the line' } as const;
const EVERY_S = 2;

/** All that the picture shows, as words. */
export function SwingWords({ judged: { request, result, verdicts }, band, brief = false }: Props) {
  const { units, chosen } = useRigInHand();
  const main = verdicts.find((v) => v.lie.rank === chosen) ?? null;
  const [open, setOpen] = useState(false);
  const others = brief ? [] : verdicts.filter((v) => v !== main && reaches(v));
  const doubt = main && band?.lies[request.lies.findIndex((l) => l.rank === main.lie.rank)];
  const { rig } = request;
  // The heading tells of the fly that does better; here is what the others do.
  const flies =
    main && !brief && rig.droppers.length > 0
      ? judgeFlies(result, request).flatMap(
          (of) => of.find((v) => v.lie.rank === main.lie.rank && v.place !== main.place) ?? [],
        )
      : [];
  const mended = mendSentence(result, request.plan, units);
  return (
    <Stack aria-live="polite">
      {main && brief ? <Text>{verdictSentence(main, units, rig)}</Text> : null}
      {flies.map((v) => (
        <Text key={v.place}>{verdictSentence(v, units, rig)}</Text>
      ))}
      {brief || !main || !reaches(main) ? null : doubt ? (
        <Text>
          {`${doubt.chance === null ? '' : `With readings this rough, this lie is well shown in ${ofTen(doubt.chance)} swings. `}${betweenWords(doubt, units)}; the ${DOUBT_WORDS[band!.cause]} matters most.`}
        </Text>
      ) : (
        <Text tone="ink2">Working out the chances…</Text>
      )}
      {others.map((v) => (
        <Text key={v.lie.rank}>{verdictSentence(v, units, rig)}</Text>
      ))}
      <Text tone="ink2">{swingSentence(result, units, handsOf(request.plan).way)}</Text>
      {mended ? <Text>{mended}</Text> : null}
      {main && handsOf(request.plan).way === 'timed rise' ? <Text>{riseSentence(result, main.lie, units)}</Text> : null}
      {brief ? null : (
        <Button
          kind="quiet"
          label={open ? 'Hide the swing second by second' : 'Show the swing second by second'}
          onPress={() => setOpen(!open)}
        />
      )}
      {open ? (
        <View role="list">
          {secondsOf(result, units).map((line) => (
            <View key={line} role="listitem">
              <Text>{line}</Text>
            </View>
          ))}
        </View>
      ) : null}
    </Stack>
  );
}

const reaches = (v: Verdict) => v.fit !== 'not reached' && v.fit !== 'not fishing';

function secondsOf(r: SwingResult, units: UnitSystem): string[] {
  const out: string[] = [];
  for (let row = 0; row < r.rows; row += HZ * EVERY_S) {
    const fly = flyAt(r, row);
    const depth = format('depth', fly.depthM, units);
    const speed = format('speed', Math.abs(fly.vyMps), units);
    const way = fly.axisDeg >= 60 ? 'side-on' : fly.axisDeg >= 30 ? 'quartering' : 'head to the current';
    out.push(`${row / HZ} s: ${depth} deep, ${speed} across, ${way}`);
  }
  return out;
}
