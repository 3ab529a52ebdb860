import type { DesignChanges } from '../log/designChanges.js';
import { ownReason, planSaid } from './planSaid.js';

const STEPS = [{ spec: { id: 'pull', title: 'Pull' } }, { spec: { id: 'turn-3', title: 'Turn 3' } }] as const;
const at = '2026-11-28T16:00:00Z';

test.each<[DesignChanges, string]>([
  [{ cureDays: 1 }, '1 day of cure'],
  [{ coldC: 2.5 }, 'refrigerator at 2.5 °C'],
  [{ soakMin: 50 }, '50 min of soak'],
  [{ stepAt: { pull: at } }, 'Pull 28 Nov, 16:00'],
  [{ stepAt: { 'turn-3': at } }, 'Turn 3 28 Nov, 16:00'],
  [{ stepAt: { pull: at, 'turn-3': at } }, '2 jobs move'],
  [{ startsAt: at }, 'begins 28 Nov, 16:00'],
  [{ readyBy: at }, 'on the table 28 Nov, 16:00'],
  [{ stores: { smoke: 'small' } }, 'in other stores'],
  [
    {
      program: [
        { name: 'Smoke', chamberC: 86, untilMin: 180, medium: 'smoker', smoke: true, pan: false, repeats: [], marks: [] },
        { name: 'Cook', chamberC: 121, untilCoreC: 66, medium: 'smoker', smoke: false, pan: false, repeats: [], marks: [] },
      ],
    },
    'program: Smoke 86 °C, 3 h; Cook 121 °C to core 66 °C',
  ],
  [{ pumpPercent: 8, cureDays: 6 }, 'a pump of 8 %; 6 days of cure'],
  [{ pickleSaltPercent: 14 }, 'pickle of 14 % salt'],
  [{ saltPercent: 2.75 }, '2.75 % salt'],
  [{ thicknessShare: 0.75 }, 'pieces of 75 % of their thickness'],
  [{ skinOn: true }, 'skin left on'],
  [{ skinOn: false }, 'skin off'],
  [{}, 'otherwise'],
])('a change of plan, %j, is said as %s', (changes, said) => {
  expect(planSaid(changes, STEPS).message).toBe(said);
});

test('what the plan says for itself is no reason of somebody’s; what he wrote is', () => {
  const changes = { cureDays: 9 };
  expect(ownReason({ kind: 'replanned', changes, reason: '9 days of cure' }, STEPS)).toBeUndefined();
  expect(ownReason({ kind: 'replanned', changes, reason: 'Thicker than thought' }, STEPS)).toBe('Thicker than thought');
  const written = { cureDays: 9, stepAt: { pull: at }, stores: { smoke: 'small' } };
  const given = { stores: { smoke: 'small' }, stepAt: { pull: at }, cureDays: 9 };
  expect(ownReason({ kind: 'replanned', changes: given, reason: planSaid(written, STEPS).message }, STEPS)).toBeUndefined();
  expect(ownReason({ kind: 'note', reason: '9 days of cure' }, STEPS)).toBe('9 days of cure');
});
