import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './web/svelte.config.js';

export default ts.config(
	{ ignores: ['web/build/', '**/.svelte-kit/', '**/node_modules/', '.data/', '**/test-results/'] },
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
	{
		// Raw statements have their own folder, one function a statement (docs/decisions/raw-sql.md).
		files: ['server/src/**/*.ts', 'web/src/**/*.{ts,svelte}'],
		ignores: [
			'server/src/db/**',
			'**/*.test.ts',
			'server/src/testing.ts',
			'server/src/testDatabase.ts',
			'server/src/events.ts',
			'server/src/auth/adapter.ts'
		],
		rules: {
			'no-restricted-syntax': [
				'error',
				{
					selector: "CallExpression[callee.property.name='query']",
					message: 'A raw statement stands in server/src/db/sql, one function a statement.'
				},
				{
					selector: "CallExpression[callee.name='literal']",
					message: 'A raw statement stands in server/src/db/sql, one function a statement.'
				}
			]
		}
	},
	{
		// The runner's own test leaves the pages open that a test opens for itself.
		files: ['e2e/*.spec.ts'],
		rules: {
			'no-restricted-imports': [
				'error',
				{ paths: [{ name: '@playwright/test', message: "Import from './test', which closes a test's pages." }] }
			]
		}
	},
	{ files: ['**/*.cjs'], languageOptions: { globals: globals.commonjs } }
);
