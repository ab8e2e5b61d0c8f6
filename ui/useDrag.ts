import { useMemo, useRef } from 'react';

/** Where the pointer is within the element, as shares of its width and height (0 to 1, beyond when outside). */
export interface DragPoint {
  readonly x: number;
  readonly y: number;
}

/** Style of a thing that is dragged. */
export const DRAGGED = { touchAction: 'none', cursor: 'pointer' } as object;
/** Style of a picture that is only a first look. */
export const PALE = { opacity: 0.55 };

interface PointerLike {
  readonly pointerId: number;
  readonly buttons: number;
  readonly clientX: number;
  readonly clientY: number;
  readonly currentTarget: {
    setPointerCapture(id: number): void;
    getBoundingClientRect(): { left: number; top: number; width: number; height: number };
  };
}

/** Two fingers have moved: how many times as far apart they are as before, and the middle between them, before and now. */
export type OnPinch = (times: number, before: DragPoint, now: DragPoint) => void;

/** Props that make an element draggable by mouse, pen and finger; spread them on it, with the style DRAGGED. Keyboard use is the element's
 * own. With `onPinch` a second finger pinches instead, until both are lifted. */
export function useDrag(
  onMove: (p: DragPoint) => void,
  onStart?: (p: DragPoint) => void,
  onEnd?: () => void,
  onPinch?: OnPinch,
): object {
  const fingers = useRef(new Map<number, DragPoint>());
  const pinched = useRef(false);
  const box = useRef({ left: 0, top: 0, width: 0, height: 0 });
  return useMemo(() => {
    const place = (e: PointerLike): DragPoint => {
      const { left, top, width, height } = box.current;
      return { x: (e.clientX - left) / (width || 1), y: (e.clientY - top) / (height || 1) };
    };
    return {
      onPointerDown(e: PointerLike) {
        e.currentTarget.setPointerCapture(e.pointerId);
        // Measured when the finger comes down: to ask at every move would make the browser lay out the page each time.
        box.current = e.currentTarget.getBoundingClientRect();
        fingers.current.set(e.pointerId, place(e));
        if (fingers.current.size === 1) pinched.current = false;
        if (onPinch && fingers.current.size > 1) pinched.current = true;
        else (onStart ?? onMove)(place(e));
      },
      onPointerMove(e: PointerLike) {
        if (e.buttons === 0) return;
        if (!pinched.current) return onMove(place(e));
        const was = [...fingers.current.values()];
        fingers.current.set(e.pointerId, place(e));
        const is = [...fingers.current.values()];
        if (is.length > 1)
          onPinch?.(apart(is, box.current) / Math.max(1, apart(was, box.current)), middle(was), middle(is));
      },
      onPointerUp(e: PointerLike) {
        fingers.current.delete(e.pointerId);
        if (!pinched.current) onEnd?.();
      },
      onPointerCancel(e: PointerLike) {
        fingers.current.delete(e.pointerId);
      },
    };
  }, [onMove, onStart, onEnd, onPinch]);
}

/** How far apart the first two fingers are, px; the middle between them. */
const apart = ([a, b]: readonly DragPoint[], { width, height }: { width: number; height: number }): number =>
  Math.hypot((a!.x - b!.x) * width, (a!.y - b!.y) * height);
const middle = ([a, b]: readonly DragPoint[]): DragPoint => ({ x: (a!.x + b!.x) / 2, y: (a!.y + b!.y) / 2 });
