import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import type { UserConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { planScripts } from './src/build/planScripts.js';

/** What makes scripts of the sources. */
function compiling(mode: string): UserConfig {
  return {
    plugins: [react()],
    resolve: {
      conditions: ['source', 'module', 'browser', mode === 'production' ? 'production' : 'development'],
    },
    worker: { format: 'es' },
    build: { sourcemap: false, target: 'es2022', manifest: true },
  };
}

/** What makes an application of them that works where there is no signal. */
const keeping = () =>
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
  });

export default defineConfig(async ({ mode, command }) => {
  const config = compiling(mode);
  const server = { host: '127.0.0.1', port: 5173, proxy: { '/api': 'http://127.0.0.1:8420' } };
  if (command === 'serve') return { ...config, plugins: [config.plugins, keeping()], server };
  // Of its own, as a plug-in serves one build.
  const names = await planScripts(compiling(mode));
  const codeSplitting = {
    // As planned: what a module needs has its own place.
    includeDependenciesRecursively: false,
    groups: [{ debugName: 'planned', name: (module: string) => names.get(module) ?? null }],
  };
  return {
    ...config,
    plugins: [config.plugins, keeping()],
    build: { ...config.build, rolldownOptions: { output: { codeSplitting } } },
  };
});
