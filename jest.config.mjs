const swc = (tsx) => [
  '@swc/jest',
  {
    jsc: {
      target: 'es2022',
      keepClassNames: true,
      parser: { syntax: 'typescript', tsx, decorators: true },
      transform: { legacyDecorator: true, decoratorMetadata: true, useDefineForClassFields: false, react: { runtime: 'automatic' } },
    },
    module: { type: 'commonjs' },
    sourceMaps: 'inline',
  },
];

// node_modules are turned to CommonJS too: several libraries are ES modules only.
const project = (displayName, rootDir, extra = {}) => ({
  displayName,
  rootDir,
  testMatch: ['<rootDir>/src/**/*.test.ts', '<rootDir>/src/**/*.test.tsx'],
  transform: { '\\.m?[jt]sx?$': swc(displayName === 'web') },
  // The clock stands where the test command says; see scripts/shiftDate.mjs.
  setupFiles: [import.meta.dirname + '/scripts/shiftDate.mjs'],
  transformIgnorePatterns: [],
  moduleNameMapper: { '^(\\.{1,2}/.*)\\.js$': ['$1', '$1.js'] },
  // A test runs in a context of its own, in which each look at a global is slow: these are handed over.
  sandboxInjectedGlobals: ['Math', 'Number', 'Object', 'Array', 'Map', 'Set', 'JSON', 'String', 'Float64Array'],
  testEnvironmentOptions: { customExportConditions: ['bunkhouse-source', 'node', 'node-addons'] },
  ...extra,
});

export default {
  testTimeout: 30_000,
  // A server test mostly waits for its database: two at a time, on a machine of two cores, too.
  maxWorkers: 2,
  projects: [
    project('core', 'packages/core'),
    project('words', 'packages/words'),
    project('api', 'packages/api'),
    project('devices', 'apps/devices'),
    project('demo', 'demo'),
    project('server', 'apps/server'),
    project('web', 'apps/web', { setupFiles: ['shiftDate', 'jsdomLacks'].map((name) => `${import.meta.dirname}/scripts/${name}.mjs`) }),
    project('scripts', 'scripts', { testMatch: ['<rootDir>/*.test.mjs'], moduleFileExtensions: ['mjs', 'js', 'json'] }),
  ],
};
