/**
 * One journey in Firefox and in WebKit: set up a spool, move the gap, count at the bench, look at a knot and at Care. It fails where
 * something doesn't work in one of them, and leaves pictures in `.wendle/engines`.
 */
import { existsSync, mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { root } from '../bootstrap.mjs';
import { installDebian } from '../debian.mjs';
import { serveDemo } from '../serving.mjs';
import { firefox, webkit } from './drivers.mjs';

const PICTURES = join(root, '.wendle/engines');

const labelled = (/** @type {string} */ label) =>
	`(//*[@aria-label="${label}"] | //*[@id=//label[normalize-space()="${label}"]/@for])[1]`;
const button = (/** @type {string} */ text) => `//button[contains(normalize-space(), "${text}")]`;

/** @param {boolean} holds @param {string} what */
function expect(holds, what) {
	if (!holds) throw new Error(`not so: ${what}`);
}

/** @param {import('./drivers.mjs').Hands} hands @param {string} engine @param {string} base */
async function journey(hands, engine, base) {
	const picture = (/** @type {string} */ of) => hands.picture(join(PICTURES, `${engine}-${of}.png`));
	const answer = async (/** @type {string} */ of) =>
		Number.parseFloat(await hands.read(`//*[@data-answer="${of}"]`));

	await hands.open(`${base}/fit/new?know=measured`);
	await hands.read('//*[@data-ready]//h2');
	await hands.type(labelled('Name of the spool'), `Tried in ${engine}`);
	await hands.type(labelled('Across the rims'), '84 mm');
	await hands.type(labelled('Across the arbor'), '38 mm');
	await hands.type(labelled('Between the flanges'), '21 mm');
	const planned = await answer('length');
	expect(planned > 50 && planned < 400, `${planned} yd of backing go under a WF5F`);
	const gap = await answer('gap');
	await hands.keys('//*[@role="slider" and @aria-label="Gap to leave"]', ['PageDown', 'ArrowDown']);
	const wider = await answer('gap');
	expect(Math.abs(wider - gap - 1.1) < 0.051, `the gap went from ${gap} to ${wider} mm by keys`);
	expect((await answer('length')) < planned, 'a wider gap leaves room for less');
	await hands.read('//*[@data-save="saved"]');
	await picture('fit');
	/** Native fields are as tall as their text. */
	const cutOff = await hands.evaluate(
		`[...document.querySelectorAll('select')].filter((s) => s.offsetHeight > 0 && s.scrollHeight > s.offsetHeight + 1).length`
	);
	expect(cutOff === 0, `${String(cutOff)} choices are cut off`);

	const turns = await answer('turns');
	await hands.press(button('Take it to the bench'));
	await hands.read('//*[@id="step-title"]');
	while (!(await hands.read('//*[@id="step-title"]')).includes('Wind the backing')) {
		const before = await hands.read('//*[@id="step-title"]');
		await hands.press(button('Done, next'));
		await hands.read(`//*[@id="step-title" and normalize-space() != "${before.trim()}"]`);
	}
	// The bench knows who winds, and the plan follows by a turn or two.
	const toGo = Number(await hands.read('//*[@data-left]'));
	expect(Math.abs(toGo - turns) <= 3, `${turns} turns were planned, and ${toGo} are to go`);
	await hands.press(button('10 turns'));
	await hands.read('//*[@data-turns and normalize-space()="10"]');
	await hands.type(labelled('Turns that are on'), String(toGo - 5));
	await hands.press(button('Set the count'));
	await hands.read('//*[@data-left and normalize-space()="5"]');
	await hands.read('//*[@role="status" and starts-with(normalize-space(), "Saved,")]');
	await picture('bench');

	await hands.press('//nav//a[normalize-space()="Knots"]');
	await hands.press('//a[contains(@href, "/knots/albright")]');
	await hands.read('//main//h1[contains(., "Albright")]');
	const drawn = await hands.evaluate(`document.querySelectorAll('main svg path').length`);
	expect(Number(drawn) > 3, `the knot is drawn, in ${String(drawn)} paths`);
	// WebKitWebDriver waits for ever to take a picture of a page with a drawing that plays.
	if (engine !== 'webkit') await picture('knot');

	await hands.press('//nav//a[normalize-space()="Care"]');
	await hands.read('//*[@data-reel]//h2');
	await hands.press('(//*[@data-due="clean" and @data-overdue]//button[normalize-space()="Cleaned"])[1]');
	await hands.read('//*[contains(text(), "saved.")]');
	await picture('care');
}

mkdirSync(PICTURES, { recursive: true });
/** Debian's packages of both engines, with a screen for the one that has no headless mode. */
const ENGINES = ['firefox-esr', 'webkit2gtk-driver', 'xvfb', 'xauth'];
if (!existsSync('/usr/bin/firefox-esr') || !existsSync('/usr/bin/WebKitWebDriver')) installDebian(ENGINES);
const { base, stop } = await serveDemo('4196');
let failed = 0;
try {
	for (const [engine, opens] of /** @type {const} */ ([
		['firefox', firefox],
		['webkit', webkit]
	])) {
		const hands = await opens();
		try {
			await journey(hands, engine, base);
			console.log(`${engine}: the whole journey`);
		} catch (error) {
			failed += 1;
			await hands.picture(join(PICTURES, `${engine}-failed.png`)).catch(() => undefined);
			console.error(`${engine}:`, error);
		} finally {
			await hands.close();
		}
	}
} finally {
	stop();
}
process.exitCode = failed > 0 ? 1 : 0;
