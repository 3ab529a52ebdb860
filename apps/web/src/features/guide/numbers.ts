import type { GuidePlace } from '../../reader/words/guidePlaces';

/** A paragraph about where a number comes from. */
export interface Paragraph {
  place: GuidePlace;
  title: string;
  says: readonly string[];
  source: string;
}

const MEMORY = 'value from memory: check your own code';

/** Where each number in the program comes from, in the order of the work. */
export const NUMBERS: readonly Paragraph[] = [
  {
    place: 'strength',
    title: 'Strength of a brine',
    says: [
      'Salt ÷ everything in the brine, with the salt of the cure. "% of the water" and "% of meat and water" are other numbers for the same bucket: the Bench shows all three.',
      'A salometer has 100° where no more salt dissolves: {26.4 percent1} by weight at {15.56 C1}.',
    ],
    source: 'salometer tables for sodium chloride brine, value from memory; density from handbook tables of chemistry',
  },
  {
    place: 'salt-even',
    title: 'Salt when even',
    says: [
      'All the salt that went in ÷ (green weight + all water that stays). Left long enough, meat and brine come to it, and no further: an even cure cannot become too salty.',
      'Under {1.5 percent1} tastes bland, {2 percent1} to {2.5 percent1} is usual, over {3 percent1} is salty.',
    ],
    source: 'mass balance; the words of taste are common practice',
  },
  {
    place: 'nitrite-pumped',
    title: 'Nitrite, pumped',
    says: ['The nitrite’s share of the pickle × pump %. A brine with {19.2 gPerKg} of cure #1, pumped 10 %, gives 120 ppm.'],
    source: `USDA FSIS Processing Inspectors’ Calculations Handbook; ${MEMORY}`,
  },
  {
    place: 'nitrite-pick-up',
    title: 'Nitrite, by pick-up',
    says: [
      'For a piece that is pulled before it is even: the nitrite’s share of the brine × what the piece gained in weight. Until it is weighed, 10 % of green weight is taken.',
      'It is the least that the piece may have. The same bucket may be far over the limit if the piece stays in it: 62 ppm by pick-up can be 333 if left until even.',
    ],
    source: `USDA FSIS Processing Inspectors’ Calculations Handbook; ${MEMORY}`,
  },
  {
    place: 'nitrite-even',
    title: 'Nitrite, if left until even',
    says: ['All the nitrite ÷ (green weight + brine). A bag with its own juice counts as a brine: what stays in the bag is part of it.'],
    source: `USDA FSIS Processing Inspectors’ Calculations Handbook; ${MEMORY}`,
  },
  {
    place: 'nitrite-dry',
    title: 'Nitrite, rubbed on',
    says: ['All the nitrite ÷ green weight: nothing is left behind in a tub.'],
    source: `USDA FSIS Processing Inspectors’ Calculations Handbook; ${MEMORY}`,
  },
  {
    place: 'judged',
    title: 'Which figure is held against the limit',
    says: [
      'An even cure or a bag: if left until even. Pumped only: pumped. Pumped and covered: the larger of the two. A strong pickle by the clock: pick-up, with the section’s mean at the day of the pull beside it.',
      'Too much harms now. Too little looks cured and is not: the floor is a limit, too.',
    ],
    source: '9 CFR 424.21(c) and 424.22(b) and the rule sets above, value from memory; which one applies is our reading',
  },
  {
    place: 'pump',
    title: 'Pump',
    says: [
      '(Weight after − before) ÷ green weight, after a few minutes’ drain. The syringe counts strokes; only the scale knows what stayed in.',
      'Sites in a grid of {20 mm} to {30 mm}, from both sides above {50 mm}, the bone first: there it spoils first.',
    ],
    source: 'common practice',
  },
  {
    place: 'doubt',
    title: 'Doubt',
    says: [
      'A scale leaves half its step on each weighing: where the step is a quarter of the cure, that is an eighth. The doubt goes through every formula and is drawn as a whisker.',
    ],
    source: 'interval arithmetic: a figure lies inside its range for sure',
  },
  {
    place: 'ice',
    title: 'Hot part, cold water, ice',
    says: [
      'What the hot part and the water must lose, the ice takes up: as much to melt as warms water by {80 K} on the way. Ice is water and counts as such in the recipe.',
    ],
    source: 'heat balance, any physics text; no loss to bucket and air',
  },
  {
    place: 'cover',
    title: 'Enough to cover',
    says: ['Floor of the tub × level − what the pieces push away: lean meat {1.05 n2} times as heavy as water, belly {0.95 n2}, with its bone {1.07 n2}.'],
    source: 'densities are a choice of ours, from food tables',
  },
  {
    place: 'hold-down',
    title: 'Weight to hold it under',
    says: ['Volume × (density of brine − of meat), and a third more. A jar of water weighs nothing in brine: take a stone, or turn the piece daily.'],
    source: 'Archimedes; the third more is a choice',
  },
  {
    place: 'hydrometer',
    title: 'Hydrometer',
    says: [
      'It feels density. A percent of sugar reads like half a percent of salt, a warm sample reads low: both are taken out, to ± {0.2 percent1} salt.',
      'Held in plain water at its own temperature it should read nothing. What it shows there is taken off everything that it reads later.',
    ],
    source: 'density tables of salt and sucrose in water, Kell’s density of water; value from memory',
  },
  {
    place: 'thermometer',
    title: 'Thermometer',
    says: [
      'Crushed ice with water between is at {0 C}; water at a rolling boil at {100 C} by the sea, {1 K} less for each 300 m. One point moves everything that is read, two also turn it.',
      'A probe that is more than {3 K} off is put away, not corrected. A check holds from its hour on; what was read before stays.',
      'Ask again after a month, after a fall, and before the first cook of a season.',
    ],
    source:
      'ice and boiling point: any physics text; height by the standard atmosphere (ISO 2533) and the Antoine equation, value from memory; how often is common practice',
  },
  {
    place: 'section',
    title: 'The section',
    says: [
      'A modelled cut face. Salt and nitrite wander from brine and needle; how fast depends on thickness and cold, not on weight. Fat lets a tenth through, bone and skin nothing.',
      'It is no measurement. Cut the first piece of a new recipe, look and smell: one colour to the middle, firm, fresh.',
    ],
    source:
      'Fick’s law with 3 × 10⁻¹⁰ m²/s at {3 C}, range 2 to 5, or what your own cut faces have taught; checked against Crank, The Mathematics of Diffusion',
  },
  {
    place: 'pull',
    title: 'Days of cure',
    says: [
      'Coloured to the middle from 15 ppm nitrite, even when the middle has nine tenths of the mean. Rules of thumb (a pound a day, a week, three days for each {1 kg}) disagree because they leave out thickness, strength, cold and the needle: they stand beside the model.',
    ],
    source: 'the model above; days by product are common practice',
  },
  {
    place: 'soak',
    title: 'Soak',
    says: [
      'Fresh water draws from the rim first. The minutes are those until a slice of {4 mm} from the edge is at the salt that you like; a fried slice decides.',
    ],
    source: 'the model above; the slice is a choice of ours',
  },
  {
    place: 'learnt',
    title: 'What the house has learnt',
    says: [
      'Each cut face and each fried slice moves the model a little, and less the more there are. What was learnt can be seen, left out and put back under "What the house has learnt".',
    ],
    source: 'Bayes’ rule on the diffusivity and on the salt that tastes right',
  },
  {
    place: 'lethality',
    title: 'Safe by temperature, or by time',
    says: [
      'Whole pork and beef: {63 C} and three minutes. At less the core must stay longer: 112 minutes at {54.44 C1}, 12 at {60 C}. The parts add up while it is read; what nobody read does not count.',
      'From {10 C} to {54.44 C} in at most six hours.',
    ],
    source: `FSIS Cooking Guideline, revised Appendix A; USDA consumer guidance; ${MEMORY}`,
  },
  {
    place: 'forecast',
    title: 'When it will be done',
    says: [
      'Heat wanders into the same section, and water leaves its surface: that makes the stall. The readings of the probe correct it as they come; four cooks of five end inside the range.',
    ],
    source: 'Fourier’s law, {1.3 n2} × 10⁻⁷ m²/s, checked against Carslaw and Jaeger; film and drying fitted to your readings',
  },
  {
    place: 'chill-gates',
    title: 'Chill gates',
    says: [
      'Cured with 100 ppm and above: from {54.44 C} to {26.67 C} in 5 h, to {7.22 C} in 10 h more. Without: {1.5 n2} h, then to {4.44 C} in 5 h. The gate follows from the ppm of the batch.',
      'A gate that nobody read in time was not met.',
    ],
    source: `FSIS Appendix B; ${MEMORY}`,
  },
  {
    place: 'cold-room',
    title: 'Cold room',
    says: ['{1 C} to {4.44 C} until the smoke. Half an hour above is told, four hours in all ask for a decision.'],
    source: 'common practice',
  },
  {
    place: 'calendar',
    title: 'The plan of the days',
    says: [
      'Every wait has a shortest and a longest; work is moved inside them until hands, litres and racks are enough. A clash names the things that cannot all be.',
    ],
    source: 'simple temporal networks (Dechter, Meiri and Pearl); checked against a general solver',
  },
  {
    place: 'yield',
    title: 'Yield',
    says: ['Packed ÷ green weight. A brisket may keep 55 to 65 % of what was bought, a loin 80 to 90, a ham 85 to 95.'],
    source: 'the scale; the usual shares are common practice',
  },
  {
    place: 'cut-face-picture',
    title: 'Grey on a picture',
    says: [
      'Each place of the face is nearer to the mark that you set on pink or to the one on grey, as eyes measure colours; fat and board are left out. A light from one side, a flash or a wet face change it: it is an aid and never a verdict.',
    ],
    source: 'CIE L*a*b*, with lightness for a third; the bounds are a choice of ours',
  },
  {
    place: 'cost',
    title: 'Cost of a kilogram',
    says: [
      'What the batch bears of its lots × what they cost ÷ packed weight. Of what was taken before a piece was cut, each part bears its share by weight. Hours and fuel are not in it.',
    ],
    source: 'your own prices in Stores',
  },
];
