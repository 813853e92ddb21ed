import adapter from '@sveltejs/adapter-node';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';
import { writeFileSync } from 'node:fs';

const node = adapter();

/** @type {import('@sveltejs/kit').Config} */
export default {
	preprocess: vitePreprocess(),
	compilerOptions: { runes: ({ filename }) => (filename.includes('node_modules') ? undefined : true) },
	kit: {
		adapter: {
			...node,
			async adapt(builder) {
				await node.adapt(builder);
				// Whichever way the built server is started, it is started by `serve/main.ts`: on this computer alone unless told otherwise.
				writeFileSync('build/index.js', "await import('./tools/serve.js');\n");
			}
		},
		alias: { $lib: 'src/lib' },
		csp: {
			mode: 'nonce',
			directives: {
				'default-src': ['self'],
				'script-src': ['self', 'wasm-unsafe-eval'],
				// Places and sizes in drawings are style attributes.
				'style-src': ['self', 'unsafe-inline'],
				'img-src': ['self', 'blob:', 'data:'],
				'font-src': ['self'],
				'worker-src': ['self', 'blob:'],
				// A turn counter is a device of its own: see `counter/`.
				'connect-src': [
					'self',
					'http://127.0.0.1:*',
					'http://localhost:*',
					'http://*:4317',
					'https://*:4317'
				],
				'object-src': ['none'],
				'base-uri': ['none'],
				'form-action': ['self'],
				'frame-ancestors': ['none']
			}
		}
	}
};
