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

/** Props that make an element draggable by mouse, pen and finger; spread them on it, with the style DRAGGED. Keyboard use is the element's own. */
export function useDrag(onMove: (p: DragPoint) => void, onStart?: (p: DragPoint) => void, onEnd?: () => void): object {
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
        (onStart ?? onMove)(place(e));
      },
      onPointerMove(e: PointerLike) {
        if (e.buttons > 0) onMove(place(e));
      },
      onPointerUp: () => onEnd?.(),
    };
  }, [onMove, onStart, onEnd]);
}
