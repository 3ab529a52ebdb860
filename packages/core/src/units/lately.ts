/** A pure function that keeps its last answers, by what it was asked: the log is replayed often, and changes seldom. */
export function lately<A, B>(work: (asked: A) => B, most = 64): (asked: A) => B {
  const kept = new Map<string, B>();
  return (asked) => {
    const key = JSON.stringify(asked);
    const known = kept.get(key);
    if (known !== undefined) {
      // The latest last: the first is the one to go.
      kept.delete(key);
      kept.set(key, known);
      return known;
    }
    const answer = work(asked);
    kept.set(key, answer);
    const [oldest] = kept.keys();
    if (kept.size > most && oldest !== undefined) kept.delete(oldest);
    return answer;
  };
}
