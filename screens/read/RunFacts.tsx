import type { Survey } from '@/core/lies';
import { placeOf } from '@/core/sight/place';
import { ROOMS, type Run } from '@/core/water';
import type { Water } from '@/store/records';

import { useSettings } from '@/store/hooks';

import { Block, Button, Choice, plainOptions, Slider, Stack, Text, TextField } from '@/ui';
import { download, fileName } from '../shared/files';
import type { RunEditor } from './useRunEditor';
import { format } from '@/words/units';

interface Props {
  run: Run;
  edit: RunEditor;
  survey: Survey | undefined;
  water: Water | null | undefined;
  onRemove: () => void;
}

const BEND_M = 60;
/** Runs of one day lie along so much of a river, m. */
const FURTHEST_M = 5000;

/** Name, bend, banks and notes of a run, and its way out as a map file. */
export function RunFacts({ run, edit, survey, water, onRemove }: Props) {
  const [{ units }] = useSettings();
  const metres = (v: number) => (v === 0 ? 'none' : format('length', v, units));
  const trees = run.trees ?? { nearM: 0, farM: 0 };
  const place = run.origin ?? placeOf(water);
  const lies = survey?.lies ?? [];
  const file = fileName(run.name);
  const takeGeoJSON = async () => {
    if (!place) return;
    const { writeGeoJSON } = await import('@/store/parsers');
    download(`${file}.geojson`, 'application/geo+json', writeGeoJSON(run, lies, place));
  };
  const takeGPX = async () => {
    if (!place) return;
    const { writeGPX } = await import('@/store/parsers');
    download(`${file}.gpx`, 'application/gpx+xml', writeGPX(run, lies, place));
  };
  return (
    <>
      <Block title="The run">
        <TextField label="Name" value={run.name} onChange={(name) => void edit.change({ name })} />
        <Choice
          label="Looking downstream, the run turns"
          options={plainOptions(['straight', 'left', 'right'] as const)}
          value={run.bend?.turns ?? 'straight'}
          onChange={(v) =>
            void edit.change({
              bend: v === 'straight' ? undefined : { turns: v, radiusM: run.bend?.radiusM ?? BEND_M },
            })
          }
        />
        {run.bend ? (
          <Slider
            label="Radius of the bend"
            value={run.bend.radiusM}
            min={15}
            max={200}
            step={5}
            onChange={(radiusM) => void edit.change({ bend: { ...run.bend!, radiusM } })}
            format={(v) => format('length', v, units)}
          />
        ) : null}
        <Choice
          label="Room behind you for a back cast"
          options={plainOptions(ROOMS)}
          value={run.room ?? 'open'}
          onChange={(room) => void edit.change({ room })}
        />
        <Slider
          label="Trees on your bank"
          value={trees.nearM}
          min={0}
          max={30}
          step={1}
          onChange={(nearM) => void edit.change({ trees: { ...trees, nearM } })}
          format={metres}
        />
        <Slider
          label="Trees on the other bank"
          value={trees.farM}
          min={0}
          max={30}
          step={1}
          onChange={(farM) => void edit.change({ trees: { ...trees, farM } })}
          format={metres}
        />
        <Slider
          label="Where it lies: down from your highest run"
          value={run.downM ?? 0}
          min={0}
          max={FURTHEST_M}
          step={50}
          onChange={(downM) => void edit.change({ downM })}
          format={(v) => (run.downM === undefined ? 'not said' : format('length', v, units))}
        />
        <TextField label="Notes" multiline value={run.notes} onChange={(notes) => void edit.change({ notes })} />
      </Block>
      <Block title="Export the run">
        <Stack row wrap>
          <Button label="As GeoJSON" icon="out" disabled={!place} onPress={() => void takeGeoJSON()} />
          <Button label="As GPX" icon="out" disabled={!place} onPress={() => void takeGPX()} />
        </Stack>
        <Text size="small" tone="ink2">
          {place
            ? 'Open map formats. They hold the place: think before you share.'
            : 'Map files need the place of the water. Enter it under Plan, Change water or rules.'}
        </Text>
        <Button label="Remove this run" onPress={onRemove} />
      </Block>
    </>
  );
}
