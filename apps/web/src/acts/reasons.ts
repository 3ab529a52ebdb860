/** Why, as it is usual in a cook-house: common practice. */
export const REASONS = {
  skipped: [
    'Tasted right',
    'There sooner',
    'Wet on purpose',
    'Nobody was here',
    'Done together with another step',
    'Not needed for this piece',
    'Tool not at hand',
  ],
  ended: ['Smells off', 'Too warm for too long', 'Too much cure', 'Power was out'],
  withdrawn: ['Wrong batch', 'Logged twice', 'It was not done'],
  corrected: ['Misread', 'Wrong unit', 'Wrong piece', 'A figure too many'],
  unread: ['No thermometer at hand', 'No scale at hand', 'Judged by hand and eye', 'Nobody was here', 'Not tasted'],
  nextTime: ['Soak an hour', 'Less salt', 'More salt', 'Longer in the smoke', 'Less smoke', 'Off the fire sooner', 'Longer on the fire', 'The same again'],
  early: ['It feels firm and even', 'Needed for the table', 'Thinner than planned'],
} as const satisfies Record<string, readonly string[]>;
