import svelte from 'eslint-plugin-svelte';
import tseslint from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

/** What the core may not reach for: it has no clock, no chance, no DOM and no process. */
const CORE_GLOBALS = [
	'Date',
	'performance',
	'window',
	'document',
	'navigator',
	'process',
	'console',
	'fetch'
];

export default tseslint.config(
	{
		ignores: ['.svelte-kit/', '.wendle/', 'build/', 'data/', 'demo-data/', 'test-results/', 'node_modules/']
	},
	...tseslint.configs.strict,
	...svelte.configs.recommended,
	{
		rules: {
			'@typescript-eslint/no-non-null-assertion': 'off',
			'@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
			'max-lines': ['error', { max: 320, skipBlankLines: true, skipComments: true }],
			complexity: ['error', 16],
			eqeqeq: 'error'
		}
	},
	{
		files: ['**/*.svelte', '**/*.svelte.ts'],
		languageOptions: {
			parserOptions: { parser: tseslint.parser, extraFileExtensions: ['.svelte'], svelteConfig }
		},
		rules: { 'svelte/no-navigation-without-resolve': 'off', 'prefer-const': 'off' }
	},
	{
		files: ['src/lib/ui/**', 'src/routes/**/*.svelte'],
		rules: {
			// A phone that reaches this machine over plain http has none of it.
			'no-restricted-properties': [
				'error',
				{ object: 'crypto', property: 'randomUUID', message: 'Take v4 of uuid.' }
			]
		}
	},
	{
		files: ['src/lib/ui/**', 'src/routes/**/*.svelte'],
		ignores: ['src/lib/ui/state/refresh.ts'],
		rules: {
			'no-restricted-imports': [
				'error',
				{
					name: '$app/navigation',
					importNames: ['invalidate', 'invalidateAll'],
					message: 'Read anew with ui/state/refresh.ts: it calls off nobody on the way to another page.'
				}
			]
		}
	},
	{
		files: ['src/lib/server/services/**/*.ts', 'src/lib/server/repositories/**/*.ts', 'src/routes/**/*.ts'],
		ignores: ['**/*.test.ts'],
		rules: {
			'no-restricted-syntax': [
				'error',
				{
					selector:
						'CallExpression[callee.property.name=/^(insert|update|delete|del|batchInsert|increment|decrement|truncate)$/] CallExpression[callee.name="db"]',
					message: 'Write through the transaction of write(), with its type Writing: see db/write.ts.'
				},
				{
					selector: 'CallExpression[callee.property.name="transaction"]',
					message: 'Only write() in db/write.ts opens a transaction.'
				}
			]
		}
	},
	{
		files: ['**/*.cjs'],
		rules: { '@typescript-eslint/no-require-imports': 'off' }
	},
	{
		files: ['src/lib/core/**/*.ts'],
		ignores: ['**/*.test.ts', '**/*.bench.ts'],
		rules: {
			'no-restricted-globals': ['error', ...CORE_GLOBALS],
			'no-restricted-properties': ['error', { object: 'Math', property: 'random' }]
		}
	}
);
