import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
	plugins: [tailwindcss(), sveltekit()],
	worker: { format: 'es' },
	build: {
		target: 'es2022',
		rolldownOptions: {
			treeshake: {
				// The core only says what things are: a module of it that a page takes nothing from is left out of the page.
				moduleSideEffects: (id) => !id.includes('/src/lib/core/')
			}
		}
	},
	test: {
		include: ['src/**/*.test.ts', 'demo/**/*.test.ts', 'scripts/**/*.test.ts', 'counter/**/*.test.mjs'],
		environment: 'node',
		testTimeout: 60_000
	}
});
