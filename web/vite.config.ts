import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig(({ mode }) => ({
  plugins: [
    react(),
    VitePWA({
      strategies: 'injectManifest',
      srcDir: 'src/offline',
      filename: 'serviceWorker.ts',
      injectRegister: false,
      manifest: {
        name: 'Yugator',
        short_name: 'Yugator',
        description: 'Service book, forecaster and workshop planner of a grounds crew',
        start_url: '/',
        display: 'standalone',
        background_color: '#f6f3ec',
        theme_color: '#f6f3ec',
        icons: [
          { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' },
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
        ],
      },
      injectManifest: {
        globPatterns: ['assets/*.{js,css,woff2}', 'icon.svg'],
        // Charts and the solver weigh as much as all the rest, and can wait for a signal.
        globIgnores: ['**/*Chart-*.js', '**/chartStyle-*.js', '**/buyingWorker-*.js', '**/planWorker-*.js'],
      },
    }),
  ],
  resolve: {
    conditions: ['source', 'module', 'browser', mode === 'production' ? 'production' : 'development'],
  },
  worker: { format: 'es' },
  build: { sourcemap: false, target: 'es2022', manifest: true },
  server: { host: '127.0.0.1', port: 5173, proxy: { '/api': 'http://127.0.0.1:8420' } },
}));
