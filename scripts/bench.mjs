/**
 * Speed, size and start-up, with the machine's own noise beside them: `npm run bench`.
 * Figures of one run compare with each other; machines differ.
 */
import { chromium } from '@playwright/test';
import autocannon from 'autocannon';
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { bundled } from './bundled.mjs';
import { caringFigures } from './bench/caring.mjs';
import { countingFigures } from './bench/counting.mjs';
import { lighthouseFigures } from './bench/lighthouse.mjs';
import { scrubbingFigures } from './bench/scrubbing.mjs';
import { build, install, root } from './bootstrap.mjs';
import { LAUNCH } from './chromium.mjs';
import { answering, fillWithDemo } from './serving.mjs';

const PORT = '4198';
const BASE = `http://127.0.0.1:${PORT}`;

const sorted = (/** @type {number[]} */ values) => [...values].sort((a, b) => a - b);
const median = (/** @type {number[]} */ values) => sorted(values)[Math.floor(values.length / 2)] ?? NaN;
const quantile = (/** @type {number[]} */ values, /** @type {number} */ q) =>
	sorted(values)[Math.min(values.length - 1, Math.floor(values.length * q))] ?? NaN;

/** @param {string} what @param {string} figure @param {string} [aim] */
const say = (what, figure, aim = '') => console.log(`${what.padEnd(58)} ${figure.padEnd(26)} ${aim}`);

/** Milliseconds of each of `runs` calls. */
function time(/** @type {() => unknown} */ call, /** @type {number} */ runs) {
	const times = [];
	for (let i = 0; i < runs; i++) {
		const start = performance.now();
		call();
		times.push(performance.now() - start);
	}
	return times;
}

function noise() {
	const loop = () => {
		let sum = 0;
		for (let i = 0; i < 3e6; i++) sum += Math.sqrt(i);
		return sum;
	};
	time(loop, 10);
	const times = time(loop, 60);
	const spread = (quantile(times, 0.9) - quantile(times, 0.1)) / median(times);
	say(
		'noise: a fixed loop, median and 10–90 % spread',
		`${median(times).toFixed(2)} ms, ${(100 * spread).toFixed(0)} %`
	);
}

async function coreFigures() {
	const core = await bundled('core');
	const { fitOnce, oracleOnce, simulateOnce, estimateOnce, sampleOnce, matrixOnce, knotOnce, drawKnotOnce } =
		core;
	const lengthMm = fitOnce();
	time(fitOnce, 3000);
	const fits = time(fitOnce, 5000);
	const oracle = time(() => oracleOnce(lengthMm), 5);
	say('one fit, five components, tapered', `${(median(fits) * 1000).toFixed(0)} µs`, 'aim: under 200 µs');
	say(
		'the oracle winding the same once',
		`${median(oracle).toFixed(1)} ms`,
		`${(median(oracle) / median(fits)).toFixed(0)} times as long`
	);
	time(simulateOnce, 2);
	say('Monte Carlo, 20,000 trials', `${median(time(simulateOnce, 7)).toFixed(0)} ms`, 'aim: under 300 ms');
	time(estimateOnce, 30);
	say('an estimate from ten readings', `${median(time(estimateOnce, 50)).toFixed(1)} ms`, 'aim: under 5 ms');
	say('20,000 samples of it', `${median(time(sampleOnce, 3)).toFixed(0)} ms`, 'aim: under 300 ms');
	const { count, atOnce, oneMore } = (await bundled('rack')).rackSpeed();
	time(atOnce, 3);
	say(`a rack of ${count} windings learnt`, `${median(time(atOnce, 7)).toFixed(0)} ms`, 'aim: under 1 s');
	time(oneMore, 5);
	say('the same with one winding more', `${median(time(oneMore, 15)).toFixed(0)} ms`, 'aim: under 100 ms');
	say(
		'match matrix, 50 spools by 200 lines',
		`${median(time(matrixOnce, 3)).toFixed(0)} ms`,
		'aim: under 1 s'
	);
	time(knotOnce, 5);
	say(
		'crossings and invariants of the largest knot',
		`${median(time(knotOnce, 20)).toFixed(1)} ms`,
		'aim: under 20 ms'
	);
	time(drawKnotOnce, 5);
	say('the same knot cut into pieces for drawing', `${median(time(drawKnotOnce, 20)).toFixed(1)} ms`);
}

/** Starts the server and says how long it took to the first answer. */
async function start(/** @type {string} */ data, path = '/') {
	const began = performance.now();
	const server = spawn(process.execPath, ['build/index.js'], {
		cwd: root,
		env: { ...process.env, HOST: '127.0.0.1', PORT, WENDLE_DATA: data },
		stdio: 'ignore'
	});
	await answering(BASE + path, 10);
	return { server, ms: performance.now() - began };
}

async function stop(/** @type {import('node:child_process').ChildProcess} */ server) {
	const ended = new Promise((settle) => server.once('exit', settle));
	server.kill('SIGKILL');
	await ended;
}

const FIT_BODY = JSON.stringify({
	spool: { rimDiameterMm: 84, arborDiameterMm: 38, widthMm: 21 },
	stack: [
		{ role: 'backing', material: 'polyester-20' },
		{ role: 'line', lineClass: 'WF6F' }
	],
	gapMm: 4
});

async function requestFigures() {
	const result = await autocannon({
		url: `${BASE}/api/fit`,
		method: 'POST',
		headers: { 'content-type': 'application/json' },
		body: FIT_BODY,
		connections: 10,
		duration: 6
	});
	say(
		'POST /api/fit, ranges included, 10 connections',
		`${result.requests.average.toFixed(0)} requests/s`,
		`p99 ${result.latency.p99} ms`
	);
	if (result.non2xx > 0) throw new Error(`${result.non2xx} answers were not 200`);
}

async function browserFigures() {
	const browser = await chromium.launch(LAUNCH);
	const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
	/** @type {{ url: string, size: number, font: boolean }[]} */
	const loaded = [];
	/** @type {Promise<void>[]} */
	const reading = [];
	page.on('response', (response) => {
		reading.push(
			response
				.body()
				.then((body) => {
					const font = response.url().endsWith('.woff2');
					loaded.push({ url: response.url(), size: font ? body.length : gzipSync(body).length, font });
				})
				.catch(() => {})
		);
	});
	await page.goto(`${BASE}/fit/new`, { waitUntil: 'networkidle' });
	await Promise.all(reading);
	const sum = (/** @type {boolean} */ font) =>
		loaded.filter((item) => item.font === font).reduce((total, { size }) => total + size, 0) / 1000;
	say('first load of /fit/new, gzip: page, styles, scripts', `${sum(false).toFixed(0)} kB`);
	say('   with its fonts', `${(sum(false) + sum(true)).toFixed(0)} kB`, 'aim: under 150 kB');

	await page.getByRole('radio', { name: 'Measured' }).click();
	await page.getByLabel('Across the rims').fill('84 mm');
	await page.getByLabel('Across the arbor').fill('38 mm');
	await page.getByLabel('Between the flanges').fill('21 mm');
	const field = page.getByRole('textbox', { name: 'Gap to leave' });
	await field.fill('4');
	const cdp = await page.context().newCDPSession(page);
	await cdp.send('Performance.enable');
	const script = async () => {
		const { metrics } = await cdp.send('Performance.getMetrics');
		return 1000 * (metrics.find(({ name }) => name === 'ScriptDuration')?.value ?? NaN);
	};
	const frame = () =>
		page.evaluate(() => new Promise((done) => requestAnimationFrame(() => setTimeout(done, 0))));
	/** @type {number[]} */
	const scripts = [];
	/** What measuring itself costs, taken off. */
	const empty = [];
	for (let i = 0; i < 60; i++) {
		await frame();
		const idle = await script();
		await frame();
		const before = await script();
		empty.push(before - idle);
		await field.press(i % 2 === 0 ? '1' : 'Backspace');
		await frame();
		scripts.push((await script()) - before);
	}
	const own = median(empty);
	say(
		'keystroke to painted answer: script on the main thread',
		`${(median(scripts) - own).toFixed(1)} ms (p90 ${(quantile(scripts, 0.9) - own).toFixed(1)})`,
		'aim: under 16 ms'
	);
	await browser.close();
}

install();
build();
noise();
await coreFigures();
const data = mkdtempSync(join(tmpdir(), 'wendle-bench-'));
try {
	const first = await start(data);
	say('start-up with a new database, to the first page', `${first.ms.toFixed(0)} ms`);
	await stop(first.server);
	const starts = [];
	for (let i = 0; i < 5; i++) {
		const { server, ms } = await start(data);
		starts.push(ms);
		await stop(server);
	}
	say('start-up again, median of 5', `${median(starts).toFixed(0)} ms`, 'aim: under 1 s');
	await fillWithDemo(data);
	const { server } = await start(data);
	try {
		await requestFigures();
		await browserFigures();
		await scrubbingFigures(BASE, say);
		await countingFigures(BASE, say);
		const rack = await fetch(BASE).then((reply) => reply.text());
		const setup = /data-setup="([^"]+)"/.exec(rack)?.[1] ?? '';
		await lighthouseFigures(BASE, ['/', '/fit/new', `/bench/${setup}`, '/care', '/knots'], say);
	} finally {
		await stop(server);
	}
	await caringFigures({ start, stop, say, median, base: BASE });
} finally {
	rmSync(data, { recursive: true, force: true });
}
noise();
