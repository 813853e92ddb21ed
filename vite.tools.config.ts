import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

/** Bundles what runs on plain Node beside the built server: the filling of the demo data, backups, and the command line. */
export default defineConfig({
	resolve: { alias: { $lib: fileURLToPath(new URL('./src/lib', import.meta.url)) } },
	build: {
		ssr: true,
		outDir: 'build/tools',
		emptyOutDir: true,
		target: 'node20',
		rollupOptions: {
			input: {
				'fill-demo': 'demo/fill.ts',
				backup: 'src/lib/server/db/backup.ts',
				cli: 'cli/main.ts',
				passcode: 'serve/passcode.ts',
				salvage: 'src/lib/server/services/salvage.ts',
				serve: 'serve/main.ts',
				work: 'src/lib/server/work/worker.ts'
			},
			output: { entryFileNames: '[name].js' }
		}
	}
});
