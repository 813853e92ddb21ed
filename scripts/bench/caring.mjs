import { chromium } from '@playwright/test';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { LAUNCH } from '../chromium.mjs';
import { bundled } from '../bundled.mjs';

const LINES = 500;
const OPENED = 12;

/** Milliseconds from asking for the page to its drawn time lines; the median of some openings. */
async function drawn(/** @type {string} */ base, /** @type {(values: number[]) => number} */ median) {
	const browser = await chromium.launch(LAUNCH);
	const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
	const times = [];
	for (let i = 0; i < OPENED; i++) {
		await page.goto(`${base}/twist`, { waitUntil: 'networkidle' });
		const began = performance.now();
		await page.goto(`${base}/care`, { waitUntil: 'commit' });
		await page.locator('[data-lane] svg g').first().waitFor();
		times.push(performance.now() - began);
	}
	await browser.close();
	return median(times);
}

/**
 * How long the care page takes with five hundred lines and ten years of what happened to them.
 *
 * @param {{
 *   start: (data: string, path?: string) => Promise<{ server: import('node:child_process').ChildProcess, ms: number }>,
 *   stop: (server: import('node:child_process').ChildProcess) => Promise<void>,
 *   say: (what: string, figure: string, aim?: string) => void,
 *   median: (values: number[]) => number,
 *   base: string
 * }} tools
 */
export async function caringFigures({ start, stop, say, median, base }) {
	const { fillLife } = await bundled('life');
	const data = mkdtempSync(join(tmpdir(), 'wendle-bench-life-'));
	const open = async (/** @type {string} */ path) => {
		const began = performance.now();
		const text = await (await fetch(base + path)).text();
		return { ms: performance.now() - began, bytes: text.length };
	};
	try {
		const today = new Date().toISOString().slice(0, 10);
		const events = await fillLife(data, LINES, today);
		// A page that needs no data: the server is up, and nobody has asked for care before.
		const { server, ms } = await start(data, '/knots');
		say(`${LINES} lines, ${events} events: from start to a page`, `${ms.toFixed(0)} ms`);
		const first = await open('/care');
		const again = [];
		for (let i = 0; i < OPENED; i++) again.push((await open('/care')).ms);
		say('care, opened for the first time', `${first.ms.toFixed(0)} ms`, 'aim: under 500 ms');
		say(
			'care, opened again; what it sends',
			`${median(again).toFixed(0)} ms, ${(first.bytes / 1024).toFixed(0)} KiB`,
			'aim: under 500 ms'
		);
		say(
			'care in a browser, until its time lines are drawn',
			`${(await drawn(base, median)).toFixed(0)} ms`,
			'aim: under 500 ms'
		);
		say('the rack beside it', `${(await open('/')).ms.toFixed(0)} ms`);
		say('what is due before a day', `${(await open('/care/plan')).ms.toFixed(0)} ms`);
		say('the calendar file', `${(await open('/calendar.ics')).ms.toFixed(0)} ms`);
		const { kept } = (await (await fetch(`${base}/api/care`)).json()).entries[0];
		const began = performance.now();
		await fetch(`${base}/api/care`, {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify({
				events: [
					{ keptId: kept.id, event: { id: 'bench-event', day: today, at: Date.now(), kind: 'cleaned' } }
				]
			})
		});
		say('one event written down', `${(performance.now() - began).toFixed(0)} ms`);
		say('care, opened after it', `${(await open('/care')).ms.toFixed(0)} ms`, 'aim: under 500 ms');
		await stop(server);
	} finally {
		rmSync(data, { recursive: true, force: true });
	}
}
