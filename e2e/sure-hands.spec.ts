import type { Page } from '@playwright/test';
import { newSetup } from '../src/lib/setup/presets';
import { measured, more } from './fit-page';
import { answer, expect, fitOf, hold, open, test, toBench } from './server';

const title = (page: Page) => page.locator('#step-title');
const turns = (page: Page) => page.locator('[data-turns]');

test('a mis-hit costs nothing: it is asked once, with the numbers, and Back takes the tick away', async ({
	page,
	demo
}) => {
	expect(demo.url).toBeTruthy();
	await toBench(page);
	const ask = page.getByRole('dialog', { name: 'Is all of the backing on?' });
	await page.keyboard.press(' ');
	await expect(ask).toContainText('0 of 1052 turns counted, 1052 to go.');
	await expect(ask).toContainText('No depth has been read.');
	// The same key again, and Escape, keep winding.
	await page.keyboard.press(' ');
	await expect(ask).toBeHidden();
	await page.keyboard.press('PageDown');
	await page.keyboard.press('Escape');
	await expect(ask).toBeHidden();
	await expect(title(page)).toHaveText('Wind the backing');

	for (let i = 0; i < 40; i++) await page.keyboard.press('t');
	await page.getByRole('button', { name: /^Done, next/ }).click();
	await expect(ask).toContainText('400 of 1052 turns counted, 652 to go.');
	const left = await page.locator('[data-time-left]').textContent();
	await ask.getByRole('button', { name: 'Yes, go to the next step' }).click();
	await expect(title(page)).toHaveText("Find the line's rear end");
	await expect(page.getByRole('checkbox', { name: 'Wind the backing' })).toBeChecked();
	await page.getByRole('button', { name: 'Back', exact: true }).click();
	await expect(title(page)).toHaveText('Wind the backing');
	await expect(page.getByRole('checkbox', { name: 'Wind the backing' })).not.toBeChecked();
	await expect(page.locator('[data-time-left]')).toHaveText(left!);
	await expect(turns(page)).toHaveText('400');

	// A depth that says it is there is enough.
	await page.getByLabel('Turns that are on').fill('1050');
	await page.getByRole('button', { name: 'Set the count' }).click();
	await page.getByRole('button', { name: /^Done, next/ }).click();
	await expect(title(page)).toHaveText("Find the line's rear end");
});

test('what a tap stands for belongs to one job', async ({ page, demo }) => {
	expect(demo.url).toBeTruthy();
	await toBench(page);
	await page.getByLabel('a tap is').fill('200');
	await page.getByLabel('a tap is').blur();
	await page.reload();
	await expect(page.getByLabel('a tap is')).toHaveValue('200');
	await toBench(page, 'Beck reel, grayling');
	await page
		.getByRole('list', { name: 'Steps of the job' })
		.getByRole('button', { name: 'Wind the backing', exact: true })
		.click();
	await expect(page.getByLabel('a tap is')).toHaveValue('10');
});

test('single letters can be switched off; Space and the arrows stay', async ({ page, demo }) => {
	expect(demo.url).toBeTruthy();
	await toBench(page);
	await page.keyboard.press('?');
	await page.getByLabel(/Use single letters and signs as keys/).uncheck();
	await page.keyboard.press('Escape');
	await page.keyboard.press('t');
	await page.keyboard.press('+');
	await page.keyboard.press('ArrowRight');
	await expect(title(page)).toHaveText("Find the line's rear end");
	await page.keyboard.press('ArrowLeft');
	await expect(turns(page)).toHaveText('0');
	await page.reload();
	await page.locator('[data-ready]').waitFor();
	await page.keyboard.press('t');
	await page.getByRole('button', { name: '+1', exact: true }).or(page.getByLabel('One turn more')).click();
	await expect(turns(page)).toHaveText('1');
});

for (const [width, height] of [
	[844, 390],
	[640, 400],
	[390, 844],
	[1280, 800]
] as const)
	test(`the number and the next step are in sight at ${width} by ${height}`, async ({ page, demo }) => {
		expect(demo.url).toBeTruthy();
		await page.setViewportSize({ width, height });
		await toBench(page);
		const inSight = async (top: number): Promise<void> => {
			await page.evaluate((y) => window.scrollTo(0, y), top);
			const next = page.getByRole('button', { name: /^Done, next/ });
			await expect(next).toBeInViewport({ ratio: 1 });
			await expect(page.getByText('1052', { exact: true }).locator('visible=true').last()).toBeInViewport({
				ratio: 1
			});
			const tap = await page
				.getByRole('button', { name: /^(10 turns of backing|10 turns)/ })
				.last()
				.boundingBox();
			const box = (await next.boundingBox())!;
			// The step's end stands apart from the count.
			const apart = Math.max(box.x - tap!.x - tap!.width, tap!.y - box.y - box.height);
			expect(apart).toBeGreaterThanOrEqual(60);
			expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width);
		};
		await inSight(0);
		if (width < 1024) await inSight(400);
	});

test('a wound reel opens as what it is, and leads to what puts it right', async ({ page, demo }) => {
	expect(demo.url).toBeTruthy();
	await open(page, '/');
	await page.locator('[data-spool="Beck reel, grayling"] a').first().click();
	await expect(page.getByRole('heading', { name: 'Beck reel, grayling' })).toBeVisible();
	await expect(page.locator('[data-on-it]')).toContainText('gap 3.9 mm');
	await expect(page.getByRole('link', { name: "Change what's on it" })).toHaveAttribute('href', /^\/swap\?/);
	await expect(page.getByRole('link', { name: 'Print its label' })).toBeVisible();

	await page.getByRole('link', { name: /It's too full/ }).click();
	await page.locator('[data-ready]').waitFor();
	// At the gap, with everything before it done and all turns on, and the remedy chosen.
	await expect(title(page)).toHaveText('Look at the gap');
	await expect(page.getByRole('checkbox', { name: 'Wind the line', exact: true })).toBeChecked();
	await expect(page.getByRole('checkbox', { name: 'Look at the gap' })).not.toBeChecked();
	await expect(page.getByLabel(/It's too full/)).toBeChecked();
	await page.getByLabel('Gap that you measure').fill('2.9 mm');
	await page.getByRole('button', { name: 'Save reading' }).click();
	await expect(page.locator('[data-correction]')).toContainText(/Take off \d+ yd of backing/);
	await page.getByRole('button', { name: 'Go on from there' }).click();
	await expect(title(page)).toHaveText('Wind the backing');
	await expect(page.getByRole('checkbox', { name: 'Tie the backing to the arbor' })).toBeChecked();
});

test('what is wrong at the last look leads to its own step', async ({ page, demo }) => {
	expect(demo.url).toBeTruthy();
	await open(page, '/');
	await page.locator('[data-spool="Loan box, junior"] a').first().click();
	await page.getByRole('link', { name: /wrong hand/ }).click();
	await page.locator('[data-ready]').waitFor();
	await expect(title(page)).toHaveText('Last look');
	await page.getByRole('button', { name: 'Go on from there' }).click();
	await expect(title(page)).toContainText('-hand wind');
	await expect(page.getByRole('checkbox', { name: 'Wind the line', exact: true })).not.toBeChecked();
});

test('the same places are named on every page, and Bench says what is waiting', async ({ page, demo }) => {
	const fit = await fitOf(page, 'Tarn reel A, char');
	const names = ['Rack', 'Fit', 'Bench', 'Knots', 'Twist', 'Care', 'Match', 'Help'];
	for (const path of [
		'/',
		fit,
		fit.replace('/fit/', '/bench/'),
		'/knots',
		'/care',
		'/match',
		'/help',
		'/swap'
	]) {
		await page.goto(demo.url + path);
		await expect(page.getByRole('navigation', { name: 'Places' }).getByRole('link')).toHaveText(names);
	}
	await open(page, '/knots');
	await page.getByRole('link', { name: 'Bench', exact: true }).click();
	await expect(page.locator('[data-jobs] li').first()).toContainText('Tarn reel B, sinker');
	await page.locator('[data-jobs] a').first().click();
	await expect(title(page)).toHaveText('Wind the backing');
});

test('an empty rack has three ways in, each asking what it says', async ({ page, server }) => {
	expect(server.url).toBeTruthy();
	for (const [way, asks] of [
		['I have calipers', 'Across the rims'],
		["It's already wound", 'Backing on it now'],
		['What does the box say?', 'Backing on the box']
	] as const) {
		await open(page, '/');
		await page.getByRole('link', { name: way }).click();
		await expect(page.getByRole('textbox', { name: asks })).toBeVisible();
	}
	await page.goto(`${server.url}/bench`);
	await expect(page.getByRole('heading', { name: 'Nothing is waiting at the bench' })).toBeVisible();
});

test('a switch reel: its head by grains or by a two-handed class, never by the single-hand one', async ({
	page
}) => {
	await measured(page, ['95 mm', '45 mm', '28 mm']);
	await page.getByLabel('Begin with a stack').selectOption('Switch');
	await more(page, 'head');
	const editor = page.getByRole('region', { name: 'On the spool' });
	await expect(editor.getByLabel('Known', { exact: true }).locator('option')).toHaveText([
		'By weight',
		'By table',
		'By diameter'
	]);
	const yards = await answer(page, 'length');
	await editor.getByLabel('Two-handed class').selectOption('#8 short belly, 530 gr');
	await expect(editor.getByLabel('Weight')).toHaveValue('530 gr');
	await expect.poll(() => answer(page, 'length')).toBeLessThan(yards);
	await expect(page.locator('[data-answer="judgement"]')).toContainText('heads on a running line');
	await editor.getByLabel('Weight').fill('');
	await more(page, 'head');
	// Closed, it still says why the answers wait.
	await expect(page.locator('[data-reason]')).toBeVisible();
	await more(page, 'running line');
	await editor.getByLabel('About as thick as').selectOption('30 lb mono, 0.55 mm');
	await expect(editor.getByLabel('Ø', { exact: true })).toHaveValue('0.55 mm');
});

test('many spools: looked for, sorted, grouped, one line each; the address says so', async ({
	page,
	demo
}) => {
	expect(demo.url).toBeTruthy();
	await open(page, '/');
	const search = page.getByRole('search', { name: 'The rack' });
	const names = () =>
		page.locator('[data-spool]').evaluateAll((all) => all.map((one) => one.getAttribute('data-spool')));
	await search.getByLabel('Look for').fill('tarn');
	await expect.poll(names).toEqual(['Tarn reel A, char', 'Tarn reel B, sinker']);
	// A name may be that of a person: it goes into no address, and is there when one comes back.
	await page.getByRole('link', { name: 'Care', exact: true }).click();
	await expect(page.getByRole('heading', { name: 'Care', exact: true })).toBeVisible();
	await page.goBack();
	await expect(search.getByLabel('Look for')).toHaveValue('tarn');
	expect(new URL(page.url()).search).toBe('');
	await search.getByLabel('Look for').fill('no such reel');
	await page.getByRole('button', { name: 'Show all spools' }).click();
	await expect.poll(async () => (await names()).length).toBe(8);
	await search.getByLabel('Sort by').selectOption('name');
	await search.getByLabel('Group by').selectOption('reel');
	await search.getByText('lines', { exact: true }).click();
	await expect(page.getByRole('heading', { name: 'Beck reel', exact: true })).toBeVisible();
	await expect(page).toHaveURL(/\?sort=name&group=reel&as=lines$/);
	const shown = await names();
	await page.reload();
	await expect.poll(names).toEqual(shown);
	await search.getByLabel('Show').selectOption('on the bench');
	await expect.poll(names).toEqual(['Tarn reel B, sinker']);
	await page.getByRole('link', { name: 'Carry on' }).click();
	await expect(title(page)).toHaveText('Wind the backing');
});

test('very many spools: sixty are drawn to begin with, and the rest when they are asked for', async ({
	page,
	demo
}) => {
	for (let i = 0; i < 60; i++) {
		const form = newSetup();
		form.spool.name = `Loan box ${i}`;
		const reply = await fetch(`${demo.url}/api/setups`, {
			method: 'POST',
			headers: { 'content-type': 'application/json', 'idempotency-key': `very-many-${i}` },
			body: JSON.stringify({ form })
		});
		expect(reply.status).toBeLessThan(300);
	}
	await open(page, '/');
	const spools = page.locator('[data-spool]');
	await expect(page.getByRole('heading', { name: /^68 spools/ })).toBeVisible();
	await expect(spools).toHaveCount(60);
	// Whatever is not drawn yet is looked through as well.
	const search = page.getByRole('search', { name: 'The rack' });
	await search.getByLabel('Look for').fill('box 59');
	await expect(spools).toHaveCount(1);
	await search.getByLabel('Look for').fill('');
	await page.getByRole('button', { name: 'Show 8 more spools' }).click();
	await expect(spools).toHaveCount(68);
	await expect(page.getByRole('button', { name: /more spools?$/ })).toHaveCount(0);
	// Whoever comes back finds as many as before.
	await page.getByRole('link', { name: 'Care', exact: true }).click();
	await expect(page.getByRole('heading', { name: 'Care', exact: true })).toBeVisible();
	await page.goBack();
	await expect(spools).toHaveCount(68);
});

test('what is filled in before the page answers is there once it does, and counts', async ({
	page,
	demo
}) => {
	const bench = (await fitOf(page, 'Tarn reel B, sinker')).replace('/fit/', '/bench/');
	const letGo = await hold(page, '**/*.js');
	await page.goto(demo.url + bench, { waitUntil: 'commit' });
	const tap = page.getByLabel('a tap is');
	await tap.fill('200');
	letGo();
	await page.locator('[data-ready]').waitFor();
	await tap.blur();
	await expect(tap).toHaveValue('200');
	await expect(page.getByRole('button', { name: /^200\s+turns/ })).toBeVisible();
});

test('what is being typed stays, whatever happens on the page meanwhile', async ({ page, demo }) => {
	expect(demo.url).toBeTruthy();
	const letGo = await hold(page, '**/api/runs/*/events*');
	await toBench(page);
	const tap = page.getByLabel('a tap is');
	await tap.fill('200');
	letGo();
	await expect(page.getByRole('button', { name: /^Undo\s*Z/ })).toBeEnabled();
	await expect(tap).toHaveValue('200');
	await tap.blur();
	await expect(page.getByRole('button', { name: /^200\s+turns/ })).toBeVisible();
});

test('a button that is pressed before the page answers does what it says once it does', async ({
	page,
	server
}) => {
	const letGo = await hold(page, '**/*.js');
	await page.goto(server.url, { waitUntil: 'commit' });
	await page.getByRole('button', { name: /^Theme: system/ }).click();
	await expect(page.locator('html')).toHaveAttribute('data-theme', 'system');
	letGo();
	await expect(page.locator('html')).toHaveAttribute('data-theme', 'light');
});
