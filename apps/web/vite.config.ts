import react from '@vitejs/plugin-react';
import { defaultClientConditions, defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig({
  plugins: [
    react(),
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
  resolve: { conditions: ['bunkhouse-source', ...defaultClientConditions], dedupe: ['react', 'react-dom', '@emotion/react'] },
  build: { target: 'es2022', sourcemap: false },
});
