import type { Piece } from '../log/batchDesign.js';
import { requireProgram } from '../recipes/cookProgram.js';
import { slowSmokeFault } from './slowSmoke.js';
import { FINISH_WAYS, SMOKE_WAYS, usualProgram } from '../recipes/cookPrograms.js';

const ways = SMOKE_WAYS.flatMap((smoke) => FINISH_WAYS.map((finish) => ({ smoke, finish })));

describe('usual programs', () => {
  test.each(ways)('$smoke smoke, finished in $finish, can be kept as it is, and ends at the core', ({ smoke, finish }) => {
    const program = usualProgram({ smoke, finish, targetC: 64 });
    expect(requireProgram(program)).toEqual(program);
    expect(program.at(-1)?.untilCoreC).toBe(64);
  });

  test('a cold smoke stays below 30 °C; a stepped one gets warmer; a bath is hardly hotter than its core', () => {
    expect(usualProgram({ smoke: 'cold', finish: 'oven', targetC: 64 })[0]?.chamberC).toBeLessThan(30);
    const heats = usualProgram({ smoke: 'stepped', finish: 'smoker', targetC: 64 }).map(({ chamberC }) => chamberC);
    expect(heats).toEqual([...heats].sort((a, b) => a - b));
    expect(usualProgram({ smoke: 'low', finish: 'waterBath', targetC: 57 }).at(-1)?.chamberC).toBe(58);
  });

  test('a simmer changes its water once, as the second water begins', () => {
    expect(usualProgram({ smoke: 'low', finish: 'simmer', targetC: 88, smokeH: 2 }).slice(1)).toMatchObject([{ untilMin: 165 }, { first: ['water'] }]);
  });

  test('glaze and wrap go where the core comes to them', () => {
    const marks = [{ act: 'glaze' as const, atCoreC: 54 }];
    expect(usualProgram({ smoke: 'low', finish: 'smoker', targetC: 66, marks }).map((phase) => phase.marks.length)).toEqual([0, 1]);
  });
});

describe('meat without cure', () => {
  const cold = usualProgram({ smoke: 'cold', finish: 'smoker', targetC: 64 });

  const loin: Piece = { code: 'A', greenG: 2600, section: { shape: 'round', diameterMm: 90 }, lengthMm: 400 };
  const ham: Piece = { code: 'A', greenG: 12_000, section: { shape: 'round', diameterMm: 220 }, lengthMm: 340 };
  const belly: Piece = { code: 'A', greenG: 2200, section: { shape: 'slab', thicknessMm: 40 }, lengthMm: 380 };
  test('is not smoked cold; cured meat is', () => {
    expect(slowSmokeFault(cold, false, [loin])?.message).toMatch(/not smoked cold, at 22 °C/);
    expect(slowSmokeFault(cold, true, [loin])).toBeNull();
  });

  test('is not smoked so slowly that its core takes longer than six hours through the warm', () => {
    const slow = usualProgram({ smoke: 'low', finish: 'smoker', targetC: 64, smokeH: 12 });
    expect(slowSmokeFault(slow, false, [ham])?.message).toMatch(/within 6 h: by this program its core takes/);
    expect(slowSmokeFault(slow, true, [ham])).toBeNull();
  });

  test('may be smoked hot, as fresh meat is', () => {
    expect(slowSmokeFault(usualProgram({ smoke: 'hot', finish: 'smoker', targetC: 64 }), false, [loin])).toBeNull();
    expect(slowSmokeFault(usualProgram({ smoke: 'low', finish: 'oven', targetC: 64 }), false, [belly])).toBeNull();
  });
});
