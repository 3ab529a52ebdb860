import { meanAt } from './ScatterChart';

const points = [1, 2, 3, 4, 100].map((y, x) => ({ x, y }));

describe('the line through a scatter', () => {
  test('is the mean of a point and its neighbours', () => {
    expect(meanAt(points, 2, 3)).toEqual({ x: 2, y: 3 });
  });

  test('takes as many at the ends, from inside', () => {
    expect(meanAt(points, 0, 3)).toEqual({ x: 0, y: 2 });
    expect(meanAt(points, 4, 3).y).toBeCloseTo((3 + 4 + 100) / 3, 9);
  });
});
