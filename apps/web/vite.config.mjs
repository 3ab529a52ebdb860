import react from '@vitejs/plugin-react';
import { build, defaultClientConditions, defineConfig } from 'vite';
import { compression, defineAlgorithm } from 'vite-plugin-compression2';
import { VitePWA } from 'vite-plugin-pwa';

const shared = {
  root: import.meta.dirname,
  plugins: [react()],
  resolve: { conditions: ['bunkhouse-source', ...defaultClientConditions], dedupe: ['react', 'react-dom', '@emotion/react'] },
};

const TODAY = 'features/today/Today.tsx';
const FORM = 'acts/record/RecordForm.tsx';

/**
 * The modules that Today stands on, and those that the form of its first job needs beside them, once what nobody uses is shaken off. Each in
 * one file they are two requests and compress better; a group by names would take what only other screens use of them along.
 */
async function firstScreen() {
  const made = await build({
    ...shared,
    configFile: false,
    logLevel: 'silent',
    build: {
      target: 'es2022',
      write: false,
      minify: false,
      rolldownOptions: {
        external: ['virtual:pwa-register'],
        output: { codeSplitting: { groups: [{ name: 'part', entriesAware: true, entriesAwareMergeThreshold: 0 }] } },
      },
    },
  });
  if (!('output' in made)) throw new Error('The first screen was not built.');
  const chunks = new Map(made.output.flatMap((file) => (file.type === 'chunk' ? [[file.fileName, file]] : [])));
  const modulesUnder = (isRoot) => {
    const files = new Set([...chunks.values()].filter(isRoot).map(({ fileName }) => fileName));
    for (const fileName of files) for (const next of chunks.get(fileName)?.imports ?? []) files.add(next);
    return new Set([...files].flatMap((fileName) => chunks.get(fileName)?.moduleIds ?? []));
  };
  const has = (chunk, name) => chunk.moduleIds.some((id) => id.endsWith(name));
  return { first: modulesUnder((chunk) => chunk.isEntry || has(chunk, TODAY)), form: modulesUnder((chunk) => has(chunk, FORM)) };
}

/** The two fonts that everything is set in are asked for with the script, not found by it. */
const fontsFirst = {
  name: 'fonts-first',
  transformIndexHtml: (_html, { bundle }) =>
    Object.keys(bundle ?? {})
      .filter((file) => /barlow-(condensed-latin-600|latin-400)-normal.*\.woff2$/.test(file))
      .map((file) => ({ tag: 'link', attrs: { rel: 'preload', as: 'font', type: 'font/woff2', crossorigin: '', href: `/${file}` }, injectTo: 'head' })),
};

export default defineConfig(async ({ command }) => {
  const { first, form } = command === 'build' ? await firstScreen() : { first: new Set(), form: new Set() };
  return {
    ...shared,
    plugins: [
      ...shared.plugins,
      fontsFirst,
      // Packed once, as small as it gets: a small computer on a shelf packs nothing while a telephone waits.
      compression({ include: /assets\/.*\.(js|css|svg)$/, algorithms: [defineAlgorithm('gzip', { level: 9 }), defineAlgorithm('brotliCompress')] }),
      // The app itself is kept on the device, so that it opens without a network; what the house said is kept by the app.
      VitePWA({
        registerType: 'prompt',
        injectRegister: false,
        manifest: {
          name: 'Bunkhouse',
          short_name: 'Bunkhouse',
          description: 'From a raw cut to a packed, recorded ham.',
          start_url: '/',
          display: 'standalone',
          background_color: '#ECF0EF',
          theme_color: '#0E3B2E',
          icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
        },
        workbox: {
          importScripts: ['/notices.js'],
          navigateFallbackDenylist: [/^\/api\//],
          globPatterns: ['**/*.{js,css,html,svg,woff2}'],
          maximumFileSizeToCacheInBytes: 5_000_000,
        },
      }),
    ],
    build: {
      target: 'es2022',
      sourcemap: false,
      chunkSizeWarningLimit: 1000,
      rolldownOptions: {
        output: {
          codeSplitting: {
            groups: [
              { name: 'first', test: (id) => first.has(id), priority: 2 },
              { name: 'form', test: (id) => form.has(id), priority: 1 },
            ],
          },
        },
      },
    },
  };
});
