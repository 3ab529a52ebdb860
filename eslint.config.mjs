import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import { createNodeResolver, importX } from 'eslint-plugin-import-x';
import hooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import tseslint from 'typescript-eslint';

/** What a room may not import, and why. */
const closed = (files, patterns) => ({ files, rules: { 'no-restricted-imports': ['error', { patterns }] } });
const outward = {
  group: ['@nestjs/*', 'typeorm', 'pg', 'react', 'react-*', '@mui/*', 'd3-*', 'node:*', '@bunkhouse/*'],
  message: 'The core computes, and knows nothing of screens, servers or disks.',
};

/** Inside core a room imports the rooms before it, and none after. */
const ROOMS = [
  'measures',
  'say',
  'units',
  'clock',
  'ingredients',
  'section',
  'products',
  'brine',
  'cure',
  'pump',
  'tools',
  'diffusion',
  'safety',
  'heat',
  'schedule',
  'log',
  'steps',
  'recipes',
  'batch',
  'pasted',
  'sheet',
  'check',
  'pit',
  'course',
  'learnt',
  'calendar',
  'book',
  'formats',
];
const coreRooms = ROOMS.map((room, i) =>
  closed(
    [`packages/core/src/${room}/**/*.ts`],
    [
      ...(ROOMS.length > i + 1 ? [{ group: ROOMS.slice(i + 1).map((later) => `../${later}/*`), message: `${room} comes before these rooms.` }] : []),
      { ...outward },
    ],
  ),
);

const SECTIONS = [
  'today',
  'newBatch',
  'bench',
  'batch',
  'ledger',
  'guide',
  'learnt',
  'calendar',
  'pit',
  'readings',
  'recipes',
  'paper',
  'stores',
  'kept',
  'house',
];

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', 'test-results/**', 'playwright-report/**', '.stamp/**'] },
  js.configs.recommended,
  { files: ['**/*.mjs', 'apps/web/vite.config.ts'], languageOptions: { globals: globals.node } },
  { files: ['**/*.test.mjs'], languageOptions: { globals: globals.jest } },
  {
    files: ['**/*.ts', '**/*.tsx'],
    ignores: ['apps/web/vite.config.ts', 'playwright.config.ts'],
    extends: [...tseslint.configs.recommendedTypeChecked],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports', disallowTypeAnnotations: false }],
      '@typescript-eslint/no-non-null-assertion': 'error',
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/switch-exhaustiveness-check': 'off',
    },
  },
  {
    files: ['apps/web/**/*.tsx', 'apps/web/**/*.ts'],
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  ...coreRooms,
  // No circle, not of types either: whoever reads a file can read all that it stands on before it.
  {
    files: ['packages/**/*.ts', 'demo/**/*.ts', 'apps/**/*.ts', 'apps/**/*.tsx'],
    plugins: { 'import-x': importX },
    settings: {
      'import-x/resolver-next': [createNodeResolver({ extensions: ['.ts', '.tsx', '.js'], extensionAlias: { '.js': ['.ts', '.tsx', '.js'] } })],
      'import-x/extensions': ['.ts', '.tsx'],
      'import-x/parsers': { '@typescript-eslint/parser': ['.ts', '.tsx'] },
    },
    rules: { 'import-x/no-cycle': ['error', { ignoreExternal: true }] },
  },
  closed(
    ['packages/words/src/**/*.ts'],
    [
      {
        group: ['@nestjs/*', 'typeorm', 'pg', 'react', '@mui/*', '@bunkhouse/api', '@bunkhouse/server', '@bunkhouse/web'],
        message: 'Words are about what core says, whoever shows them.',
      },
    ],
  ),
  closed(
    ['packages/api/src/**/*.ts'],
    [
      {
        group: ['@nestjs/*', 'typeorm', 'pg', 'react', '@mui/*', '@bunkhouse/server', '@bunkhouse/web'],
        message: 'What goes over the wire knows neither end.',
      },
    ],
  ),
  closed(
    ['demo/src/**/*.ts'],
    [
      {
        group: ['@nestjs/*', 'typeorm', 'react', '@bunkhouse/server', '@bunkhouse/web'],
        message: 'The made-up house is made of the same requests as a real one.',
      },
    ],
  ),
  closed(['apps/server/src/**/*.ts'], [{ group: ['@bunkhouse/web', 'react', '@mui/*'], message: 'Nothing imports the web app.' }]),
  closed(['apps/web/src/instruments/**/*.tsx'], [{ group: ['../sections/*', '../data/*'], message: 'Instruments are given what they show.' }]),
  ...SECTIONS.map((section) =>
    closed(
      [`apps/web/src/sections/${section}/**`],
      [
        {
          group: SECTIONS.filter((other) => other !== section).map((other) => `../${other}/*`),
          message: 'Sections do not import each other: shared parts live in instruments or shell.',
        },
      ],
    ),
  ),
  { files: ['**/*.test.ts', 'e2e/**/*.ts'], rules: { '@typescript-eslint/no-unsafe-assignment': 'off', '@typescript-eslint/unbound-method': 'off' } },
  prettier,
);
