import { useState } from 'react';
import { View } from 'react-native';
import { type FishLie, type LiePart, SIZE_CLASSES, type SizeClass } from '@/core/lies';
import type { Run } from '@/core/water';

import { Block, Button, Caution, Choice, PickRow, plainOptions, Text } from '@/ui';
import { bandWords, lieReasonWords, placeWords, sureWords } from '@/words/lies';
import { format, type UnitSystem } from '@/words/units';
import { Fold } from '../shared/Fold';
import { HowThisWorks } from '../shared/HowThisWorks';

interface Props {
  lies: readonly FishLie[];
  units: UnitSystem;
  chosen: number | null;
  onChoose: (rank: number) => void;
  run: Run;
  size: SizeClass;
  onSize: (size: SizeClass) => void;
  /** How the answer would fish each lie, by its number; empty while that is not known. */
  casts: ReadonlyMap<number, string>;
}

const KIND: Record<FishLie['kind'], string> = { station: 'holds', rest: 'rests', beat: 'cruises' };
const PARTS: Record<LiePart, string> = {
  depth: 'depth',
  speed: 'current',
  seam: 'fast water next door',
  cover: 'cover',
  edge: 'soft edge',
  light: 'shelter from light',
  place: 'part of the run',
  temperature: 'temperature',
};

const sure = (l: FishLie) => {
  const words = sureWords(l);
  return words ? `, ${words}` : '';
};

/** So many stand in the list unasked. */
const SHOWN = 4;

/** Where fish hold, best first, each with its reasons. */
export function LieRows({ lies, units, chosen, onChoose, run, size, onSize, casts }: Props) {
  const [all, setAll] = useState(false);
  const one = lies.find((l) => l.rank === chosen);
  return (
    <Block title="Where fish hold">
      <Choice label="Size of fish" options={plainOptions(SIZE_CLASSES)} value={size} onChange={onSize} />
      {lies.length === 0 ? <Text>No water here suits the fish you are after at this level.</Text> : null}
      {run.features.some((f) => f.kind === 'redd') ? (
        <Caution>
          This run has a redd. Do not fish it, and do not wade on or just below it; lies there are left out.
        </Caution>
      ) : null}
      {lies.some((l) => l.staged) ? (
        <Caution>
          {`Fish at ${lies
            .filter((l) => l.staged)
            .map((l) => l.rank)
            .join(', ')} may be waiting to spawn or resting from it: leave paired or dark fish alone.`}
        </Caution>
      ) : null}
      {lies.slice(0, all ? undefined : SHOWN).map((l) => (
        <PickRow
          key={l.rank}
          label={`${l.rank} · ${KIND[l.kind]} ${placeWords(l, units)}${sure(l)}`}
          value={lieReasonWords(l, lies)}
          detail={[waterAt(l, units), l.rank === chosen ? howToShow(l, units) : '', casts.get(l.rank)]
            .filter(Boolean)
            .join(' ')}
          chosen={l.rank === chosen}
          onPress={() => onChoose(l.rank)}
        />
      ))}
      {lies.length > SHOWN && !all ? (
        <Button kind="quiet" label={`Show the other ${lies.length - SHOWN}`} onPress={() => setAll(true)} />
      ) : null}
      <Fold
        title={one ? `Why ${one.rank} stands where it does` : 'How lies are found'}
        summary="Depth, current, cover, light and what else counts"
      >
        {one ? <Parts lie={one} /> : null}
        <HowThisWorks page="lies" />
      </Fold>
    </Block>
  );
}

const waterAt = (l: FishLie, units: UnitSystem): string =>
  `${format('depth', l.depthM, units)} deep, ${format('speed', l.speedMps, units)}.`;
/** Told of the lie that is chosen. */
const howToShow = (l: FishLie, units: UnitSystem): string =>
  `${shownAt(l, units)}, from the ${l.from}, no faster than ${format('speed', l.crossSpeedMps, units)} across.`;

/** How deep to show a fly: where a soft hackle wants another depth than a streamer, both. */
function shownAt({ band, wetBand }: FishLie, units: UnitSystem): string {
  const text = ({ topM, bottomM, by }: FishLie['band']) =>
    `at ${format('depth', topM, units)} to ${format('depth', bottomM, units)} (${bandWords(by)})`;
  const one = text(band);
  return one === text(wetBand) ? `Show the fly ${one}` : `Show a streamer ${one}, a soft hackle ${text(wetBand)}`;
}

/** What a score is made of, in hundredths. */
function Parts({ lie }: { lie: FishLie }) {
  const parts = (Object.keys(PARTS) as LiePart[]).map((p) => `${PARTS[p]} ${Math.round(100 * lie.parts[p])}`);
  return (
    <View>
      <Text size="small" tone="ink2">
        {`Each out of 100, where 100 suits such fish best: ${parts.join(', ')}. Together: ${Math.round(100 * lie.score)}.`}
      </Text>
    </View>
  );
}
