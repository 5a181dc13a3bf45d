import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './web/svelte.config.js';

export default ts.config(
	{ ignores: ['**/build/', '**/.svelte-kit/', '**/node_modules/', '.data/', '**/test-results/'] },
	...ts.configs.strict,
	...svelte.configs.recommended,
	{
		languageOptions: { globals: { ...globals.node, ...globals.browser } },
		rules: {
			'@typescript-eslint/no-non-null-assertion': 'off',
			'@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
			'svelte/no-navigation-without-resolve': 'off',
			'svelte/prefer-svelte-reactivity': 'off'
		}
	},
	{
		files: ['**/*.svelte', '**/*.svelte.ts'],
		languageOptions: { parserOptions: { parser: ts.parser, extraFileExtensions: ['.svelte'], svelteConfig } }
	},
	{
		// The core takes time and randomness as arguments.
		files: ['core/src/**/*.ts'],
		ignores: ['**/*.test.ts'],
		rules: {
			'no-restricted-properties': [
				'error',
				{ object: 'Date', property: 'now' },
				{ object: 'Math', property: 'random' }
			],
			'no-restricted-globals': ['error', 'process', 'window', 'document', 'fetch', 'crypto', 'performance']
		}
	},
	{ files: ['**/*.cjs'], languageOptions: { globals: globals.commonjs } }
);
