import { usualRequest } from '@bunkhouse/api';
import { asFitted } from './asFitted';

const loin = usualRequest('canadian-bacon', { id: '3b241101-e2bb-4255-8caf-4136c566a962', by: 'Juno', startsAt: '2026-10-05T07:00:00Z' });

describe('a plan that the house has fitted in', () => {
  test('its days of cure are those between meat in and pull, turns that have no room are gone', () => {
    const stepAt = { 'meat-in': '2026-10-05T12:00:00Z', 'turn-12': '2026-10-17T12:00:00Z', 'turn-13': '2026-10-18T12:00:00Z', pull: '2026-10-18T00:00:00Z' };
    const fitted = asFitted({ ...loin, stepAt });
    expect(fitted.cureDays).toBe(12.5);
    expect(Object.keys(fitted.stepAt ?? {})).toEqual(['meat-in', 'turn-12', 'pull']);
  });

  test('without a pull of its own nothing changes', () => {
    expect(asFitted(loin)).toBe(loin);
    const odd = { ...loin, stepAt: { 'meat-in': '2026-10-05T12:00:00Z', pull: '2026-10-05T13:00:00Z' } };
    expect(asFitted(odd)).toBe(odd);
  });
});
