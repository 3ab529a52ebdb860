/**
 * Something that goes on while anybody watches: begun for the first, ended after the last.
 *
 * @param begin begins it, and answers how to end it
 * @returns watches it, and answers how to stop: what an effect of React is
 */
export function whileWatched(begin: () => () => void): () => () => void {
  let watchers = 0;
  let end: () => void = () => undefined;
  return () => {
    watchers += 1;
    if (watchers === 1) end = begin();
    return () => {
      watchers -= 1;
      if (watchers === 0) end();
    };
  };
}
