import { G, Path, Text as SvgText } from 'react-native-svg';
import type { Channel, PlanPoint } from '@/core/water';

import { FONT, type Theme } from '../theme';
import { pathOf, type Plane } from './plane';
import { formatNumber, type UnitSystem } from '@/words/units';

export interface Shade {
  readonly nearM: number;
  readonly farM: number;
}

interface ShadeProps {
  channel: Channel;
  shade: Shade;
  at: Plane;
  theme: Theme;
}

/** Where trees keep the sun off the water: a thin veil with its edge drawn, so that depth and lies can still be read. */
export function ShadeBand({ channel: c, shade, at, theme }: ShadeProps) {
  const rows = Array.from({ length: c.nx }, (_, i) => i);
  const band = (reachM: number, bank: (i: number) => number, sign: 1 | -1) => {
    if (reachM <= 0.2) return null;
    const width = (i: number) => c.edgeFar[i]! - c.edgeNear[i]!;
    const point = (i: number, yM: number) => at.px(c.x0 + i * c.dx, yM);
    const inner = rows.map((i) => point(i, bank(i) + sign * Math.min(width(i), reachM)));
    const outer = rows.map((i) => point(i, bank(i)));
    return { veil: pathOf([...outer, ...[...inner].reverse()], true), edge: pathOf(inner) };
  };
  const bands = [band(shade.nearM, (i) => c.edgeNear[i]!, 1), band(shade.farM, (i) => c.edgeFar[i]!, -1)];
  return bands.map((d, k) =>
    d ? (
      <G key={k}>
        <Path d={d.veil} fill={theme.ink} fillOpacity={0.12} />
        <Path d={d.edge} stroke={theme.ink} strokeOpacity={0.45} strokeWidth={1} strokeDasharray="2 4" fill="none" />
      </G>
    ) : null,
  );
}

/** The way on foot, dotted. */
export function WadeLine({ way, at, theme }: { way: readonly PlanPoint[]; at: Plane; theme: Theme }) {
  const d = pathOf(way.map((p) => at.px(p.xM, p.yM)));
  return (
    <G>
      <Path d={d} stroke={theme.flyHalo} strokeWidth={5} fill="none" strokeLinecap="round" />
      <Path d={d} stroke={theme.ink} strokeWidth={2} strokeDasharray="1 6" strokeLinecap="round" fill="none" />
    </G>
  );
}

/** Labels keep this far from each other and from the numbers of lies, px. */
const APART_PX = 30;

interface DepthLabelProps {
  tints: readonly { readonly fromM: number; readonly rings: readonly (readonly (readonly [number, number])[])[] }[];
  /** Places that are taken, px. */
  taken: readonly (readonly [number, number])[];
  at: Plane;
  theme: Theme;
  units: UnitSystem;
}

/** Depths written on their contours, spread down the sheet, where there is room for them. */
export function DepthLabels({ tints, taken, at, theme, units }: DepthLabelProps) {
  const placed: { x: number; y: number; text: string }[] = [];
  const shown = tints.filter((t) => t.fromM >= 0.1);
  shown.forEach((t, k) => {
    const ring = [...t.rings].sort((a, b) => b.length - a.length)[0];
    if (!ring || ring.length < 12) return;
    const want = at.height * (0.3 + (0.45 * k) / Math.max(1, shown.length - 1));
    const [best] = ring
      .map(([x, y]) => at.px(x, y))
      .filter(([x, y]) => x > 40 && x < at.width - 40 && y > 50 && y < at.height - 30)
      .filter(([x, y]) =>
        [...taken, ...placed.map((p) => [p.x, p.y] as const)].every(
          ([px, py]) => Math.hypot(px - x, py - y) > APART_PX,
        ),
      )
      .sort((p, q) => Math.abs(p[1] - want) - Math.abs(q[1] - want));
    if (best)
      placed.push({
        x: best[0],
        y: best[1],
        text: String(Number(formatNumber('depth', t.fromM, units))),
      });
  });
  return (
    <G>
      {placed.map((p) => (
        <G key={p.text}>
          {(['halo', 'ink'] as const).map((layer) => (
            <SvgText
              key={layer}
              x={p.x}
              y={p.y + 4}
              textAnchor="middle"
              fontFamily={FONT}
              fontSize={12}
              fontWeight="700"
              stroke={layer === 'halo' ? theme.flyHalo : undefined}
              strokeWidth={layer === 'halo' ? 3.5 : undefined}
              strokeLinejoin="round"
              fill={layer === 'halo' ? theme.flyHalo : theme.ink2}
            >
              {p.text}
            </SvgText>
          ))}
        </G>
      ))}
    </G>
  );
}
