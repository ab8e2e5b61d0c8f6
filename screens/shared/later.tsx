import { type ComponentType, lazy, Suspense } from 'react';

/**
 * Parts that several rooms share and that are not needed at first. What two parts that come by themselves have in common would be
 * loaded with the first screen; so each group of them has one door.
 */
const part = <Door, Props extends object>(door: () => Promise<Door>, pick: (all: Door) => ComponentType<Props>) =>
  lazy(() => door().then((m) => ({ default: pick(m) }))) as unknown as ComponentType<Props>;

/** A part that comes by itself, beside or below what is there already. */
function later<Door, Props extends object>(door: () => Promise<Door>, pick: (all: Door) => ComponentType<Props>) {
  const Part = part(door, pick);
  return function LaterPart(props: Props) {
    return (
      <Suspense fallback={null}>
        <Part {...props} />
      </Suspense>
    );
  };
}

const proofs = () => import('./proofs');
/** Comes with the whole screen that holds it: by itself it would push away what the thumb is about to touch. */
export const Rates = part(proofs, (m) => m.Rates);
export const CaughtHere = later(proofs, (m) => m.CaughtHere);

export const ShareSheet = later(
  () => import('./ShareSheet'),
  (m) => m.ShareSheet,
);
