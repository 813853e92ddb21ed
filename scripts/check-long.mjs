/**
 * What takes too long for every test run: whatever is accepted can be read back, with thousands of values; archives of hundreds of kit rooms; tens of thousands of requests to the API; two hundred
 * faults of the machine; every page in both themes at three widths; another program's picture of each drawing; the knots tightened anew; a journey in Firefox
 * and in WebKit. Ends with "all passed", or fails.
 */
import { spawnSync } from 'node:child_process';
import { build, install, root } from './bootstrap.mjs';
import { installDebian } from './debian.mjs';

install();
build();
if (spawnSync('rsvg-convert', ['--version']).error) installDebian(['librsvg2-bin']);
const env = { ...process.env, WENDLE_LONG: '1' };
const CHECKS = [
	[
		'npx',
		'--no-install',
		'vitest',
		'run',
		'--testTimeout=1800000',
		'src/lib/server/services/accepted.property.test.ts',
		'src/lib/server/services/archive.property.test.ts',
		'src/lib/server/api/fuzz.property.test.ts'
	],
	['npx', '--no-install', 'playwright', 'test', '--timeout=600000', 'e2e/faults.spec.ts'],
	['npx', '--no-install', 'playwright', 'test', '--timeout=1800000', 'e2e/everywhere.spec.ts'],
	['npx', '--no-install', 'playwright', 'test', '--timeout=600000', 'e2e/drawings.spec.ts'],
	[process.execPath, 'scripts/tighten-knots.mjs', '--check'],
	[process.execPath, 'scripts/engines/journey.mjs']
];
let failed = 0;
for (const [command = '', ...args] of CHECKS) {
	console.log(`\n== ${args.join(' ')}`);
	const { status } = spawnSync(command, args, { cwd: root, stdio: 'inherit', env });
	if (status !== 0) failed += 1;
}
console.log(failed === 0 ? '\nall passed' : `\n${failed} of ${CHECKS.length} failed`);
process.exitCode = failed > 0 ? 1 : 0;
