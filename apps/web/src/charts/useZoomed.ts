import { select } from 'd3-selection';
import { zoom, zoomIdentity, type ZoomBehavior, type ZoomTransform } from 'd3-zoom';
import { useEffect, useRef, useState, type RefObject } from 'react';

const NEAREST = 32;

/** A chart that is looked at from nearer: two fingers, the wheel with Ctrl, and dragging along once it is near. */
export function useZoomed(): {
  plot: RefObject<HTMLDivElement | null>;
  transform: ZoomTransform;
  /** so many times nearer, about a place in the plot, px */
  nearer: (times: number, about: number) => void;
  whole: () => void;
  isNear: boolean;
} {
  const plot = useRef<HTMLDivElement>(null);
  const behavior = useRef<ZoomBehavior<HTMLDivElement, unknown> | null>(null);
  const [transform, setTransform] = useState<ZoomTransform>(zoomIdentity);
  useEffect(() => {
    const element = plot.current;
    if (element === null) return undefined;
    const room = () => [[0, 0] as [number, number], [element.clientWidth, element.clientHeight] as [number, number]] as [[number, number], [number, number]];
    let k = 1;
    const own = zoom<HTMLDivElement, unknown>()
      .scaleExtent([1, NEAREST])
      .extent(room)
      // The page is scrolled with one finger and the plain wheel, over a chart too.
      .filter((event: Event) =>
        event instanceof WheelEvent ? event.ctrlKey : 'touches' in event ? (event as TouchEvent).touches.length > 1 : k > 1 && event.type === 'mousedown',
      )
      .on('zoom', ({ transform: next }: { transform: ZoomTransform }) => {
        k = next.k;
        setTransform(next);
      });
    behavior.current = own;
    const selected = select(element);
    const bound = () => own.translateExtent(room());
    const observer = new ResizeObserver(() => {
      bound();
      own.transform(selected, zoomIdentity);
    });
    bound();
    selected.call(own).on('dblclick.zoom', null);
    observer.observe(element);
    return () => {
      observer.disconnect();
      selected.on('.zoom', null);
    };
  }, []);
  const change = (work: (own: ZoomBehavior<HTMLDivElement, unknown>, of: HTMLDivElement) => void) => {
    if (behavior.current !== null && plot.current !== null) work(behavior.current, plot.current);
  };
  return {
    plot,
    transform,
    nearer: (times, about) => change((own, of) => own.scaleBy(select(of), times, [about, 0])),
    whole: () => change((own, of) => own.transform(select(of), zoomIdentity)),
    isNear: transform.k > 1,
  };
}
