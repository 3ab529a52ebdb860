import { brineFreezesC, temperatureFault } from './temperatureBounds.js';

describe('a temperature that cannot be', () => {
  test.each([
    [130, 'core', {}, 54.4],
    [145, 'core', {}, 62.8],
    [125, 'coolingCore', {}, 51.7],
    [-2.8, 'coolingCore', {}, 27],
    [225, 'chamber', { setC: 107 }, 107.2],
    [-9.4, 'brine', { freezesC: -5 }, 15.1],
    // 4 °C, typed where °F stands: strong pickle is no ice there yet, and a freezer is no refrigerator.
    [-15.6, 'brine', { freezesC: -16 }, 3.9],
    [-15.6, 'cold', {}, 3.9],
    [38, 'rawCore', {}, 3.3],
    [37, 'cold', {}, 2.8],
    [160, 'water', {}, 71.1],
  ] as const)('%d °C as %s is asked about, and the likely reading named', (C, of, situation, likelyC) => {
    const fault = temperatureFault(C, of, situation);
    expect(fault?.likelyC).toBeCloseTo(likelyC, 1);
    expect(fault?.said.message).toMatch(/^−?[\d.]+ °C\? .*Did it show/);
  });

  test.each([
    [63, 'core', { hottestC: 137 }],
    [3, 'coolingCore', {}],
    [26, 'coolingCore', {}],
    [107, 'chamber', { setC: 107 }],
    [150, 'chamber', { setC: 105 }],
    [3, 'brine', { freezesC: -5 }],
    [-1, 'brine', { freezesC: -5 }],
    [-3, 'brine', { freezesC: -9 }],
    [-5, 'cold', {}],
    [3, 'cold', {}],
    [9, 'cold', {}],
    [6, 'rawCore', {}],
    [71, 'water', {}],
  ] as const)('%d °C as %s is a usual day, and passes without a question', (C, of, situation) => expect(temperatureFault(C, of, situation)).toBeNull());

  test('what is merely unlikely is asked about and may be so: a fire far over its program, a core hotter than any fire', () => {
    expect(temperatureFault(180, 'chamber', { setC: 105 })).toMatchObject({ code: 'unlikely' });
    // 57 was read in °C of a bath set to 58 °C, and typed where °F stands; water that is merely cold is not asked about.
    expect(temperatureFault(13.9, 'water', { setC: 58 })).toMatchObject({ code: 'unlikely', likelyC: expect.closeTo(57, 0) as number });
    expect(temperatureFault(30, 'water', { setC: 58 })).toBeNull();
    expect(temperatureFault(13.9, 'water')).toBeNull();
    expect(temperatureFault(90, 'core', { hottestC: 80 })).toMatchObject({
      code: 'unlikely',
      said: { message: expect.stringMatching(/nothing around it/i) as string },
    });
    expect(temperatureFault(130, 'core', { hottestC: 160 })).toMatchObject({ code: 'cannot-be' });
  });

  // CRC Handbook of Chemistry and Physics, freezing point depression of sodium chloride; values from memory.
  test.each([
    [0, 0],
    [5, -3.05],
    [10, -6.56],
    [20, -16.46],
    [23.3, -21.13],
    [26, -21.13],
  ])('brine of %d %% salt begins to freeze at %d °C', (percent, C) => expect(brineFreezesC(percent)).toBeCloseTo(C, 6));
});
