/** Figures of a count at the bench: turns a second from a counter, and a long list of events opened. */
import { chromium } from '@playwright/test';
import { once } from 'node:events';
import { setTimeout as pause } from 'node:timers/promises';
import { Counter, counterServer } from '../../counter/counter.mjs';
import { LAUNCH } from '../chromium.mjs';

/** Turns a minute that are tried, each for some seconds, and how soon a count has to agree afterwards, ms. */
const PACES = [12_000, 30_000, 60_000];
const SECONDS = 4;
const SETTLED_MS = 2000;

const EVENTS = 50_000;
const PORTION = 500;
const OPENINGS = 5;

/** @typedef {import('@playwright/test').Page} Page */
/** @param {Page} page */
const turnsOn = (page) => page.locator('[data-turns]').evaluate((at) => Number(at.textContent));

/** A saved set-up and the place of its backing's winding among the steps. @param {string} base */
async function someBench(base) {
	const html = await (await fetch(base)).text();
	const id = /\/(?:bench|fit)\/([0-9a-f-]{36})/.exec(html)?.[1];
	if (!id) throw new Error('the demo data has no set-up');
	return { id, address: `${base}/bench/${id}` };
}

/** @param {Page} page */
async function toBacking(page) {
	await page.locator('[data-ready]').waitFor();
	await page.getByRole('button', { name: 'Wind the backing', exact: true }).last().click();
}

/** @param {Page} page @param {string} address @param {(what: string, figure: string, aim?: string) => void} say */
async function pulses(page, address, say) {
	const counter = new Counter();
	const server = counterServer(counter).listen(0, '127.0.0.1');
	await once(server, 'listening');
	const { port } = /** @type {import('node:net').AddressInfo} */ (server.address());
	await page.goto(address);
	await toBacking(page);
	await page.getByRole('group', { name: 'Way of counting' }).getByText('Counter').click();
	await page.getByLabel('Address of the counter').fill(`http://127.0.0.1:${port}`);
	await page.getByRole('button', { name: 'Link', exact: true }).click();
	await page.locator('[data-link="linked"]').waitFor();
	for (const pace of PACES) {
		const before = { counter: counter.total, page: await turnsOn(page) };
		counter.set({ running: true, pace, jitter: 0.3 });
		await pause(1000 * SECONDS);
		counter.set({ running: false });
		const sent = counter.total - before.counter;
		const until = Date.now() + SETTLED_MS;
		let counted = 0;
		while (Date.now() < until && counted !== sent) {
			counted = (await turnsOn(page)) - before.page;
			await pause(50);
		}
		say(
			`${(sent / SECONDS).toFixed(0)} turns a second from a counter: sent, counted`,
			`${sent}, ${counted}`,
			'aim: the same at 200 a second'
		);
	}
	await page.getByRole('button', { name: 'Unlink' }).click();
	counter.stop();
	server.close();
	server.closeAllConnections();
}

/** @param {string} base @param {string} setupId */
async function longRun(base, setupId) {
	const headers = { 'content-type': 'application/json' };
	const run = `${base}/api/runs/bench-long`;
	await fetch(run, { method: 'PUT', headers, body: JSON.stringify({ setupId }) });
	const start = performance.now();
	for (let from = 0; from < EVENTS; from += PORTION) {
		const events = Array.from({ length: PORTION }, (_, i) => ({
			id: `e${from + i}`,
			at: 1_000_000 + 250 * (from + i),
			kind: 'counter',
			part: 'backing',
			session: 's',
			seq: from + i,
			total: (from + i) / 50
		}));
		const reply = await fetch(`${run}/events`, { method: 'POST', headers, body: JSON.stringify({ events }) });
		if (!reply.ok) throw new Error(`events were refused: ${reply.status}`);
	}
	return performance.now() - start;
}

/**
 * From the page's script to the count on the screen, with the log in the browser.
 * @param {Page} page @param {string} address
 */
async function opened(page, address) {
	await page.goto(address);
	await page.locator('[data-ready]').waitFor();
	const wanted = Math.floor((EVENTS - 1) / 50);
	await page.waitForFunction(
		(turns) => performance.getEntriesByName('run-opened').length > 0 || turns < 0,
		wanted
	);
	return page.evaluate(() => performance.getEntriesByName('run-opened')[0]?.duration ?? NaN);
}

/**
 * @param {string} base where the filled application answers
 * @param {(what: string, figure: string, aim?: string) => void} say
 */
export async function countingFigures(base, say) {
	const { id, address } = await someBench(base);
	const browser = await chromium.launch(LAUNCH);
	const page = await browser.newPage();
	await pulses(page, address, say);
	const ms = await longRun(base, id);
	say(`${EVENTS / 1000},000 events taken in by the server`, `${((1000 * EVENTS) / ms).toFixed(0)} a second`);
	const first = await opened(page, address);
	const times = [];
	for (let i = 0; i < OPENINGS; i++) times.push(await opened(page, address));
	times.sort((a, b) => a - b);
	say('the same opened from the server, in a browser new to it', `${first.toFixed(0)} ms`);
	say(
		`the same opened from this browser's log, median of ${OPENINGS}`,
		`${times[Math.floor(OPENINGS / 2)]?.toFixed(0)} ms`,
		'aim: under 300 ms'
	);
	await browser.close();
}
