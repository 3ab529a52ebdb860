/** What is being made (handbook part 2). */
export const PRODUCTS = ['belly-bacon', 'canadian-bacon', 'ham-bone-in', 'ham-boned', 'picnic', 'shoulder-bacon', 'pastrami', 'cured-beef'] as const;

export type Product = (typeof PRODUCTS)[number];
