/**
 * Everything, from a fresh clone: installs what is missing (packages, Chromium), then format, lint,
 * boundaries, types, unit tests, build and browser tests. Ends with the line "N passed, N failed".
 */
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build, install, root } from './bootstrap.mjs';
import { CHROMIUM } from './chromium.mjs';
import { installDebian } from './debian.mjs';

const reports = join(root, '.wendle/reports');

function installChromium() {
	if (existsSync(CHROMIUM)) return;
	installDebian(['chromium']);
}

let [passed, failed] = [0, 0];

/** Runs one stage. Tests count one by one, every other stage as one. */
function stage(
	/** @type {string} */ title,
	/** @type {string[]} */ args,
	/** @type {() => [number, number]} */ count
) {
	console.log(`\n== ${title}`);
	const { status } = spawnSync('npx', ['--no-install', ...args], {
		cwd: root,
		stdio: ['ignore', 'inherit', 'inherit'],
		env: { ...process.env, WENDLE_REPORTS: reports }
	});
	let [good, bad] = count ? count() : [status === 0 ? 1 : 0, status === 0 ? 0 : 1];
	// A runner that fell over before it could report a failure has failed all the same.
	if (status !== 0 && bad === 0) bad = 1;
	passed += good;
	failed += bad;
	return bad === 0;
}

const report = (/** @type {string} */ name) => {
	const file = join(reports, name);
	return existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : undefined;
};
const unitCount = () => {
	const read = report('unit.json');
	return /** @type {[number, number]} */ (read ? [read.numPassedTests, read.numFailedTests] : [0, 1]);
};
const browserCount = () => {
	const read = report('browser.json');
	return /** @type {[number, number]} */ (
		read ? [read.stats.expected, read.stats.unexpected + read.stats.flaky] : [0, 1]
	);
};
const asOne = /** @type {any} */ (undefined);

install();
installChromium();
rmSync(reports, { recursive: true, force: true });
mkdirSync(reports, { recursive: true });

// What the framework makes of the routes: types that all that follows reads.
stage('sync', ['svelte-kit', 'sync'], asOne);
stage('format', ['prettier', '--check', '--log-level', 'warn', '.'], asOne);
stage('lint', ['eslint', '.'], asOne);
stage('boundaries', ['node', 'scripts/check-boundaries.mjs'], asOne);
stage('the core without DOM and Node', ['tsc', '-p', 'src/lib/core/tsconfig.json'], asOne);
stage('types', ['svelte-check', '--fail-on-warnings'], asOne);
stage('types of tests and tools', ['tsc', '--noEmit', '-p', 'tsconfig.tools.json'], asOne);
stage('nothing unused', ['knip'], asOne);
// What only tests use is unused.
stage('nothing for tests alone', ['knip', '--production', '--include', 'files,exports,types'], asOne);
stage(
	'unit tests',
	[
		'vitest',
		'run',
		'--reporter=default',
		'--reporter=json',
		`--outputFile.json=${join(reports, 'unit.json')}`
	],
	unitCount
);
console.log('\n== build');
build();
stage('browser tests', ['playwright', 'test'], browserCount);

console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = failed > 0 ? 1 : 0;
