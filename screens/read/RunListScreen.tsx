import { useRouter } from 'expo-router';
import { useState } from 'react';
import { newId, useRecords, useSave, useSession, useSettings } from '@/store/hooks';
import { checkRun } from '@/core/rules';
import type { Run } from '@/core/water';

import { Button, Empty, Loading, PickRow, Problem, Screen, Stack, useToast } from '@/ui';
import { bytesOf, pickFile } from '../shared/files';
import { useLoadDemo } from '../shared/useDemo';
import { useWater } from '../shared/useWater';
import { AfterToday } from './AfterToday';
import { breachOf } from '@/words/rules';
import { format } from '@/words/units';
import { saidOf } from '@/words/said';

const has = (run: Run) => [...new Set(run.features.map((f) => f.kind))].slice(0, 3).join(', ');

/** Largest map file of a run that is read, bytes: one of ours has some ten thousand. */
const LARGEST_MAP = 5e6;

/** The runs of the chosen water. */
export function RunListScreen() {
  const router = useRouter();
  const [session] = useSession();
  const { data: waters } = useRecords('water');
  const { data: runs } = useRecords('run');
  const [{ units }] = useSettings();
  const load = useLoadDemo();
  const toast = useToast();
  const { put, remove } = useSave('run');
  const [refused, setRefused] = useState<{ name: string; why: string } | null>(null);
  const picked = useWater(session?.waterId);
  const water = picked ?? waters?.[0];
  if (!runs || !waters || !session)
    return (
      <Screen title="Read">
        <Loading what="Opening your runs…" />
      </Screen>
    );
  const glance = () => router.push('/read/glance');
  if (!water)
    return (
      <Screen title="Read">
        <Empty
          title="No run yet"
          actions={
            <>
              <Button label="Read the water in front of you" kind="primary" onPress={glance} />
              <Button label="Add a water" icon="plus" onPress={() => router.push('/water')} />
              <Button label="Look around with demo data" onPress={() => void load()} />
            </>
          }
        >
          Read a run from the bank in five taps, or add a water first, with its gauge and rules.
        </Empty>
      </Screen>
    );
  const here = runs.filter((r) => r.waterId === water.id).sort((a, b) => a.name.localeCompare(b.name));
  const add = () => router.push('/read/new');
  const bring = async () => {
    const file = await pickFile('.geojson,.json,.gpx,application/geo+json,application/gpx+xml');
    if (!file) return;
    setRefused(null);
    try {
      const ids = { id: newId(), waterId: water.id, newId };
      const { readGeoJSON, readGPX, decodeText } = await import('@/store/parsers');
      const text = decodeText(await bytesOf(file, LARGEST_MAP));
      const run = (/^\s*</.test(text) ? readGPX : readGeoJSON)(text, ids);
      await put(run);
      toast(`${run.name} imported.`, () => void remove(run.id));
    } catch (error) {
      setRefused({ name: file.name, why: saidOf(error).replace(/\.$/, '') });
    }
  };
  return (
    <Screen
      title={`Runs of the ${water.name}`}
      subtitle={`${here.length === 1 ? 'one run' : `${here.length} runs`}, for ${water.quarry}`}
      footer={
        <Stack row gap="s">
          <Button
            label="Read the water in front of you"
            kind={here.length ? 'plain' : 'primary'}
            style={HALF}
            onPress={glance}
          />
          <Button label="Add a run" icon="plus" style={HALF} onPress={add} />
        </Stack>
      }
    >
      {refused ? (
        <Problem title={`Couldn’t import ${refused.name}`}>{`${refused.why}. No data changed.`}</Problem>
      ) : null}
      <AfterToday water={water} />
      {here.length === 0 ? (
        <Empty title="No run yet">
          Read the water in front of you in five taps, or add a run with measured sections.
        </Empty>
      ) : (
        <Stack>
          {here.map((r) => (
            <PickRow
              key={r.id}
              label={`${format('length', r.lengthM, units)} long, from the ${r.bank} bank`}
              value={r.name}
              detail={has(r)}
              caution={breachOf(checkRun(water.rules, r.id)[0])}
              onPress={() => router.push({ pathname: '/read/[run]', params: { run: r.id } })}
            />
          ))}
        </Stack>
      )}
      <Button label="Import a run from a map file" icon="in" hint="GeoJSON or GPX" onPress={() => void bring()} />
    </Screen>
  );
}

const HALF = { flex: 1 } as const;
