/** A reading as the open door takes it. */
export interface PostedReading {
  channel: number;
  at: string;
  C: number;
}

/** Where and as whom a device posts. */
export interface Door {
  /** `http://127.0.0.1:4180` */
  url: string;
  token: string;
}

/** The readings of a moment as they are posted; what dropped out is not there. */
export const posted = (readings: readonly { s: number; C: (number | null)[] }[], startMs: number): PostedReading[] =>
  readings.flatMap(({ s, C }) =>
    C.flatMap((value, i) => (value === null ? [] : [{ channel: i + 1, at: new Date(startMs + s * 1000).toISOString(), C: value }])),
  );

/** Hands readings in. A house that does not answer gets them with the next ones: answers what is still to be sent. */
export async function handIn(door: Door, readings: readonly PostedReading[]): Promise<PostedReading[]> {
  if (readings.length === 0) return [];
  const answer = await fetch(`${door.url}/api/readings`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', authorization: `Bearer ${door.token}` },
    body: JSON.stringify({ readings }),
  }).catch(() => null);
  // Readings that were refused stay refused; a house that is busy or away is asked again.
  return answer === null || answer.status === 429 || answer.status >= 500 ? [...readings] : [];
}
