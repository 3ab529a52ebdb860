import { useLayoutEffect, useRef, useState, type RefObject } from 'react';

/** The width that a picture has on the screen, px: its words are then drawn at their true size, on a phone too. */
export function useWidth<T extends Element>(before: number): [RefObject<T | null>, number] {
  const ref = useRef<T>(null);
  const [width, setWidth] = useState(before);
  // Known before it is painted: nothing stands over the side meanwhile.
  useLayoutEffect(() => {
    const element = ref.current;
    if (element === null) return undefined;
    const now = Math.round(element.getBoundingClientRect().width);
    if (now > 0) setWidth(now);
    const observer = new ResizeObserver(([entry]) => {
      const seen = Math.round(entry?.contentRect.width ?? 0);
      if (seen > 0) setWidth(seen);
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [ref, width];
}
