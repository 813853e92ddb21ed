/** Makes the pictures in docs/screenshots from the demo data: `npm run screenshots`. */
import { chromium } from '@playwright/test';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { build, install, root } from './bootstrap.mjs';
import { LAUNCH } from './chromium.mjs';
import { serveDemo } from './serving.mjs';

const OUT = join(root, 'docs/screenshots');

/** name, spool on the rack ('' for the rack itself, a path for a page), its place, width, theme, tab to open */
const VIEWS = /** @type {const} */ ([
	['rack', '', '', 1280, 'light'],
	['fit', 'Tarn reel A, char', 'fit/{}', 1280, 'light'],
	['fit-new', '/fit/new', '', 1280, 'light'],
	['fit-sure', 'Tarn reel A, char', 'fit/{}', 1280, 'light', 'How sure?'],
	['fit-run', 'Tarn reel A, char', 'fit/{}', 1280, 'dark', 'With a fish on'],
	['fit-spey', 'Long rod, sea-run char', 'fit/{}', 1280, 'light', 'Buy and cut'],
	['match', '/match', '', 1280, 'light'],
	['orders', '/orders', '', 1280, 'light'],
	['stock', '/stock', '', 1280, 'light'],
	['bench', 'Tarn reel B, sinker', 'bench/{}', 1280, 'light'],
	['bench-narrow', 'Tarn reel B, sinker', 'bench/{}', 390, 'dark'],
	['knots', '/knots?place=backing-line&loop=none&swaps=never', '', 1280, 'light'],
	['knot', '/knots/nail-knot?wraps=7&stage=4', '', 1280, 'light'],
	['practise', '/knots/practise?knot=surgeons-loop&seed=5', '', 1280, 'dark'],
	['twist', '/twist', '', 1280, 'light'],
	['swap', 'Beck reel, grayling', 'swap', 1280, 'dark'],
	['care', '/care', '', 1280, 'light'],
	['learnt', '/learnt', '', 1280, 'light'],
	['bench-sheet', 'Long rod, sea-run char', 'bench/{}/sheet', 1280, 'light']
]);

install();
build();
mkdirSync(OUT, { recursive: true });
const { base: BASE, stop } = await serveDemo('4199');
const browser = await chromium.launch(LAUNCH);
try {
	for (const [name, subject, place, width, theme, tab] of VIEWS) {
		const context = await browser.newContext({
			locale: 'en-GB',
			viewport: { width, height: width < 500 ? 844 : 800 }
		});
		await context.addCookies([{ name: 'wendle-theme', value: theme, url: BASE }]);
		const page = await context.newPage();
		await page.goto(subject.startsWith('/') ? BASE + subject : BASE);
		if (subject && !subject.startsWith('/')) {
			const setup = await page.locator(`[data-spool="${subject}"]`).getAttribute('data-setup');
			if (place === 'swap') {
				await page.getByRole('link', { name: `Swap what is on ${subject}` }).click();
				await page
					.getByRole('button', { name: /^Put on/ })
					.first()
					.click();
			} else await page.goto(`${BASE}/${place.replace('{}', setup ?? '')}`);
		}
		await page.evaluate(() => document.fonts.ready);
		await pause(subject === '/match' || subject === '/stock' ? 2500 : 400);
		if (name === 'knot') await page.keyboard.press('End');
		if (tab) {
			await page.getByRole('tab', { name: tab }).click();
			await pause(2500);
		}
		// A tab is as tall as it is: the whole page then.
		await page.screenshot({
			path: join(OUT, `${name}.png`),
			fullPage: tab !== undefined || place.endsWith('sheet')
		});
		await context.close();
		console.log(`docs/screenshots/${name}.png`);
	}
} finally {
	await browser.close();
	stop();
}
