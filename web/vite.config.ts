import { svelte } from '@sveltejs/vite-plugin-svelte';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [tailwindcss(), svelte()],
  build: { outDir: 'dist', emptyOutDir: true, target: 'es2022' },
  ...(process.env.VITEST ? { resolve: { conditions: ['browser'] } } : {}),
  server: { proxy: { '/api': 'http://127.0.0.1:8420' } },
  test: { environment: 'jsdom', setupFiles: ['src/test-setup.ts'], include: ['src/**/*.test.ts'] },
});
