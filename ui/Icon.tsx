import { createElement } from 'react';

/** One set, drawn for this program on a 24-unit square with one weight of line. */
const PATHS = {
  plan: 'M4 17c2.5 0 2.5-2 5-2s2.5 2 5 2 2.5-2 5-2M12 3v2M5.6 5.6 7 7M18.4 5.6 17 7M7.5 11a4.5 4.5 0 0 1 9 0',
  read: 'M6 3c-1.5 6 2 8 0 18M18 3c-1.5 6 2 8 0 18M12 4c-1 4 1 6 0 8M12 15c-.6 2 .4 3 0 5',
  rig: 'M4 20 15 4M15 4c5 3 4 8 1 12M16 16l-2.6 2.2a2 2 0 1 0 2.9 2.6',
  fish: 'M3 12c4-6 11-6 15 0-4 6-11 6-15 0ZM18 12l3-3v6ZM7.5 11.5v.01',
  learn: 'M4 20V4M4 20h16M8 16v-4M12 16V8M16 16v-6',
  settings: 'M4 7h9M17 7h3M4 17h3M11 17h9M15 5v4M9 15v4',
  plus: 'M12 5v14M5 12h14',
  minus: 'M5 12h14',
  back: 'M14 5l-7 7 7 7',
  forward: 'M10 5l7 7-7 7',
  close: 'M6 6l12 12M18 6 6 18',
  check: 'M5 13l4 4 10-11',
  undo: 'M8 5 4 9l4 4M4 9h10a6 6 0 0 1 0 12h-3',
  caution: 'M12 4 2.5 20h19ZM12 10v5M12 17.5v.01',
  out: 'M12 15V4M8 8l4-4 4 4M5 14v6h14v-6',
  in: 'M12 4v11M8 11l4 4 4-4M5 14v6h14v-6',
  play: 'M7 4v16l13-8Z',
  pause: 'M8 5v14M16 5v14',
  edit: 'M4 20l1-5L16 4l4 4L9 19Z',
  drag: 'M5 9h14M5 15h14M9 5l3-3 3 3M9 19l3 3 3-3',
} as const;
export type IconName = keyof typeof PATHS;

/** A plain SVG element: the chart library stays out of the first screen's code. */
export function Icon({ name, size = 24, color }: { name: IconName; size?: number; color: string }) {
  return createElement(
    'svg',
    {
      width: size,
      height: size,
      viewBox: '0 0 24 24',
      fill: 'none',
      stroke: color,
      strokeWidth: 2,
      strokeLinecap: 'round',
      strokeLinejoin: 'round',
      'aria-hidden': true,
      style: { flexShrink: 0 },
    },
    createElement('path', { d: PATHS[name] }),
  );
}
