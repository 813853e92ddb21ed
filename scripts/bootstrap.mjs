/**
 * Brings a fresh clone to where it can run: installs what the lockfile names, builds what has changed.
 * Node built-ins only, since nothing else is there yet.
 */
import { execFileSync, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = fileURLToPath(new URL('..', import.meta.url));
const stamps = join(root, '.wendle');

/** What goes into a build. */
const SOURCES = [
	'src',
	'static',
	'cli',
	'serve',
	'demo',
	'package-lock.json',
	'svelte.config.js',
	'vite.config.ts',
	'vite.tools.config.ts'
];

/** @param {string} path @returns {string[]} */
function filesUnder(path) {
	if (!existsSync(path)) return [];
	if (!statSync(path).isDirectory()) return [path];
	return readdirSync(path)
		.sort()
		.flatMap((name) => filesUnder(join(path, name)));
}

/** @param {string[]} paths */
function hashOf(paths) {
	const hash = createHash('sha256')
		.update(process.versions.modules)
		.update(process.platform + process.arch);
	for (const file of paths.flatMap((path) => filesUnder(join(root, path))))
		hash.update(file.slice(root.length)).update(readFileSync(file));
	return hash.digest('hex');
}

/** @param {string} name */
const stamp = (name) => {
	const file = join(stamps, name);
	return {
		read: () => (existsSync(file) ? readFileSync(file, 'utf8') : ''),
		/** @param {string} value */
		write: (value) => {
			mkdirSync(stamps, { recursive: true });
			writeFileSync(file, value);
		}
	};
};

/** @param {string} command @param {string[]} args */
export function run(command, args) {
	execFileSync(command, args, {
		cwd: root,
		stdio: 'inherit',
		env: { ...process.env, npm_config_yes: 'true' }
	});
}

/** The database driver is compiled for one Node: loading it is the only proof that it fits. */
const driverLoads = () =>
	spawnSync(process.execPath, ['-e', "new (require('better-sqlite3'))(':memory:').close()"], { cwd: root })
		.status === 0;

export function install() {
	const installed = stamp('installed');
	const wanted = hashOf(['package-lock.json', '.npmrc']);
	if (installed.read() === wanted && existsSync(join(root, 'node_modules'))) return;
	console.log('Installing packages (the database driver is compiled: a few minutes the first time) ...');
	run('npm', ['ci', '--include=dev', '--include=optional', '--no-fund', '--no-audit']);
	if (!driverLoads()) run('npm', ['rebuild', 'better-sqlite3']);
	if (!driverLoads())
		throw new Error(
			'The database driver does not load. It needs python3, make and g++ to compile; then try again.'
		);
	installed.write(wanted);
}

/** Builds when sources changed since the last build. */
export function build() {
	const built = stamp('built');
	const wanted = hashOf(SOURCES);
	if (built.read() === wanted && existsSync(join(root, 'build/index.js'))) return;
	console.log('Building ...');
	run('npx', ['--no-install', 'vite', 'build', '--logLevel', 'warn']);
	run('npx', ['--no-install', 'vite', 'build', '--config', 'vite.tools.config.ts', '--logLevel', 'warn']);
	built.write(wanted);
}
