import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { pathToFileURL } from 'node:url';
import { root } from './bootstrap.mjs';

/** Waits until an address answers. @param {string} url @param {number} [everyMs] how often it is asked */
export async function answering(url, everyMs = 50) {
	while (
		!(await fetch(url).then(
			({ ok }) => ok,
			() => false
		))
	)
		await pause(everyMs);
}

/** Fills a folder with the demo's rack and its orders; false where there is one already. @param {string} data @returns {Promise<boolean>} */
export async function fillWithDemo(data) {
	const { fillDemo, fillOrders } = await import(pathToFileURL(join(root, 'build/tools/fill-demo.js')).href);
	return (await fillDemo(data)) && fillOrders(data);
}

/** Serves the built application with the data of a folder, which goes when `stop` is called. @param {string} data @param {string} port */
export async function serveFolder(data, port) {
	const base = `http://127.0.0.1:${port}`;
	const server = spawn(process.execPath, ['build/index.js'], {
		cwd: root,
		env: { ...process.env, HOST: '127.0.0.1', PORT: port, WENDLE_DATA: data },
		stdio: 'ignore'
	});
	await answering(base, 10);
	return {
		base,
		stop: () => {
			server.kill('SIGKILL');
			rmSync(data, { recursive: true, force: true });
		}
	};
}

/** Serves a rack of the demo. @param {string} port */
export async function serveDemo(port) {
	const data = mkdtempSync(join(tmpdir(), 'wendle-demo-'));
	await fillWithDemo(data);
	return serveFolder(data, port);
}

/** Memory of a server, MB. @param {string} base */
export const memoryOf = async (base) =>
	Number(/^process_resident_memory_bytes (\S+)/m.exec(await (await fetch(`${base}/metrics`)).text())?.[1]) /
	1e6;
