/**
 * Checks that imports run downward, and that the check itself bites: each planted violation has to be
 * caught, or a green run would mean nothing.
 */
import { spawnSync } from 'node:child_process';
import { rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './bootstrap.mjs';

const cruise = () =>
	spawnSync(
		'npx',
		['--no-install', 'depcruise', 'src', '--config', '.dependency-cruiser.cjs', '--output-type', 'err'],
		{
			cwd: root,
			encoding: 'utf8'
		}
	);

/** @type {readonly { rule: string, files: Record<string, string> }[]} */
const PLANTED = [
	{ rule: 'core-stands-alone', files: { 'src/lib/core/planted-a.ts': "export { tick } from 'svelte';\n" } },
	{
		rule: 'core-stands-alone',
		files: { 'src/lib/core/planted-b.ts': "export * from '$lib/schema/units';\n" }
	},
	{ rule: 'core-stands-alone', files: { 'src/lib/core/planted-c.ts': "export * from 'node:fs';\n" } },
	{
		rule: 'one-door-into-the-core',
		files: { 'src/lib/schema/planted-d.ts': "export * from '$lib/core/fit/solve';\n" }
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
		rule: 'no-cycles',
		files: {
			'src/lib/schema/planted-g.ts': "import { h } from './planted-h';\nexport const g = () => h;\n",
			'src/lib/schema/planted-h.ts': "import { g } from './planted-g';\nexport const h = () => g;\n"
		}
	}
];

const clean = cruise();
process.stdout.write(clean.stdout);
if (clean.status !== 0) {
	process.stderr.write(clean.stderr);
	process.exit(1);
}

const planted = PLANTED.flatMap(({ files }) => Object.entries(files));
try {
	for (const [path, text] of planted) writeFileSync(join(root, path), text);
	const { stdout } = cruise();
	const missed = PLANTED.filter(
		({ rule, files }) =>
			!stdout
				.split('\n')
				.some((line) => line.includes(rule) && Object.keys(files).some((path) => line.includes(path)))
	);
	for (const { rule, files } of missed)
		console.error(`not caught: ${rule} in ${Object.keys(files).join(', ')}`);
	if (missed.length > 0) process.exit(1);
	console.log(`boundaries hold, and ${PLANTED.length} planted violations were caught`);
} finally {
	for (const [path] of planted) rmSync(join(root, path), { force: true });
}
