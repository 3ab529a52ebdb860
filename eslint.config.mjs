import { readdirSync } from 'node:fs';
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

/** The web's rooms: each imports the rooms before it, and none after. */
const WEB_ROOMS = ['reader', 'data', 'workers', 'kit', 'charts', 'acts', 'features', 'app'];
const webRooms = WEB_ROOMS.slice(0, -1).map((room, i) =>
  closed([`apps/web/src/${room}/**`], [{ group: WEB_ROOMS.slice(i + 1).map((later) => `**/${later}/**`), message: `${room} comes before these rooms.` }]),
);

/** A feature is removed with its folder: no other knows of it. */
const FEATURES = readdirSync('apps/web/src/features');
const features = FEATURES.map((feature) =>
  closed(
    [`apps/web/src/features/${feature}/**`],
    [
      {
        group: [...FEATURES.filter((other) => other !== feature).map((other) => `../${other}/*`), '**/app/**'],
        message: 'Features import neither each other nor the app: what several share lives in kit, charts or acts.',
      },
    ],
  ),
);

const RAW_CONTROLS = {
  selector: 'JSXOpeningElement[name.name=/^(button|input|select|textarea|table|thead|tbody|tfoot|tr|th|td|dialog)$/]',
  message: 'Controls and tables are MUI’s: Button, the fields of kit/, Table.',
};
const CLASS_NAMES = {
  selector: 'JSXAttribute[name.name="className"]',
  message: 'What a part looks like stands beside it, by sx and the theme: no class names.',
};

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', 'test-results/**', 'playwright-report/**', '.stamp/**'] },
  js.configs.recommended,
  { files: ['**/*.mjs'], languageOptions: { globals: globals.node } },
  { files: ['**/*.test.mjs'], languageOptions: { globals: globals.jest } },
  {
    files: ['**/*.ts', '**/*.tsx'],
    ignores: ['playwright.config.ts'],
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
  // Controls and tables are MUI's, dressed by the theme.
  {
    files: ['apps/web/src/**/*.{ts,tsx}'],
    ignores: ['apps/web/src/data/houseLine.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        ...['fetch', 'EventSource', 'WebSocket', 'XMLHttpRequest'].map((name) => ({ name, message: 'The house is reached by data/houseLine alone.' })),
      ],
    },
  },
  { files: ['apps/web/src/**/*.tsx'], rules: { 'no-restricted-syntax': ['error', RAW_CONTROLS, CLASS_NAMES] } },
  // The rail's picture and what is printed hang on the two sheets that are left.
  { files: ['apps/web/src/app/{Rail,Tag}.tsx', 'apps/web/src/features/paper/*.tsx'], rules: { 'no-restricted-syntax': ['error', RAW_CONTROLS] } },
  ...webRooms,
  ...features,
  { files: ['**/*.test.ts', 'e2e/**/*.ts'], rules: { '@typescript-eslint/no-unsafe-assignment': 'off', '@typescript-eslint/unbound-method': 'off' } },
  prettier,
);
