import { useEffect, useRef } from 'react';
import { NavigationType, useLocation, useNavigationType } from 'react-router';

/** How long what was scrolled to may take to come back, ms. */
const PATIENCE_MS = 3000;
const places = new Map<string, number>();

/** A new screen begins at its top; the one that somebody goes back to stands where it was left, as soon as it is long enough again. */
export function useKeptScroll(id: string): void {
  const { key, pathname, hash } = useLocation();
  const isBack = useNavigationType() === NavigationType.Pop;
  const here = useRef(key);
  useEffect(() => {
    here.current = key;
  }, [key]);
  useEffect(() => {
    const main = document.getElementById(id);
    // A place on a page is gone to by the page.
    if (main === null || hash !== '') return undefined;
    const wanted = isBack ? (places.get(here.current) ?? 0) : 0;
    main.scrollTo(0, wanted);
    const keep = () => places.set(here.current, main.scrollTop);
    const settle = () => {
      if (main.scrollTop >= wanted) return stop();
      main.scrollTo(0, wanted);
    };
    const grown = new ResizeObserver(settle);
    const stop = () => {
      grown.disconnect();
      main.addEventListener('scroll', keep);
    };
    const timer = setTimeout(stop, PATIENCE_MS);
    for (const child of main.children) grown.observe(child);
    settle();
    main.addEventListener('pointerdown', stop, { once: true });
    main.addEventListener('wheel', stop, { once: true });
    return () => {
      clearTimeout(timer);
      grown.disconnect();
      for (const name of ['pointerdown', 'wheel']) main.removeEventListener(name, stop);
      main.removeEventListener('scroll', keep);
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- an address that is written while somebody types is no other screen
  }, [id, pathname, hash]);
}
