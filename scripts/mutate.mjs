/**
 * Changes the code in small ways and sees whether a unit test notices: `npm run mutate`, or of one area: `npm run mutate fit`.
 * At least 85 % of the changes of each area have to be noticed. What is not is listed at the end.
 */
import { spawnSync } from 'node:child_process';
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { install, root } from './bootstrap.mjs';
import { AREAS } from './mutate/areas.mjs';

const LEAST_KILLED = 85;

install();
const asked = process.argv.slice(2);
const folder = join(root, '.wendle/mutants');
mkdirSync(folder, { recursive: true });

/** @returns {boolean} whether enough was noticed */
function mutate(/** @type {keyof typeof AREAS} */ area) {
	console.log(`\n== ${area}`);
	const config = join(folder, `${area}.json`);
	const options = {
		testRunner: 'vitest',
		vitest: { configFile: 'scripts/mutate/tests.config.ts', related: false },
		plugins: ['@stryker-mutator/vitest-runner'],
		mutate: [AREAS[area].code, '!**/*.test.ts', '!**/*testing.ts', '!**/reference.ts'],
		coverageAnalysis: 'perTest',
		ignoreStatic: true,
		concurrency: Number(process.env['WENDLE_MUTATE_AT_ONCE'] ?? 2),
		reporters: ['progress-append-only', 'clear-text', 'json'],
		jsonReporter: { fileName: join('.wendle/mutants', `${area}.report.json`) },
		clearTextReporter: { allowColor: false, logTests: false, reportTests: false },
		tempDirName: `.wendle/mutating-${area}`,
		thresholds: { high: 95, low: LEAST_KILLED, break: LEAST_KILLED },
		timeoutMS: 20_000
	};
	writeFileSync(config, JSON.stringify(options));
	const { status } = spawnSync('npx', ['--no-install', 'stryker', 'run', config], {
		cwd: root,
		stdio: 'inherit',
		env: { ...process.env, WENDLE_MUTATE: area }
	});
	return status === 0;
}

const areas = /** @type {(keyof typeof AREAS)[]} */ (Object.keys(AREAS));
const few = areas.filter((area) => (asked.length === 0 || asked.includes(area)) && !mutate(area));
console.log(few.length === 0 ? '\nenough was noticed' : `\ntoo little was noticed: ${few.join(', ')}`);
process.exitCode = few.length > 0 ? 1 : 0;
