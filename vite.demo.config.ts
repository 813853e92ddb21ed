import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

/** Bundles the filling of the demo data, so that it runs on plain Node beside the built server. */
export default defineConfig({
	resolve: { alias: { $lib: fileURLToPath(new URL('./src/lib', import.meta.url)) } },
	build: {
		ssr: 'demo/fill.ts',
		outDir: 'build/tools',
		emptyOutDir: true,
		target: 'node20',
		rollupOptions: { output: { entryFileNames: 'fill-demo.js' } }
	}
});
