import { useEffect, useRef, useState } from 'react';
import { type GestureResponderEvent, Image, Pressable, View } from 'react-native';
import type { PhotoColour, Picture, Spot } from '@/core/sight/photo';
import type { WaterColour } from '@/core/water';
import { useSettings } from '@/store/hooks';
import { Button, Caution, Hint, Loading, Problem, Sheet, Stack, Text, themed } from '@/ui';
import { readPhoto } from '@/workers/river';
import { pickFile } from '../shared/files';
import { QuantityField } from '../shared/QuantityField';
import { photoFault } from '@/words/sight';
import { capital } from '@/words/capital';
import { format } from '@/words/units';
import { saidOf } from '@/words/said';

/** What a photo says of the water, for the reading. */
interface FromPhoto {
  readonly visibilityM: number;
  readonly atLeast: boolean;
  readonly colour: WaterColour | null;
}

interface Shot {
  readonly url: string;
  readonly picture: Picture;
}

/** Larger pictures are made smaller, px: more tells no more. */
const MOST_PX = 1400;
const LARGEST = 40e6;
/** An arrow key moves a mark by so much of the picture. */
const NUDGE = 0.01;

const useStyles = themed((t) => ({
  frame: { width: '100%', overflow: 'hidden', borderWidth: 1.5, borderColor: t.hairline },
  mark: {
    position: 'absolute',
    width: 34,
    height: 34,
    marginLeft: -17,
    marginTop: -17,
    borderRadius: 17,
    borderWidth: 3,
    borderColor: t.ink,
    backgroundColor: 'rgba(255,255,255,0.35)',
    alignItems: 'center',
    justifyContent: 'center',
  },
}));

/** A picture out of a file, in the browser: nothing is sent anywhere. @throws RangeError in words */
async function openPhoto(file: File): Promise<Shot> {
  if (file.size > LARGEST) throw new RangeError('The picture is larger than 40 MB: take a smaller one.');
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file);
  } catch {
    throw new RangeError('That is no picture that the browser can read: save it as JPEG or PNG.');
  }
  const scale = Math.min(1, MOST_PX / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(bitmap.width * scale));
  canvas.height = Math.max(1, Math.round(bitmap.height * scale));
  const context = canvas.getContext('2d', { willReadFrequently: true })!;
  context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  const { data, width, height } = context.getImageData(0, 0, canvas.width, canvas.height);
  return { url: URL.createObjectURL(file), picture: { data, width, height } };
}

/** The colour of the water out of a photo of a pale thing, in the air and at a known depth. */
export function PhotoSheet({ onTake, onClose }: { onTake: (found: FromPhoto) => void; onClose: () => void }) {
  const [{ units }] = useSettings();
  const [shot, setShot] = useState<Shot | null>(null);
  const [air, setAir] = useState<Spot | null>(null);
  const [under, setUnder] = useState<Spot | null>(null);
  const [depthM, setDepthM] = useState<number | null>(0.3);
  const [found, setFound] = useState<PhotoColour | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  useEffect(() => () => (shot ? URL.revokeObjectURL(shot.url) : undefined), [shot]);
  useEffect(() => {
    if (!shot || !air || !under || depthM === null) return;
    let current = true;
    void readPhoto(shot.picture, air, under, depthM).then((r) => current && setFound(r));
    return () => {
      current = false;
    };
  }, [shot, air, under, depthM]);
  const choose = async () => {
    const file = await pickFile('image/*');
    if (!file) return;
    setBusy(true);
    setProblem(null);
    try {
      setShot(await openPhoto(file));
      [setAir, setUnder, setFound].forEach((set) => set(null));
    } catch (error) {
      setProblem(saidOf(error));
    } finally {
      setBusy(false);
    }
  };
  const next = !air ? 'Tap the pale thing in the air.' : !under ? 'Now tap it under water.' : null;
  return (
    <Sheet title="Colour from a photo" open onClose={onClose}>
      <Hint>
        One picture: something white in the air, and the same, or its lower end, under water at a depth that you know.
        No flash, no glare, the same light on both. It stays on this device.
      </Hint>
      <Button
        label={shot ? 'Another picture' : 'Take or choose a picture'}
        kind={shot ? 'plain' : 'primary'}
        onPress={() => void choose()}
      />
      {busy ? <Loading what="Opening the picture…" /> : null}
      {problem ? <Problem title="No picture">{problem}</Problem> : null}
      {shot ? (
        <>
          {next ? <Text size="strong">{next}</Text> : null}
          <Marked shot={shot} air={air} under={under} onAir={setAir} onUnder={setUnder} />
          <Stack row wrap gap="s">
            {air ? (
              <Button
                label="Reset the marks"
                icon="undo"
                onPress={() => [setAir, setUnder, setFound].forEach((set) => set(null))}
              />
            ) : null}
          </Stack>
          <QuantityField
            label="Depth of the white thing"
            quantity="depth"
            value={depthM}
            min={0.05}
            max={5}
            onChange={setDepthM}
          />
        </>
      ) : null}
      {found ? <Found found={found} units={units} onTake={onTake} /> : null}
    </Sheet>
  );
}

interface MarkedProps {
  shot: Shot;
  air: Spot | null;
  under: Spot | null;
  onAir: (s: Spot) => void;
  onUnder: (s: Spot) => void;
}

/** The picture with the two marks; arrow keys move the one that was set last. */
function Marked({ shot, air, under, onAir, onUnder }: MarkedProps) {
  const s = useStyles();
  const box = useRef({ width: 1, height: 1 });
  const { width, height } = shot.picture;
  const set = air && !under ? onUnder : !air ? onAir : onUnder;
  const press = (e: GestureResponderEvent) => {
    const { offsetX, offsetY } = e.nativeEvent as unknown as { offsetX: number; offsetY: number };
    set({ x: offsetX / box.current.width, y: offsetY / box.current.height });
  };
  const nudge = (key: string): boolean => {
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[key];
    if (!by) return false;
    const last = under ?? air ?? { x: 0.5, y: 0.5 };
    const clamp = (v: number) => Math.min(1, Math.max(0, v));
    const to = { x: clamp(last.x + NUDGE * by[0]!), y: clamp(last.y + NUDGE * by[1]!) };
    if (under) onUnder(to);
    else onAir(to);
    return true;
  };
  return (
    <Pressable
      role="button"
      aria-label="The picture: tap the thing in the air, then under water. Arrow keys move the last mark"
      onPress={press}
      {...({
        onKeyDown: (e: { key: string; preventDefault: () => void }) => {
          if (nudge(e.key)) e.preventDefault();
        },
      } as object)}
      onLayout={(e) => {
        box.current = e.nativeEvent.layout;
      }}
      style={[s.frame, { aspectRatio: width / height }]}
    >
      <View pointerEvents="none" style={{ width: '100%', height: '100%' }}>
        <Image source={{ uri: shot.url }} style={{ width: '100%', height: '100%' }} resizeMode="stretch" aria-hidden />
        {[air, under].map((spot, i) =>
          spot ? (
            <View key={i} style={[s.mark, { left: `${100 * spot.x}%`, top: `${100 * spot.y}%` }]}>
              <Text size="strong">{i === 0 ? 'a' : 'w'}</Text>
            </View>
          ) : null,
        )}
      </View>
    </Pressable>
  );
}

function Found({
  found,
  units,
  onTake,
}: {
  found: PhotoColour;
  units: 'metric' | 'imperial';
  onTake: (f: FromPhoto) => void;
}) {
  const depth = (m: number) => format('depth', m, units);
  if (!found.works)
    return (
      <Stack>
        <Caution>{`No colour from this picture. ${photoFault(found.why, units)}`}</Caution>
        {found.atMostM !== undefined ? <Text>{`Visibility is less than about ${depth(found.atMostM)}.`}</Text> : null}
        {found.atLeastM !== undefined ? (
          <>
            <Text>{`Visibility is at least ${depth(found.atLeastM)}.`}</Text>
            <Button
              label="Use as reading"
              onPress={() => onTake({ visibilityM: found.atLeastM!, atLeast: true, colour: null })}
            />
          </>
        ) : null}
      </Stack>
    );
  const [red, green, blue] = found.lossPerM;
  return (
    <Stack aria-live="polite">
      <Text size="display">{`Visibility ${depth(found.visibilityM)}`}</Text>
      <Text>{`Likely ${depth(found.low80M)} to ${depth(found.high80M)}. Most like ${found.colour}${found.orElse ? `, or ${found.orElse}` : ''}.`}</Text>
      <Text size="small" tone="ink2">
        {capital(
          `lost in ${units === 'metric' ? '10 cm' : '4 in'} of water: red ${percent(red)}, green ${percent(green)}, blue ${percent(blue)}. Tea takes the blue first, silt all alike.`,
        )}
      </Text>
      <Button
        label="Use as reading"
        kind="primary"
        onPress={() => onTake({ visibilityM: found.visibilityM, atLeast: false, colour: found.colour })}
      />
    </Stack>
  );
}

/** Of light lost over a hand's width, m. */
const HAND_M = 0.1;
const percent = (loss: number): string => `${Math.round(100 * (1 - Math.exp(-loss * HAND_M)))} %`;
