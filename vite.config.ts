import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
	plugins: [tailwindcss(), sveltekit()],
	worker: { format: 'es' },
	build: { target: 'es2022' },
	test: {
		include: ['src/**/*.test.ts', 'demo/**/*.test.ts', 'scripts/**/*.test.ts', 'counter/**/*.test.mjs'],
		environment: 'node',
		testTimeout: 60_000
	}
});
