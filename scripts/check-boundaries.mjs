/**
 * Checks that imports run downward, and that the check itself bites: each violation, planted in a copy of the sources, has to
 * be caught, or a green run would mean nothing.
 */
import { spawnSync } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { root } from './bootstrap.mjs';

const cruise = (cwd) =>
	spawnSync(
		'npx',
		['--no-install', 'depcruise', 'src', '--config', '.dependency-cruiser.cjs', '--output-type', 'err'],
		{ cwd, encoding: 'utf8' }
	);

/** @type {readonly { rule: string, files: Record<string, string> }[]} */
const PLANTED = [
	{ rule: 'core-stands-alone', files: { 'src/lib/core/planted-a.ts': "export { tick } from 'svelte';\n" } },
	{
		rule: 'core-stands-alone',
		files: { 'src/lib/core/planted-b.ts': "export * from '$lib/wording/units';\n" }
	},
	{ rule: 'core-stands-alone', files: { 'src/lib/core/planted-c.ts': "export * from 'node:fs';\n" } },
	{
		rule: 'one-door-into-the-core',
		files: { 'src/lib/setup/planted-d.ts': "export * from '$lib/core/fit/solve';\n" }
	},
	{
		rule: 'setup-stands-on-what-is-below',
		files: { 'src/lib/setup/planted-i.ts': "export type { Winding } from '$lib/inventory/winding';\n" }
	},
	{
		rule: 'ui-never-sees-server',
		files: {
			'src/lib/ui/Planted.svelte':
				'<script lang="ts">import { rack } from \'$lib/server/services\';</script>{rack}\n'
		}
	},
	{ rule: 'routes-call-services', files: { 'src/routes/planted-e.ts': "export * from '$lib/server/db';\n" } },
	{
		rule: 'reference-is-for-tests',
		files: { 'src/lib/core/fit/planted-f.ts': "export * from './reference';\n" }
	},
	{
		rule: 'features-need-each-other-one-way',
		files: {
			'src/lib/ui/features/twist/planted-j.ts': "export * from '../care/words';\n"
		}
	},
	{
		rule: 'no-cycles',
		files: {
			'src/lib/setup/planted-g.ts': "import type { H } from './planted-h';\nexport type G = H | 1;\n",
			'src/lib/setup/planted-h.ts': "import type { G } from './planted-g';\nexport type H = G | 2;\n"
		}
	}
];

const clean = cruise(root);
process.stdout.write(clean.stdout);
if (clean.status !== 0) {
	process.stderr.write(clean.stderr);
	process.exit(1);
}

const copy = mkdtempSync(join(tmpdir(), 'wendle-boundaries-'));
try {
	for (const path of [
		'src',
		'scripts',
		'tsconfig.json',
		'package.json',
		'.dependency-cruiser.cjs',
		'.svelte-kit'
	])
		cpSync(join(root, path), join(copy, path), { recursive: true });
	symlinkSync(join(root, 'node_modules'), join(copy, 'node_modules'));
	for (const { files } of PLANTED)
		for (const [path, text] of Object.entries(files)) writeFileSync(join(copy, path), text);
	const { stdout } = cruise(copy);
	const missed = PLANTED.filter(
		({ rule, files }) =>
			!stdout.split('\n').some(
				(line) =>
					line.includes(rule) &&
					// A rule about folders names the folder.
					Object.keys(files).some((path) => line.includes(path) || line.includes(dirname(path)))
			)
	);
	for (const { rule, files } of missed)
		console.error(`not caught: ${rule} in ${Object.keys(files).join(', ')}`);
	if (missed.length > 0) process.exitCode = 1;
	else console.log(`boundaries hold, and ${PLANTED.length} planted violations were caught`);
} finally {
	rmSync(copy, { recursive: true, force: true });
}
