import { useEffect } from 'react';
import type { Alarm } from '@/store/records';

const BEEPS = 3;
const BEEP_S = 0.18;
const PITCH_HZ = 880;
const BUZZ_MS = [300, 150, 300, 150, 300];

/** Three short tones; nothing where the browser allows no sound. */
function beep(): void {
  if (typeof AudioContext === 'undefined') return;
  const audio = new AudioContext();
  const gain = audio.createGain();
  gain.gain.value = 0.2;
  gain.connect(audio.destination);
  for (let n = 0; n < BEEPS; n++) {
    const tone = audio.createOscillator();
    tone.frequency.value = PITCH_HZ;
    tone.connect(gain);
    tone.start(audio.currentTime + 2 * n * BEEP_S);
    tone.stop(audio.currentTime + (2 * n + 1) * BEEP_S);
  }
  setTimeout(() => void audio.close(), 2000 * BEEPS * BEEP_S);
}

/** Tells that a rest is over, in the way that was chosen. @param until when, ms UTC; null: no rest */
export function useAlarm(until: number | null, how: Alarm): void {
  useEffect(() => {
    if (until === null || how === 'off') return;
    const wait = until - Date.now();
    if (wait <= 0) return;
    const timer = setTimeout(() => {
      if ('vibrate' in navigator) navigator.vibrate(BUZZ_MS);
      if (how === 'sound and buzz') beep();
    }, wait);
    return () => clearTimeout(timer);
  }, [until, how]);
}
