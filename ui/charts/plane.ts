import { useState } from 'react';
import type { LayoutChangeEvent } from 'react-native';
import type { Channel } from '@/core/water';

/** Maps metres of a run onto the sheet: flow down the screen, the true left bank at the right hand of the reader. */
export interface Plane {
  readonly width: number;
  readonly height: number;
  /** Pixels a metre down the run; across it is the same, unless the sheet is stretched. */
  readonly scale: number;
  readonly across: number;
  readonly px: (xM: number, yM: number) => readonly [number, number];
  /** The other way, from pixels. */
  readonly m: (px: number, py: number) => { readonly xM: number; readonly yM: number };
}

export interface Window {
  readonly fromM: number;
  readonly toM: number;
  /** Across, from the described bank. */
  readonly nearM: number;
  readonly farM: number;
}

/** What a sheet shows across: the water and a little of either bank, m. */
export const acrossOf = ({ edgeNear, edgeFar }: Pick<Channel, 'edgeNear' | 'edgeFar'>): readonly [number, number] => [
  Math.min(...edgeNear) - 2.5,
  Math.max(...edgeFar) + 2.5,
];

/** A plane that shows the window as large as it goes into width × height, centred across. @param stretch a long narrow one is drawn up to
 * so many times as wide as it is, where there is room */
export function plane(bank: 'left' | 'right', w: Window, width: number, height: number, stretch = 1): Plane {
  const fits = width / (w.farM - w.nearM);
  const scale = Math.min(fits, height / (w.toM - w.fromM));
  const wide = Math.min(fits, stretch * scale);
  const spare = (width - wide * (w.farM - w.nearM)) / 2;
  const top = (height - scale * (w.toM - w.fromM)) / 2;
  const across = (yM: number) => (bank === 'left' ? w.farM - yM : yM - w.nearM);
  return {
    width,
    height,
    scale,
    across: wide,
    px: (xM, yM) => [spare + wide * across(yM), top + scale * (xM - w.fromM)],
    m: (px, py) => {
      const a = (px - spare) / wide;
      return { xM: w.fromM + (py - top) / scale, yM: bank === 'left' ? w.farM - a : a + w.nearM };
    },
  };
}

/** A path through points, closed or open, to a tenth of a pixel. */
export function pathOf(points: readonly (readonly [number, number])[], close = false): string {
  return points.map(([x, y], i) => `${i ? 'L' : 'M'}${x.toFixed(1)} ${y.toFixed(1)}`).join('') + (close ? 'Z' : '');
}

/** Width of the place a chart is given; 0 until it is laid out. */
export function useWidth(): [number, (e: LayoutChangeEvent) => void] {
  const [width, setWidth] = useState(0);
  return [width, (e) => setWidth(Math.round(e.nativeEvent.layout.width))];
}
