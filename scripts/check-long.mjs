/**
 * What takes too long for every test run: whatever is accepted can be read back, with thousands of values; the plug pulled
 * sixty times; every page in both themes at three widths; a
 * journey in Firefox and in WebKit. Ends with "all passed", or fails.
 */
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { build, install, root } from './bootstrap.mjs';
import { installDebian } from './debian.mjs';

install();
build();
const env = { ...process.env, WENDLE_LONG: '1' };
const CHECKS = [
	['vitest', 'run', '--testTimeout=1800000', 'src/lib/server/services/accepted.property.test.ts'],
	['playwright', 'test', '--timeout=600000', 'e2e/killed.spec.ts'],
	['playwright', 'test', '--timeout=1800000', 'e2e/everywhere.spec.ts']
];
let failed = 0;
for (const args of CHECKS) {
	console.log(`\n== ${args.join(' ')}`);
	const { status } = spawnSync('npx', ['--no-install', ...args], { cwd: root, stdio: 'inherit', env });
	if (status !== 0) failed += 1;
}

/** Debian's packages of the other engines, with a screen for the one that has no headless mode. */
const ENGINES = ['firefox-esr', 'webkit2gtk-driver', 'xvfb', 'xauth'];
console.log('\n== a journey in Firefox and in WebKit');
if (!existsSync('/usr/bin/firefox-esr') || !existsSync('/usr/bin/WebKitWebDriver')) installDebian(ENGINES);
if (
	spawnSync(process.execPath, ['scripts/engines/journey.mjs'], { cwd: root, stdio: 'inherit', env })
		.status !== 0
)
	failed += 1;
console.log(failed === 0 ? '\nall passed' : `\n${failed} of ${CHECKS.length + 1} failed`);
process.exitCode = failed > 0 ? 1 : 0;
