import react from '@vitejs/plugin-react';
import { defaultClientConditions, defineConfig } from 'vite';

export default defineConfig({
  plugins: [react()],
  resolve: { conditions: ['bunkhouse-source', ...defaultClientConditions], dedupe: ['react', 'react-dom', '@emotion/react'] },
  server: { host: '127.0.0.1', port: 5180, strictPort: true, proxy: { '/api': { target: `http://127.0.0.1:${process.env.BUNKHOUSE_PORT ?? 4180}` } } },
  build: { target: 'es2022', sourcemap: false },
});
