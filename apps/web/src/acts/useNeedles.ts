import { useTools } from '../data/tools';
import type { OwnNeedle } from '../charts/PumpPanel';

/** The needles of the house. */
export function useNeedles(): OwnNeedle[] {
  const { data: tools = [] } = useTools();
  return tools.flatMap(({ name, size, putAway }) => (size.kind === 'needle' && !putAway ? [{ name, lengthMm: size.lengthMm, holes: size.holes }] : []));
}
