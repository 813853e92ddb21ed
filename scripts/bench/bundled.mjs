import { join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { build } from 'vite';
import { root } from '../bootstrap.mjs';

/** A TypeScript file of this folder, bundled with the core and loaded. */
export async function bundled(/** @type {string} */ name) {
	const outDir = join(root, '.wendle/bench', name);
	await build({
		configFile: false,
		root,
		logLevel: 'error',
		resolve: { alias: { $lib: fileURLToPath(new URL('../../src/lib', import.meta.url)) } },
		build: { ssr: `scripts/bench/${name}.ts`, outDir, emptyOutDir: true }
	});
	return import(pathToFileURL(join(outDir, `${name}.js`)).href);
}
