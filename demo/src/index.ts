export * from './demoHouse.js';
export * from './playBatch.js';
export * from './demoRecipes.js';
