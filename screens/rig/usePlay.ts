import { useEffect, useState } from 'react';
import { useMedia } from '@/ui';
import { useStable } from '../shared/useStable';

/** Whether the person has asked their machine for less motion. */
export const useStill = (): boolean => useMedia('(prefers-reduced-motion: reduce)');

const SPEEDS = [1, 2, 4] as const;
export type Speed = (typeof SPEEDS)[number];

/**
 * Plays the seconds of a swing in river time, from where it stands, from the start again when it has ended.
 *
 * @param onTime called each frame with the second reached
 */
export function usePlay(t: number, seconds: number, onTime: (t: number) => void) {
  const [playing, setPlaying] = useState(false);
  const [speed, setSpeed] = useState<Speed>(1);
  const begin = useStable(() => (t >= seconds - 0.1 ? 0 : t));
  const tell = useStable(onTime);
  useEffect(() => {
    if (!playing) return;
    let at = begin();
    let last = performance.now();
    let frame = requestAnimationFrame(function step(now) {
      at = Math.min(seconds, at + (speed * (now - last)) / 1000);
      last = now;
      tell(at);
      if (at >= seconds) setPlaying(false);
      else frame = requestAnimationFrame(step);
    });
    return () => cancelAnimationFrame(frame);
  }, [playing, speed, seconds, begin, tell]);
  const next = () => setSpeed(SPEEDS[(SPEEDS.indexOf(speed) + 1) % SPEEDS.length]!);
  return { playing, toggle: () => setPlaying((p) => !p), stop: () => setPlaying(false), speed, nextSpeed: next };
}
