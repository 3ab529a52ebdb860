/** What is being made (docs/science.md, “What is made”). */
export const PRODUCTS = ['belly-bacon', 'canadian-bacon', 'ham-bone-in', 'ham-boned', 'picnic', 'shoulder-bacon', 'pastrami', 'cured-beef'] as const;

export type Product = (typeof PRODUCTS)[number];
