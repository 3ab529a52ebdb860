const FIRST_MS = 500;
const MOST_MS = 60_000;
/** What ran so long died of something new, ms. */
const CALM_MS = 120_000;

/** How long to wait before something that died is started again: twice as long each time, a minute at the most; from the beginning after a calm. */
export function growingPause(now = () => Date.now()) {
  let next = FIRST_MS;
  let lastAt = -Infinity;
  return () => {
    const at = now();
    if (at - lastAt > CALM_MS) next = FIRST_MS;
    lastAt = at;
    const pause = next;
    next = Math.min(MOST_MS, next * 2);
    return pause;
  };
}
