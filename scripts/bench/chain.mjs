import { mkdtempSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { memoryOf, serveFolder } from '../serving.mjs';
import { bundled } from '../bundled.mjs';

/** Spools of a shop, each with a line, backing and ten years of Care. */
const SPOOLS = 100;
const SHOPS = [1, 5, 20];
const PORT = '4198';
const AGAIN = 7;

/** How long a page takes to come, ms: the median of some times. @param {string} url */
async function comes(url) {
	const times = [];
	let bytes = 0;
	for (let i = 0; i < AGAIN; i++) {
		const began = performance.now();
		bytes = (await (await fetch(url)).arrayBuffer()).byteLength;
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
		const events = await fillChain(data, shops, SPOOLS, new Date().toISOString().slice(0, 10));
		const file = statSync(join(data, 'wendle.sqlite')).size / 1e6;
		console.log(
			`\n${shops} shops: ${shops * SPOOLS} spools, ${events} entries in Care, ${file.toFixed(0)} MB`
		);
		const began = performance.now();
		const { base, stop } = await serveFolder(data, PORT);
		try {
			console.log(`from start to the rack ${(performance.now() - began).toFixed(0)} ms`);
			const setups = (await (await fetch(`${base}/api/setups?most=10`)).json()).things;
			for (const path of ['/', '/care', '/match', `/fit/${setups[0].id}`, `/bench/${setups[1].id}`])
				console.log(`${path.split('/').slice(0, 2).join('/').padEnd(8)} ${await comes(base + path)}`);
			console.log(`memory of the server ${(await memoryOf(base)).toFixed(0)} MB`);
		} finally {
			stop();
		}
	}
}
