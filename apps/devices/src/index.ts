export * from './simulatedCook.js';
export * from './simulatedChamber.js';
export * from './simulatedMeat.js';
export * from './simulatedRefrigerator.js';
export * from './simulatedScale.js';
export * from './thermometer.js';
export * from './houseCook.js';
