import { join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { build } from 'vite';
import { root } from './bootstrap.mjs';

/** A TypeScript file of a folder of the scripts, bundled with the core and loaded. */
export async function bundled(/** @type {string} */ name, folder = 'bench') {
	const outDir = join(root, '.wendle', folder, name);
	await build({
		configFile: false,
		root,
		logLevel: 'error',
		resolve: { alias: { $lib: fileURLToPath(new URL('../src/lib', import.meta.url)) } },
		build: { ssr: `scripts/${folder}/${name}.ts`, outDir, emptyOutDir: true }
	});
	return import(pathToFileURL(join(outDir, `${name}.js`)).href);
}
