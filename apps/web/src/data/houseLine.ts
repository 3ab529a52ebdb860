/** What stands behind the screens: the server of the house, or what plays it. Nothing else in this app speaks to a network. */
export interface HouseLine {
  /** Asks one thing, or tells it. Rejects where no answer comes. */
  ask: (path: string, init?: RequestInit) => Promise<Response>;
  /** Hears what is told without being asked, by its kind; answers how to stop. */
  hear: (path: string, told: Readonly<Record<string, (said: unknown) => void>>) => () => void;
}

const server: HouseLine = {
  ask: (path, init = {}) => fetch(path, init),
  hear: (path, told) => {
    const source = new EventSource(path);
    for (const [kind, hear] of Object.entries(told)) source.addEventListener(kind, (event) => hear(JSON.parse((event as MessageEvent<string>).data)));
    return () => source.close();
  },
};

let line = server;

/** The house as the screens reach it now. */
export const houseLine = (): HouseLine => line;

/** Puts another in its place; answers how to put back what was there. */
export function speakTo(other: HouseLine): () => void {
  const before = line;
  line = other;
  return () => void (line = before);
}
