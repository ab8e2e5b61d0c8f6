import { type ReactNode, useRef } from 'react';
import { View } from 'react-native';
import type { ToldPage } from '@/formats/page';
import { Button, Stack } from '@/ui';
import { download } from './files';

/** Over each of several drawings, and under it. */
export interface Named {
  readonly name: string;
  readonly said: readonly string[];
}

interface Props {
  /** Of the files. */
  name: string;
  csv: () => readonly [columns: readonly string[], rows: readonly object[]];
  /** What a page tells with the drawing, or the drawings; places are left out of it. */
  page: () => Pick<ToldPage, 'title' | 'lines' | 'after'> & { readonly each?: readonly Named[] };
  /** There is no single drawing to be saved by itself: several go together, or none, on the page. */
  pageOnly?: boolean;
  children: ReactNode;
}

const SVG = 'http://www.w3.org/2000/svg';

/** What is shown, to be saved as it is drawn, with its numbers, and as a page that tells it. */
export function Picture({ name, csv, page, pageOnly = false, children }: Props) {
  const frame = useRef<View>(null);
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
    <View>
      <View ref={frame}>{children}</View>
      <Stack row wrap>
        {pageOnly ? null : <Button kind="quiet" label="Save picture (SVG)" onPress={savePicture} />}
        <Button kind="quiet" label="Export numbers (CSV)" onPress={() => void saveNumbers()} />
        <Button kind="quiet" label="Save as page" onPress={() => void savePage()} />
      </Stack>
    </View>
  );
}
