import type { BatchRequest } from '@bunkhouse/api';

/** A batch that is begun, before anybody stood at the scale: no weight or size is written down for the cook, and no water that follows from one. */
export function unweighed({ waterG: _water, pieces, ...request }: BatchRequest): BatchRequest {
  return { ...request, pieces: pieces.map(({ greenG: _weight, thicknessMm: _thickness, lengthMm: _length, ...piece }) => piece) } as BatchRequest;
}
