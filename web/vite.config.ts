import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig(({ mode }) => ({
  plugins: [react()],
  resolve: {
    conditions: ['source', 'module', 'browser', mode === 'production' ? 'production' : 'development'],
  },
  build: { sourcemap: false, target: 'es2022', manifest: true },
  server: { host: '127.0.0.1', port: 5173, proxy: { '/api': 'http://127.0.0.1:8420' } },
}));
