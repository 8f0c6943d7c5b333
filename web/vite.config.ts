import { svelte } from '@sveltejs/vite-plugin-svelte';
import tailwindcss from '@tailwindcss/vite';
import { VitePWA } from 'vite-plugin-pwa';
import { defineConfig } from 'vitest/config';

export default defineConfig(({ mode }) => ({
  plugins: [
    tailwindcss(),
    svelte(),
    VitePWA({
      // the page registers it itself, and a newer one waits until somebody loads it
      injectRegister: null,
      registerType: 'prompt',
      manifest: {
        name: 'Wise Larder',
        short_name: 'Larder',
        description: 'A year-round feed budget for livestock keepers',
        display: 'standalone',
        start_url: '/',
        background_color: '#ffffff',
        theme_color: '#1b3a93',
        icons: [
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png', purpose: 'any maskable' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'any maskable' },
        ],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        clientsClaim: true,
        inlineWorkboxRuntime: true,
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//, /^\/actuator\//, /\./],
        // the engine of the browser comes beside the page: what names it is asked anew while it can be
        runtimeCaching: [
          {
            urlPattern: /\/pocket\.json$/,
            handler: 'NetworkFirst',
            options: { cacheName: 'engine-name' },
          },
          {
            urlPattern: /\/assets\/pocket-[0-9a-f]+\.js$/,
            handler: 'CacheFirst',
            options: { cacheName: 'engine', expiration: { maxEntries: 2 } },
          },
        ],
      },
    }),
  ],
  build: {
    outDir: 'dist',
    emptyOutDir: true,
    target: 'es2022',
    rolldownOptions: { checks: { pluginTimings: false } },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:8420' } },
  test: { environment: 'node', include: ['src/**/*.test.ts'] },
  // components in the tests are those of a browser
  resolve: mode === 'test' ? { conditions: ['browser'] } : {},
}));
