import { HOUR_MS } from '@bunkhouse/core';
import type { ScaleTime } from 'd3-scale';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';

export const QUARTER_MS = 900_000;
const STEPS: Readonly<Record<string, number>> = { ArrowLeft: -1, ArrowRight: 1, PageUp: 24, PageDown: -24 };

export interface Lifted {
  /** ms; where it is held, null where it lies */
  to: number | null;
  handlers: {
    onPointerDown: (event: PointerEvent<SVGGElement>) => void;
    onPointerMove: (event: PointerEvent<SVGGElement>) => void;
    onPointerUp: (event: PointerEvent<SVGGElement>) => void;
    onKeyDown: (event: KeyboardEvent<SVGGElement>) => void;
  };
}

/** Something at a time that is dragged, or moved with the arrow keys and set down with Enter; Escape lets it go. */
export function useLifted(at: number, x: ScaleTime<number, number>, onSetDown: (to: number) => void): Lifted {
  const [to, setTo] = useState<number | null>(null);
  const grip = useRef(0);
  const setDown = () => {
    if (to === null) return;
    setTo(null);
    if (Math.abs(to - at) >= QUARTER_MS) onSetDown(to);
  };
  return {
    to,
    handlers: {
      onPointerDown: (event) => {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        grip.current = event.clientX - x(at);
      },
      onPointerMove: (event) => {
        if (event.buttons === 1 && event.currentTarget.hasPointerCapture(event.pointerId)) setTo(x.invert(event.clientX - grip.current).getTime());
      },
      onPointerUp: setDown,
      onKeyDown: (event) => {
        const hours = STEPS[event.key];
        if (hours !== undefined) {
          event.preventDefault();
          setTo((to ?? at) + hours * HOUR_MS);
        } else if (event.key === 'Enter') setDown();
        else if (event.key === 'Escape') setTo(null);
      },
    },
  };
}
