import fc from 'fast-check';
import type { Piece } from '../log/batchDesign.js';
import { PLANNED_PRODUCTS } from '../recipes/processes.js';
import { usualDesign } from '../recipes/usualDesign.js';
import { sizeFindings } from './sizeFindings.js';

const START = '2026-10-05T07:00:00.000Z';
const ofPiece = (piece: Omit<Piece, 'code'>) => sizeFindings([{ ...piece, code: 'A' }], { A: piece.greenG });
const ham = { greenG: 7400, section: { shape: 'round', diameterMm: 180 }, lengthMm: 320 } as const;
const POUND_G = 453.59237;

test.each(PLANNED_PRODUCTS)('the usual piece of %s can be of its weight', (product) => {
  const { pieces } = usualDesign(product, START);
  expect(sizeFindings(pieces, Object.fromEntries(pieces.map(({ code, greenG }) => [code, greenG])))).toEqual([]);
});

test('a ham of 15.4 pounds, its 7 typed where pounds stand: a cylinder of 180 by 320 mm is 8143 mL, 8550 g', () => {
  const [finding] = ofPiece({ ...ham, greenG: 7 * POUND_G });
  expect(finding).toMatchObject({ level: 'warn', code: 'size-body' });
  expect(finding?.args.bodyG).toBeCloseTo(8550, -1);
  expect(finding?.message).toContain('180 mm across and 320 mm long weighs about 8550 g, not 3175 g');
});

test('pounds typed where kilograms stand, and a diameter in inches typed as centimetres', () => {
  expect(ofPiece({ ...ham, greenG: 16_300 })).toHaveLength(1);
  expect(ofPiece({ ...ham, section: { shape: 'round', diameterMm: 71 } })).toHaveLength(1);
});

test('a belly that would have to be wider than it is long, and one narrower than it is thick', () => {
  // 9000 / 1.05 / (4 × 38) = 56 cm
  const [wide] = ofPiece({ greenG: 9000, section: { shape: 'slab', thicknessMm: 40 }, lengthMm: 380 });
  expect(wide).toMatchObject({ code: 'size-flat' });
  expect(wide?.args.wideMm).toBeCloseTo(564, 0);
  expect(ofPiece({ greenG: 400, section: { shape: 'slab', thicknessMm: 40 }, lengthMm: 380 })).toHaveLength(1);
  expect(ofPiece({ greenG: 2400, section: { shape: 'slab', thicknessMm: 40 }, lengthMm: 380 })).toEqual([]);
});

test('what is true in every unit: weight and sizes that grow together are judged alike', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.3, max: 2.5, noNaN: true }), fc.double({ min: 0.2, max: 3, noNaN: true }), (scale, off) => {
      const asMeasured = ofPiece({ ...ham, greenG: ham.greenG * off });
      const scaled = ofPiece({
        greenG: ham.greenG * off * scale ** 3,
        section: { shape: 'round', diameterMm: 180 * scale },
        lengthMm: 320 * scale,
      });
      expect(scaled.length).toBe(asMeasured.length);
    }),
  );
});
