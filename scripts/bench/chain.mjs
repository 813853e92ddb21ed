import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { root } from '../bootstrap.mjs';
import { answering } from '../serving.mjs';
import { bundled } from './bundled.mjs';

/** Spools of a shop, each with a line, backing and ten years of Care. */
const SPOOLS = 100;
const SHOPS = [1, 5, 20];
const PORT = '4198';
const BASE = `http://127.0.0.1:${PORT}`;
const AGAIN = 7;

/** How long a page takes to come, ms: the median of some times. @param {string} path */
async function comes(path) {
	const times = [];
	let bytes = 0;
	for (let i = 0; i < AGAIN; i++) {
		const began = performance.now();
		bytes = (await (await fetch(BASE + path)).arrayBuffer()).byteLength;
		times.push(performance.now() - began);
	}
	const ms = times.sort((a, b) => a - b)[AGAIN >> 1] ?? NaN;
	return `${ms.toFixed(0)} ms, ${(bytes / 1024).toFixed(0)} KiB`;
}

/** How far one machine goes: shops that all keep their reels in one Wendle. */
export async function chainFigures() {
	const { fillChain } = await bundled('life');
	for (const shops of SHOPS) {
		const data = mkdtempSync(join(tmpdir(), 'wendle-chain-'));
		try {
			const events = await fillChain(data, shops, SPOOLS, new Date().toISOString().slice(0, 10));
			const file = statSync(join(data, 'wendle.sqlite')).size / 1e6;
			console.log(
				`\n${shops} shops: ${shops * SPOOLS} spools, ${events} entries in Care, ${file.toFixed(0)} MB`
			);
			const began = performance.now();
			const server = spawn(process.execPath, ['build/index.js'], {
				cwd: root,
				env: { ...process.env, HOST: '127.0.0.1', PORT, WENDLE_DATA: data },
				stdio: 'ignore'
			});
			await answering(BASE, 10);
			console.log(`from start to the rack ${(performance.now() - began).toFixed(0)} ms`);
			const setups = (await (await fetch(`${BASE}/api/setups?most=10`)).json()).things;
			for (const path of ['/', '/care', '/match', `/fit/${setups[0].id}`, `/bench/${setups[1].id}`])
				console.log(`${path.split('/').slice(0, 2).join('/').padEnd(8)} ${await comes(path)}`);
			const memory = /^process_resident_memory_bytes (\S+)/m.exec(
				await (await fetch(`${BASE}/metrics`)).text()
			);
			console.log(`memory of the server ${(Number(memory?.[1]) / 1e6).toFixed(0)} MB`);
			server.kill('SIGKILL');
		} finally {
			rmSync(data, { recursive: true, force: true });
		}
	}
}
