import { useDndMonitor, useDraggable } from '@dnd-kit/core';
import { HOUR_MS, MINUTE_MS } from '@bunkhouse/core';
import type { ScaleTime } from 'd3-scale';
import type { RefCallback } from 'react';

export const QUARTER_MS = 900_000;

export interface Lifted {
  /** ms; where it is held, null where it lies */
  to: number | null;
  /** what lifts it, for the part of the picture that stands for it */
  grip: object;
  /** for a part of it that stays where it lies: how far it is lifted is counted from there */
  lies: RefCallback<SVGRectElement>;
}

/** Something at a time on the weeks' picture, lifted by pointer or keys (see `Lifting`); `onSetDown` is told the time at which it was let go. */
export function useLifted(id: string, at: number, x: ScaleTime<number, number>, onSetDown: (to: number) => void): Lifted {
  const hourPx = x(at + HOUR_MS) - x(at);
  const { setNodeRef, setActivatorNodeRef, listeners, attributes, transform, isDragging } = useDraggable({ id, data: { hourPx } });
  const after = (px: number) => at + Math.round((px / hourPx) * (HOUR_MS / MINUTE_MS)) * MINUTE_MS;
  useDndMonitor({
    onDragEnd: ({ active, delta }) => {
      const to = after(delta.x);
      if (active.id === id && Math.abs(to - at) >= QUARTER_MS) onSetDown(to);
    },
  });
  return {
    to: isDragging ? after(transform?.x ?? 0) : null,
    lies: (rect) => setNodeRef(rect as unknown as HTMLElement | null),
    grip: { ref: setActivatorNodeRef, ...listeners, tabIndex: 0, role: 'slider', 'aria-describedby': attributes['aria-describedby'] },
  };
}
