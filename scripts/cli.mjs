/** `npm run cli -- COMMAND`: asks a Wendle that runs, or one that is started for a data folder. See `cli/main.ts`. */
import { randomUUID } from 'node:crypto';
import { spawn } from 'node:child_process';
import { createServer } from 'node:net';
import { join, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { build, install, root } from './bootstrap.mjs';
import { answering } from './serving.mjs';

/** A port that nobody listens on. @returns {Promise<number>} */
const freePort = () =>
	new Promise((given) => {
		const probe = createServer();
		probe.listen(0, '127.0.0.1', () => {
			const { port } = /** @type {import('node:net').AddressInfo} */ (probe.address());
			probe.close(() => given(port));
		});
	});

/** @param {string} folder */
async function startFor(folder) {
	const port = await freePort();
	const base = `http://127.0.0.1:${port}`;
	// Whoever may read the folder may do everything with what is in it: no passcode is asked for.
	const token = randomUUID();
	const server = spawn(process.execPath, ['build/index.js'], {
		cwd: root,
		env: {
			...process.env,
			HOST: '127.0.0.1',
			PORT: String(port),
			WENDLE_DATA: resolve(folder),
			WENDLE_LOCAL_TOKEN: token,
			WENDLE_LOG: 'silent'
		},
		stdio: ['ignore', 'ignore', 'inherit']
	});
	await answering(`${base}/healthz`);
	return { base, token, close: () => void server.kill() };
}

install();
build();
/** @type {typeof import('../cli/main.ts')} */
const { run } = await import(pathToFileURL(join(root, 'build/tools/cli.js')).href);
process.exitCode = await run(process.argv.slice(2), { print: (text) => console.log(text), startFor });
