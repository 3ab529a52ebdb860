/** At least and at most so long between two events, minutes; `wish` says whose word it is. Event 0 is the beginning of time. */
export interface Between<W = string> {
  from: number;
  to: number;
  least: number;
  /** Infinity where there is no most */
  most: number;
  wish: W;
}

/** For every event the earliest and latest minute after event 0 that all the others leave it; or the wishes that contradict each other. */
export type Windows<W = string> = { earliest: number[]; latest: number[] } | { conflict: W[] };

interface Edge<W> {
  from: number;
  to: number;
  weight: number;
  wish: W;
}

/**
 * A simple temporal network [P: Dechter, Meiri and Pearl, 1991]: shortest ways give the windows; a round trip shorter than nothing is a
 * contradiction. The wishes along a simple one are irreducible: each of them left out, the others can be had.
 *
 * @param events how many, with event 0
 */
export function propagate<W = string>(events: number, constraints: readonly Between<W>[]): Windows<W> {
  const edges = constraints.flatMap(({ from, to, least, most, wish }): Edge<W>[] => [
    ...(Number.isFinite(most) ? [{ from, to, weight: most, wish }] : []),
    ...(Number.isFinite(least) ? [{ from: to, to: from, weight: -least, wish }] : []),
  ]);
  const forth = shortest(events, edges);
  if ('conflict' in forth) return forth;
  const back = shortest(
    events,
    edges.map(({ from, to, weight, wish }) => ({ from: to, to: from, weight, wish })),
  );
  if ('conflict' in back) return back;
  return { earliest: back.ways.map((way) => 0 - way), latest: forth.ways };
}

/** Shortest ways from event 0; from everywhere first, so that a contradiction far from it is found, too. */
function shortest<W>(events: number, edges: readonly Edge<W>[]): { ways: number[] } | { conflict: W[] } {
  const anywhere = relax(events, edges, new Array<number>(events).fill(0));
  if ('conflict' in anywhere) return anywhere;
  return relax(
    events,
    edges,
    Array.from({ length: events }, (_, event) => (event === 0 ? 0 : Infinity)),
  );
}

/** Bellman and Ford, with the way back kept. */
function relax<W>(events: number, edges: readonly Edge<W>[], ways: number[]): { ways: number[] } | { conflict: W[] } {
  const by = new Array<Edge<W> | undefined>(events).fill(undefined);
  for (let round = 0; round <= events; round += 1) {
    let last: Edge<W> | undefined;
    for (const edge of edges) {
      const far = (ways[edge.from] ?? Infinity) + edge.weight;
      if (far < (ways[edge.to] ?? Infinity) - 1e-9) {
        ways[edge.to] = far;
        by[edge.to] = edge;
        last = edge;
      }
    }
    if (last === undefined) return { ways };
    if (round === events) return { conflict: wishesRound(by, last.to, events) };
  }
  return { ways };
}

/** The wishes along the round trip that a step back from an event leads into. */
function wishesRound<W>(by: readonly (Edge<W> | undefined)[], from: number, events: number): W[] {
  let event = from;
  for (let i = 0; i < events; i += 1) event = by[event]?.from ?? event;
  const wishes: W[] = [];
  const start = event;
  do {
    const edge = by[event];
    if (edge === undefined) break;
    wishes.push(edge.wish);
    event = edge.from;
  } while (event !== start);
  return [...new Set(wishes.reverse())];
}
