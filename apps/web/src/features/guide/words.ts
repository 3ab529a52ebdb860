/** What the Guide says, in the words of the trade. */
export const GUIDE: { cautions: readonly string[]; terms: readonly (readonly [string, string])[] } = {
  cautions: [
    'Nitrite is poisonous in gram amounts. Weigh it on a fine scale, label it, lock it away.',
    'Too much harms now, too little harms later: a piece under the floor looks cured and is not protected.',
    'Keep meat and brine at {1 C} to {4.44 C} until they go to the smoke.',
    'Time and temperature are checked with a thermometer, never by the clock alone.',
    'Old brine is never used for a new cure. It goes down the drain with plenty of water.',
    'This tool computes. Your local food code, your inspector and the label of your cure decide.',
    'Selling needs a licence and, in most places, a written food-safety plan.',
  ],
  terms: [
    ['Recipe', 'How the house makes something, in versions. A batch keeps the version that it was made by, whatever is changed later.'],
    ['Lot', 'A delivery with its number and its date. Batches write down from which lot they took: a recall asks for it.'],
    ['Deviation', 'Something that was not as it should be, with what was decided and by whom. It stands in the batch record.'],
    ['Yield', 'Packed weight as % of green weight. Of a piece that was cut, of its own part.'],
    ['Part', 'A piece that was cut in two and goes its own way: a batch of its own, whose log begins with that of the whole.'],
    ['Green weight', 'The fresh piece before the needle and the brine.'],
    ['Pump', 'Brine put into the meat by needle, as % of green weight: (after - before) ÷ green.'],
    ['Cover brine', 'The brine that a piece lies in.'],
    ['Pull', 'To lift the piece out at the end of the cure.'],
    [
      'The section',
      'A modelled cut face: salt and nitrite wander in from brine and needle at a pace that depends on thickness and cold. It is no measurement: cut, look and smell decide.',
    ],
    ['Pellicle', 'The tacky, dull skin that takes the smoke.'],
    ['Pick-up', 'What a covered piece gains in weight by the day it is pulled. Inspectors take 10 % of green weight until it is weighed.'],
    ['Percent salt', 'Of the water, of the brine, or of meat and water: three numbers for one bucket. Ask which is meant before arguing about it.'],
    [
      'Hydrometer',
      'It feels density, not salt. Sugar lifts it, a warm sample sinks it: a percent of sugar reads like half a percent of salt. The Bench takes both out and says how far off the scale alone is.',
    ],
    [
      'Doubt',
      'Half a scale’s step, or what a spoon may hold. It is carried through to salt and ppm and drawn as a whisker; where it crosses a limit, weigh the cure.',
    ],
    ['Salometer', 'Degrees of brine strength: 100 ° is saturated, {26.4 percent1} salt by weight at {15.56 C1}.'],
    ['Ingoing ppm', 'Milligrams of sodium nitrite per kilogram that go in. What is left later is less, and is not computed here.'],
    [
      'Chill gates',
      'Two temperatures that the cooling core must pass in time: {54.44 C} to {26.67 C} within 5 h and to {7.22 C} within 10 h more for a piece that is cured to its middle with 100 ppm and above; shorter for others (FSIS Appendix B, value from memory). Three readings show it: as it comes off, near the first limit, and at the second. What nobody read is not shown.',
    ],
  ],
};
