/** A question on which cooks disagree, what they answer, and what is proposed here and why. */
export interface Question {
  asks: string;
  answers: string;
  ours: string;
  where: string;
}

export const QUESTIONS_OF_THE_TRADE: readonly Question[] = [
  {
    asks: 'Nitrite or not',
    answers: 'Cure #1; none.',
    ours: 'Cure #1. Without it is fresh salted meat: grey, no slow smoke, days and not weeks.',
    where: 'New batch, Recipe',
  },
  {
    asks: 'Heat the brine',
    answers: 'Half of it, as a concentrate with the spice; or stir it cold for a week.',
    ours: 'Concentrate and ice: safe in an hour, and the spice gives more.',
    where: 'Bench, Hot part and ice',
  },
  {
    asks: 'Pump or wait',
    answers: '7 %, 10 %, 20 %; pricked; not at all.',
    ours: 'Pump above {70 mm}: the middle may spoil before the brine is there.',
    where: 'New batch, Cure',
  },
  { asks: 'Turn', answers: 'Daily; every second day; never, held under.', ours: 'Daily: it is also the daily look at the temperature.', where: 'Today' },
  {
    asks: 'Soak',
    answers: 'Rinse only; 20 to 60 minutes; overnight.',
    ours: 'By a fried slice: the minutes follow from what you say of it.',
    where: 'Batch, Soak',
  },
  { asks: 'Surface', answers: 'Dry to a pellicle; wet takes more smoke.', ours: 'Pellicle: a wet face drips and streaks.', where: 'Recipe, Drying' },
  {
    asks: 'Chamber',
    answers: 'Cold; {65 C}; {82.22 C} to {93.33 C}; {93.33 C} to {107.2 C}; {120 C} to {135 C}; {150 C}.',
    ours: 'By product. Cold only for what is really cured.',
    where: 'Recipe, Program',
  },
  {
    asks: 'Finish',
    answers: 'In the smoker; oven; water bath; simmer with a change of water; steam.',
    ours: 'Smoker. The others are phases of the program.',
    where: 'Recipe, Program',
  },
  { asks: 'Skin and bone', answers: 'On, scored; off; boned and netted.', ours: 'Asked at Prep: it changes the section.', where: 'Batch, Pieces' },
];
