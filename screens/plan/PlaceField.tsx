import { useState } from 'react';
import { useFormContext, useWatch } from 'react-hook-form';
import { readPlace } from '@/formats/coordinates';
import { farFromClock, type Place, placeOf } from '@/core/sight/place';
import type { Water } from '@/store/records';
import { Button, Caution, Hint, Stack, TextField, useToast } from '@/ui';
import { deviceFix } from '../shared/locate';
import { saidOf } from '@/words/said';

/** Four digits are ten metres: more than the light needs. */
const DIGITS = 4;
const half = (v: number, plus: string, minus: string) => `${Math.abs(v).toFixed(DIGITS)}° ${v < 0 ? minus : plus}`;
const placeText = ({ latDeg, lonDeg }: Place) => `${half(latDeg, 'N', 'S')}, ${half(lonDeg, 'E', 'W')}`;

/** Where a water is: as the device says, or a pair that is typed or pasted; a longitude against the clock is asked about. */
export function PlaceField() {
  const { control, setValue, formState } = useFormContext<Water>();
  const [latDeg, lonDeg] = useWatch({ control, name: ['latDeg', 'lonDeg'] });
  const place = placeOf({ latDeg, lonDeg });
  const [text, setText] = useState(place ? placeText(place) : '');
  const [sure, setSure] = useState(false);
  const toast = useToast();
  const take = (to: Place | null) => {
    setValue('latDeg', to && Number(to.latDeg.toFixed(DIGITS)));
    setValue('lonDeg', to && Number(to.lonDeg.toFixed(DIGITS)));
    setSure(false);
  };
  const show = (to: Place) => {
    take(to);
    setText(placeText(to));
  };
  const unread = text.trim() !== '' && readPlace(text) === null;
  const clockH = -new Date().getTimezoneOffset() / 60;
  const odd = place !== null && !sure && farFromClock(place.lonDeg, clockH);
  const wrong = formState.errors.latDeg?.message ?? formState.errors.lonDeg?.message ?? null;
  return (
    <Stack gap="s">
      <TextField
        label="Place: latitude, longitude"
        hint="as 57.1, −5.0 or 57° 6′ N, 5° 0′ W; for sun, hours and dark"
        value={text}
        onChange={(next) => {
          setText(next);
          take(readPlace(next));
        }}
        error={unread ? 'Enter two numbers, latitude first: 57.1, −5.0.' : wrong}
      />
      <Button
        label="Use where I am"
        onPress={() => void deviceFix('enter the place by hand').then(show, (e: Error) => toast(saidOf(e)))}
      />
      {place && !unread ? <Hint>{placeText(place)}</Hint> : null}
      {odd ? (
        <>
          <Caution strong>
            {`${half(place.lonDeg, 'east', 'west')} is far from this device’s time zone. East or west?`}
          </Caution>
          <Stack row wrap gap="s">
            <Button
              label={`Make it ${half(-place.lonDeg, 'east', 'west')}`}
              onPress={() => show({ ...place, lonDeg: -place.lonDeg })}
            />
            <Button label="Keep as entered" onPress={() => setSure(true)} />
          </Stack>
        </>
      ) : null}
    </Stack>
  );
}
