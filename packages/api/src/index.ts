export * from './batchRequest.js';
export * from './logEntryRequest.js';
export * from './responses.js';
export * from './isInstant.js';
export * from './usualRequest.js';
export * from './leaveOutRequest.js';
export * from './housePlanRequest.js';
