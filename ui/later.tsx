import { type ComponentType, type ReactNode, useLayoutEffect, useState } from 'react';

/** Loads the code of one part or of several: what parts that come by themselves have in common would be loaded with the first screen. */
export type Door<All> = () => Promise<All>;

const behind = new Map<Door<unknown>, unknown>();

/** What is behind a door, if it has come. */
export const come = <All,>(door: Door<All>): All | undefined => behind.get(door) as All | undefined;

/** Lets it come. Rejects as the door does, which is tried again the next time. */
export async function fetched<All>(door: Door<All>): Promise<All> {
  const all = await door();
  behind.set(door, all);
  return all;
}

/** What is behind a door once it has come, or why it does not; asked for while it is shown. */
export function useLater<All>(door: Door<All>): { readonly all?: All; readonly failed?: { readonly error: unknown } } {
  const [all, setAll] = useState(() => come(door));
  const [failed, setFailed] = useState<{ readonly error: unknown }>();
  const wanted = all === undefined;
  useLayoutEffect(() => {
    if (!wanted) return;
    let shown = true;
    fetched(door).then(
      (found) => shown && setAll(() => found),
      (error: unknown) => shown && setFailed({ error }),
    );
    return () => {
      shown = false;
    };
  }, [door, wanted]);
  return { all, failed };
}

/**
 * A part whose code comes when it is first shown; where it does not, that is thrown at the place where it is shown. `React.lazy`
 * would do, but React holds what that brings back until 300 ms after it last showed a fallback (`FALLBACK_THROTTLE_MS` of
 * react-dom), for one part behind another.
 *
 * @param meanwhile what keeps its place until then
 */
export function later<All, Props extends object>(
  door: Door<All>,
  pick: (all: All) => ComponentType<Props>,
  meanwhile: (props: Props) => ReactNode = () => null,
): ComponentType<Props> {
  return function LaterPart(props: Props) {
    const { all, failed } = useLater(door);
    if (failed) throw failed.error;
    if (all === undefined) return meanwhile(props);
    const Part = pick(all);
    return <Part {...props} />;
  };
}
