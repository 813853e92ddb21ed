/** What is mutated, and the tests that are to notice. */
export const AREAS = {
	fit: { code: 'src/lib/core/fit/*.ts', tests: ['src/lib/core/{fit,judge}/**/*.test.ts'] },
	estimate: {
		code: 'src/lib/core/estimate/**/*.ts',
		tests: ['src/lib/core/{estimate,calibrate}/**/*.test.ts']
	},
	learn: {
		code: 'src/lib/core/learn/*.ts',
		tests: ['src/lib/core/{learn,numeric}/**/*.test.ts']
	},
	uncertainty: {
		code: 'src/lib/core/uncertainty/*.ts',
		tests: ['src/lib/core/{uncertainty,estimate}/**/*.test.ts']
	},
	inventory: {
		code: 'src/lib/inventory/*.ts',
		tests: ['src/lib/{inventory,bench,server/services}/**/*.test.ts']
	},
	services: {
		code: 'src/lib/server/services/*.ts',
		tests: ['src/lib/server/services/**/*.test.ts']
	}
};
