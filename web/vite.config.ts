import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

/** The package names only its development build; a built page takes the one for production. */
const router = join(
  dirname(createRequire(import.meta.url).resolve('react-router/package.json')),
  'dist/production/index.mjs',
);

/** The pages, kept in the browser so that a row can be worked while the server is away. */
export default defineConfig(({ command }) => ({
  root: import.meta.dirname,
  resolve: { alias: command === 'build' ? [{ find: /^react-router$/, replacement: router }] : [] },
  plugins: [
    react(),
    tailwindcss(),
    VitePWA({
      registerType: 'autoUpdate',
      injectRegister: 'script',
      manifest: {
        name: 'Puntada',
        short_name: 'Puntada',
        description: 'The planning bench and logbook of a person who crochets in two colours',
        theme_color: '#fbfcfa',
        background_color: '#fbfcfa',
        display: 'standalone',
        icons: [{ src: '/mark.svg', sizes: 'any', type: 'image/svg+xml' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//],
        clientsClaim: true,
        skipWaiting: true,
      },
    }),
  ],
  worker: { format: 'es' },
  build: {
    target: 'es2023',
    chunkSizeWarningLimit: 900,
    // To name dozens of small files beforehand takes longer than to fetch them from the machine itself.
    modulePreload: { resolveDependencies: (_file, needed) => needed.filter((each) => each.endsWith('.css')) },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:4310' } },
}));
