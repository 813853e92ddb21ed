import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';

/** What every page that reckons needs comes in one piece: many small ones cost more than they save. */
const RECKONING =
	/src\/lib\/(setup\/(bounds|description|evaluate|evaluate-form|gap-over|read-spool|read-strands|read-text)|core\/(numeric\/(quadrature|cholesky)|spool\/(fill|piece)|line\/(class|strand|material|taper|density)|packing\/|fit\/(stack|wind|solve)|calibrate\/(ratings|source)|uncertainty\/(spreads|inputs|outcome|propagate|first-order)|estimate\/(reading|surfaces|asked\/seen-alone)|judge\/(judge|given)))\b/;
/** What nearly every page measures and draws with. */
const MEASURES =
	/src\/lib\/(wording\/units|core\/(issues|keys|units\/|numeric\/(root|tolerances)|spool\/spool|line\/sections))\b/;

export default defineConfig({
	plugins: [tailwindcss(), sveltekit()],
	worker: { format: 'es' },
	build: {
		target: 'es2022',
		rolldownOptions: {
			output: {
				codeSplitting: {
					groups: [
						{ name: 'measures', test: MEASURES, priority: 1 },
						{ name: 'reckoning', test: RECKONING }
					]
				}
			},
			treeshake: {
				// The core only says what things are: a module of it that a page takes nothing from is left out of the page.
				moduleSideEffects: (id) => !id.includes('/src/lib/core/')
			}
		}
	},
	test: {
		include: [
			'src/**/*.test.ts',
			'demo/**/*.test.ts',
			'scripts/**/*.test.ts',
			'serve/**/*.test.ts',
			'counter/**/*.test.mjs'
		],
		environment: 'node',
		testTimeout: 60_000
	}
});
