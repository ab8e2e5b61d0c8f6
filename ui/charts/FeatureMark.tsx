import { Circle, Ellipse, G, Path } from 'react-native-svg';
import type { Feature } from '@/core/water';
import type { Theme } from '../theme';
import type { Plane } from './plane';

/** Our own symbols for what stands in a run, drawn to scale where size matters. */
export function FeatureMark({ feature: f, at, theme: t }: { feature: Feature; at: Plane; theme: Theme }) {
  const [x, y] = at.px(f.xM, f.yM);
  const l = (f.lengthM * at.scale) / 2;
  const w = (f.widthM * at.scale) / 2;
  const line = { stroke: t.ink, strokeWidth: 1.5, fill: 'none' as const, strokeLinecap: 'round' as const };
  switch (f.kind) {
    case 'boulder': {
      const r = Math.max(4, w);
      const d = `M${x - r} ${y + 0.3 * r}L${x - 0.6 * r} ${y - 0.7 * r}L${x + 0.2 * r} ${y - r}L${x + 0.9 * r} ${y - 0.3 * r}L${x + 0.8 * r} ${y + 0.6 * r}L${x - 0.3 * r} ${y + 0.9 * r}Z`;
      return <Path d={d} fill={t.bed} stroke={t.ink} strokeWidth={1.2} strokeLinejoin="round" />;
    }
    case 'log':
      return (
        <G>
          <Path d={`M${x - w} ${y - l}L${x + w} ${y + l}`} stroke={t.ink} strokeWidth={5} strokeLinecap="round" />
          <Path d={`M${x - w} ${y - l}L${x + w} ${y + l}`} stroke={t.bed} strokeWidth={2.5} strokeLinecap="round" />
        </G>
      );
    case 'drop-off': {
      // A ledge: a line with teeth that point down it.
      const n = Math.max(3, Math.round(w / 6));
      const teeth = Array.from({ length: n }, (_, i) => {
        const a = x - w + ((i + 0.5) * 2 * w) / n;
        return `M${a - 3} ${y}L${a} ${y + 6}L${a + 3} ${y}`;
      });
      return <Path d={`M${x - w} ${y}L${x + w} ${y}${teeth.join('')}`} {...line} />;
    }
    case 'plunge':
      // Water that falls: strokes that end in a ring.
      return (
        <G>
          {[-0.6, 0, 0.6].map((k) => (
            <Path key={k} d={`M${x + k * w} ${y - 9}v10`} {...line} strokeWidth={2} />
          ))}
          <Ellipse cx={x} cy={y + 6} rx={Math.max(6, w)} ry={4} {...line} />
        </G>
      );
    case 'level step':
      return (
        <Path
          d={`M${x - w} ${y - l}L${x + w} ${y - l}M${x - w} ${y + l}L${x + w} ${y + l}`}
          {...line}
          strokeDasharray="7 3"
        />
      );
    case 'riffle': {
      const waves: string[] = [];
      const step = 16;
      for (let a = y - l + 4; a < y + l; a += step)
        for (let b = x - w + 4 + ((Math.round((a - y) / step) & 1) * step) / 2; b < x + w - 6; b += step)
          waves.push(`M${b.toFixed(0)} ${a.toFixed(0)}q3 -4 6 0`);
      return <Path d={waves.join('')} {...line} strokeWidth={1.2} />;
    }
    case 'cut bank': {
      const ticks: string[] = [];
      for (let a = y - l; a <= y + l; a += 7) ticks.push(`M${x} ${a.toFixed(0)}l${x > at.width / 2 ? -6 : 6} 3`);
      return <Path d={`M${x} ${y - l}L${x} ${y + l}${ticks.join('')}`} {...line} strokeWidth={2} />;
    }
    case 'brush':
    case 'weed': {
      const tufts: string[] = [];
      const step = 11;
      for (let a = y - l + 4; a <= y + l - 2; a += step)
        for (let b = x - w + 3; b <= x + w; b += step)
          tufts.push(`M${b.toFixed(0)} ${a.toFixed(0)}l-3 -6m3 6v-7m0 7l3 -6`);
      return <Path d={tufts.join('')} {...line} strokeWidth={1.2} />;
    }
    case 'eddy':
      return <Path d={`M${x} ${y}m-6 0a6 6 0 1 0 6 -6m0 0l-3 -3m3 3l-3 3`} {...line} />;
    case 'foam line':
      return (
        <Path
          d={`M${x} ${y - l}L${x} ${y + l}`}
          stroke={t.flow}
          strokeWidth={3}
          strokeDasharray="1 6"
          strokeLinecap="round"
        />
      );
    case 'bar':
      return (
        <Ellipse cx={x} cy={y} rx={w} ry={l} fill={t.sand} stroke={t.ink2} strokeWidth={1} strokeDasharray="2 3" />
      );
    case 'redd':
      return (
        <Ellipse
          cx={x}
          cy={y}
          rx={w}
          ry={l}
          fill={t.cautionGround}
          stroke={t.cautionLine}
          strokeWidth={2}
          strokeDasharray="5 3"
        />
      );
    case 'spring':
      return <Circle cx={x} cy={y} r={5} {...line} />;
  }
}
