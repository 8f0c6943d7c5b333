import { svelte } from '@sveltejs/vite-plugin-svelte';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig(({ mode }) => ({
  plugins: [tailwindcss(), svelte()],
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
