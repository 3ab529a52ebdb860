import { alarmKeySaid } from './alarmSaid.js';

test('an alarm of the log is called as it rang, with its piece; what is none stands as it was written', () => {
  expect(alarmKeySaid('come-up:A').message).toBe('Too long to warm up, piece A');
  expect(alarmKeySaid('drift:chamber').message).toBe('Chamber beside its program');
  expect(alarmKeySaid('of-piece:A')).toMatchObject({ code: 'as-written', message: 'of-piece:A' });
  expect(alarmKeySaid('')).toMatchObject({ code: 'as-written' });
});
