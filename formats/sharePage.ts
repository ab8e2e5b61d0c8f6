import { hoursKnown } from '@/core/logbook';
import { onArc, placeOf } from '@/core/logbook/placed';
import { spotOf } from '@/core/logbook/spots';
import { buildChannel, type Channel, flowLines, TINTS } from '@/core/water';
import { depthTints } from '@/core/water/tints';
import { esc, pageOf } from './page';
import type { Veiled, VeiledOuting, VeiledVisit, VisitMap } from './veil';
import { format, formatLevel, type UnitSystem } from '@/words/units';
import { several } from '@/words/counting';

/** As on the screen by daylight; ink on paper where it is printed. */
const TINT = ['#EAF3EE', '#CFE4DA', '#A9CFC0', '#7FB5A3', '#569483', '#35756A'];
const WIDTH = 640;
const path = (points: readonly (readonly [number, number])[]) =>
  points.map(([x, y], i) => `${i ? 'L' : 'M'}${x.toFixed(1)} ${y.toFixed(1)}`).join('');

/** The fly’s way of a cast: as the engine said, otherwise round the angler from where the line was laid to straight downstream. */
function wayOf(cast: VisitMap['casts'][number], channel: Channel): [number, number][] {
  const fly = cast.did?.flies[0];
  if (fly)
    return [
      [fly[0] / 10, fly[1] / 10],
      [fly[2] / 10, fly[3] / 10],
    ];
  return Array.from({ length: 9 }, (_, i): [number, number] => {
    const { xM, yM } = onArc(cast.plan, channel, i / 8);
    return [xM, yM];
  });
}

/** A run with its casts and takes, flow down the page; nothing where it cannot be rebuilt. */
function mapOf({ run, reading, casts, takes }: VisitMap, name: string): string {
  let channel: Channel;
  try {
    channel = buildChannel(run, reading);
  } catch {
    return '';
  }
  const low = Math.min(...channel.edgeNear) - 2;
  const high = Math.max(...channel.edgeFar) + 2;
  const scale = Math.min(WIDTH / (high - low), (1.4 * WIDTH) / run.lengthM);
  const left = (WIDTH - scale * (high - low)) / 2;
  const px = ([x, y]: readonly [number, number]): [number, number] => [
    left + scale * (run.bank === 'left' ? high - y : y - low),
    scale * x,
  ];
  const shapes = depthTints(channel).map(
    (t) =>
      `<path fill-rule="evenodd" fill="${TINT[TINTS.indexOf(t.fromM as (typeof TINTS)[number])]}" d="${t.rings.map((r) => path(r.map(px)) + 'Z').join('')}"/>`,
  );
  const flow = flowLines(channel, 10).map((l) => path(l.map(px)));
  const ways = casts.map((c) => path(wayOf(c, channel).map(px)));
  const dots = takes.map((t) => {
    const cast = casts.findLast((c) => c.at <= t.at);
    const spot = cast && spotOf(t, cast, null);
    const at = spot ? placeOf(spot, channel) : { xM: t.xM ?? 0, yM: t.yM ?? 0 };
    const [x, y] = px([at.xM, at.yM]);
    return `<circle cx="${x.toFixed(1)}" cy="${y.toFixed(1)}" r="6" fill="#C8371F" stroke="#FAF8F2" stroke-width="2"/>`;
  });
  const label = `${name} from above, flowing down the page: ${casts.length} casts, ${takes.length} takes`;
  return `<svg viewBox="0 0 ${WIDTH} ${Math.round(scale * run.lengthM)}" role="img" aria-label="${esc(label)}">
${shapes.join('\n')}
<path d="${flow.join('')}" fill="none" stroke="#fff" stroke-opacity=".8" stroke-width="1.2"/>
<path d="${ways.join('')}" fill="none" stroke="#16211D" stroke-opacity=".35" stroke-width="1.2"/>
${dots.join('\n')}
</svg>
<p class="small">Flow runs down the page. Thin lines: about where the fly swung; red: takes.</p>`;
}

const day = (at: number) =>
  new Date(at).toLocaleDateString('en-GB', { weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' });
const clock = (at: number) => new Date(at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });

function visitHtml(v: VeiledVisit, units: UnitSystem): string {
  const facts = [
    ...(v.timed ? [`${clock(v.fromAt)} to ${clock(v.toAt)}`] : []),
    v.byHand > 0 ? `about ${several(v.casts, 'cast')}, by hand` : several(v.casts, 'cast'),
    several(v.takes, 'take'),
    `${v.landed} landed`,
    ...(v.levelM === null ? [] : [`level ${formatLevel(v.levelM, units)}`]),
    ...(v.visibilityM === null ? [] : [`visibility ${format('depth', v.visibilityM, units)}`]),
  ];
  return `<h2>${esc(v.run)}</h2><p>${esc(facts.join(' · '))}</p>${v.map ? mapOf(v.map, v.run) : ''}`;
}

function entriesHtml({ entries }: VeiledOuting): string {
  const rows = entries.map(
    (e) =>
      `<tr><td>${e.at === null ? '–' : clock(e.at)}</td><td${e.isTake ? ' class="take"' : ''}>${esc(e.text)}</td></tr>`,
  );
  return rows.length > 0 ? `<h2>Hour by hour</h2><table>${rows.join('\n')}</table>` : '';
}

function outingHtml(o: VeiledOuting, units: UnitSystem): string {
  const t = o.tally;
  return `<h1>${esc(o.water ?? 'An outing')}</h1>
<p>${esc(day(o.startedAt))}${hoursKnown(o.visits) ? `, ${clock(o.startedAt)} to ${clock(o.endedAt)}` : ', hours not known'}</p>
<p>${t.byHand > 0 ? 'About ' : ''}${several(t.casts, 'cast')}, ${several(t.takes, 'take')}, ${t.landed} landed${t.juveniles ? `, ${several(t.juveniles, 'juvenile')}` : ''}.</p>
${o.notes ? `<p>${esc(o.notes).replace(/\n/g, '<br>')}</p>` : ''}
${o.visits.map((v) => visitHtml(v, units)).join('\n')}
${entriesHtml(o)}`;
}

/** Outings as one page to print or to keep: everything is in it, and it asks for nothing from anywhere. */
export function outingsPage(veiled: Veiled, units: UnitSystem): string {
  const title =
    veiled.outings.length === 1 ? day(veiled.outings[0]!.startedAt) : several(veiled.outings.length, 'outing');
  return pageOf(title, veiled.outings.map((o) => outingHtml(o, units)).join('\n'));
}
