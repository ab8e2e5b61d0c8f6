import { useRef, useState } from 'react';
import type { GestureResponderEvent, LayoutChangeEvent } from 'react-native';

/** Where the rows of a list stand, and which is being dragged. */
export function useReorder(count: number, onMove: (from: number, to: number) => void) {
  const places = useRef<{ y: number; height: number }[]>([]);
  const [dragged, setDragged] = useState<{ from: number; byY: number; startY: number } | null>(null);
  /** Over which row the middle of the dragged one stands. */
  const over = (from: number, byY: number): number => {
    const own = places.current[from];
    if (!own) return from;
    const middle = own.y + own.height / 2 + byY;
    const at = places.current.slice(0, count).findIndex((p) => p && middle < p.y + p.height);
    return at < 0 ? count - 1 : at;
  };
  return {
    /** How far a row is dragged from its place, px; null: it is not. */
    byY: (i: number): number | null => (dragged?.from === i ? dragged.byY : null),
    row: (i: number) => ({
      onLayout: (e: LayoutChangeEvent) => {
        const { y, height } = e.nativeEvent.layout;
        places.current[i] = { y, height };
      },
    }),
    /** For the handle of a row. */
    handle: (i: number) => ({
      onStartShouldSetResponder: () => true,
      onMoveShouldSetResponder: () => true,
      onResponderTerminationRequest: () => false,
      onResponderGrant: (e: GestureResponderEvent) => setDragged({ from: i, byY: 0, startY: e.nativeEvent.pageY }),
      onResponderMove: (e: GestureResponderEvent) => {
        const { pageY } = e.nativeEvent;
        setDragged((d) => d && { ...d, byY: pageY - d.startY });
      },
      onResponderRelease: () => {
        if (dragged) {
          const to = over(dragged.from, dragged.byY);
          if (to !== dragged.from) onMove(dragged.from, to);
        }
        setDragged(null);
      },
      onResponderTerminate: () => setDragged(null),
    }),
  };
}
