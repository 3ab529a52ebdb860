import { useEffect, useRef, type PointerEvent, type RefObject } from 'react';
import type { View } from './useView';

/** The picture's ground is dragged to other days; the wheel with Ctrl goes nearer and further. */
export function usePanning(svg: RefObject<SVGSVGElement | null>, view: View, dayPx: number) {
  const { pan, zoom } = view;
  const grip = useRef<number | null>(null);
  useEffect(() => {
    const picture = svg.current;
    if (picture === null) return undefined;
    const onWheel = (event: WheelEvent) => {
      if (!event.ctrlKey && !event.metaKey) return;
      event.preventDefault();
      if (Math.abs(event.deltaY) > 1) zoom(event.deltaY > 0 ? 1 : -1);
    };
    picture.addEventListener('wheel', onWheel, { passive: false });
    return () => picture.removeEventListener('wheel', onWheel);
  }, [svg, zoom]);
  return {
    onPointerDown: (event: PointerEvent<SVGSVGElement>) => {
      if (event.button !== 0 || (event.target as Element).closest('a, [role="slider"]') !== null) return;
      grip.current = event.clientX;
      event.currentTarget.setPointerCapture(event.pointerId);
    },
    onPointerMove: (event: PointerEvent<SVGSVGElement>) => {
      if (grip.current === null) return;
      const days = Math.trunc((grip.current - event.clientX) / dayPx);
      if (days === 0) return;
      grip.current -= days * dayPx;
      pan(days);
    },
    onPointerUp: () => {
      grip.current = null;
    },
  };
}
