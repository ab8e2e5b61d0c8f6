import { type ReactNode, type RefObject, useRef } from 'react';
import { View } from 'react-native';
import type { ToldPage } from '@/formats/page';
import { Button, Stack } from '@/ui';
import { download } from './files';

/** Over each of several drawings, and under it. */
export interface Named {
  readonly name: string;
  readonly said: readonly string[];
}

interface Told {
  /** Of the files. */
  name: string;
  csv: () => readonly [columns: readonly string[], rows: readonly object[]];
  /** What a page tells with the drawing, or the drawings; places are left out of it. */
  page: () => Pick<ToldPage, 'title' | 'lines' | 'after'> & { readonly each?: readonly Named[] };
  /** There is no single drawing to be saved by itself: several go together, or none, on the page. */
  pageOnly?: boolean;
}

const SVG = 'http://www.w3.org/2000/svg';

/** Saves what is drawn within a frame as it is drawn, with its numbers, and as a page that tells it. */
export function PictureActions({ frame, name, csv, page, pageOnly = false }: Told & { frame: RefObject<View | null> }) {
  const drawn = (): string[] =>
    [...((frame.current as unknown as HTMLElement | null)?.querySelectorAll('svg') ?? [])].map((svg) => {
      const copy = svg.cloneNode(true) as SVGElement;
      copy.setAttribute('xmlns', SVG);
      return copy.outerHTML;
    });
  const savePicture = () => drawn().forEach((svg) => download(`${name}.svg`, 'image/svg+xml', svg));
  const saveNumbers = async () => {
    const { csvOf } = await import('@/store/parsers');
    download(`${name}.csv`, 'text/csv', csvOf(...csv()));
  };
  const savePage = async () => {
    const { each, ...told } = page();
    const all = drawn().map((svg, i) => ({ name: '', said: [], ...each?.[i], svg }));
    const { toldPage } = await import('@/store/parsers');
    download(`${name}.html`, 'text/html', toldPage({ ...told, drawn: all }));
  };
  return (
    <Stack row wrap>
      {pageOnly ? null : <Button kind="quiet" label="Save picture (SVG)" onPress={savePicture} />}
      <Button kind="quiet" label="Export numbers (CSV)" onPress={() => void saveNumbers()} />
      <Button kind="quiet" label="Save as page" onPress={() => void savePage()} />
    </Stack>
  );
}

/** What is shown, with what saves it below. */
export function Picture({ children, ...told }: Told & { children: ReactNode }) {
  const frame = useRef<View>(null);
  return (
    <View>
      <View ref={frame}>{children}</View>
      <PictureActions frame={frame} {...told} />
    </View>
  );
}
