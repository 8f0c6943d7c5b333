import js from '@eslint/js';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import config from './svelte.config.js';

export default ts.config(
  { ignores: ['dist/', 'target/', 'node_modules/', 'src/api/schema.d.ts'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...svelte.configs.recommended,
  { languageOptions: { globals: globals.browser } },
  {
    files: ['**/*.svelte', '**/*.svelte.ts'],
    languageOptions: {
      parserOptions: { extraFileExtensions: ['.svelte'], parser: ts.parser, svelteConfig: config },
    },
  },
  {
    rules: {
      'no-undef': 'off', // the type checker knows better
      eqeqeq: 'error',
      'no-console': 'error',
      'no-eval': 'error',
      'svelte/no-at-html-tags': 'error',
      'svelte/no-navigation-without-resolve': 'off', // addresses are hashes, not pages of a kit
    },
  },
);
