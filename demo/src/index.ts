export * from './demoHouse.js';
export * from './playBatch.js';
