/** What a fried slice says. */
export const TASTED = {
  kind: 'choice',
  name: 'taste',
  label: 'Fry test',
  options: [
    { value: 'bland', label: 'Bland' },
    { value: 'right', label: 'Right' },
    { value: 'salty', label: 'Salty' },
    { value: 'too-salty', label: 'Too salty' },
  ],
} as const;
