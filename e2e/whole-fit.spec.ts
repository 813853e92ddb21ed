import type { Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { measured, more, tab, unfold } from './fit-page';
import { answer, expect, fitOf, frames, open, saved, test } from './server';

const stack = (page: Page): Promise<string[]> =>
	page.locator('[data-strand]').evaluateAll((strands) => strands.map((s) => s.getAttribute('data-strand')!));

test('the spool by what is on it now, dished, flared', async ({ page }) => {
	await open(page, '/fit/new');
	await page.getByRole('radio', { name: 'What is on it' }).click();
	await page.getByLabel('Backing on it now').fill('90');
	await page.getByLabel('Gap it has now').fill('6');
	await page.getByRole('textbox', { name: 'Gap to leave' }).fill('6 mm');
	// The same line and backing at the same gap: the same length comes out.
	await expect.poll(() => answer(page, 'length')).toBe(90);

	await measured(page);
	// A word of the trade says what it means, and is out of the way again.
	await page.getByRole('button', { name: 'flanges' }).click();
	await expect(page.getByText('a side of the spool')).toBeVisible();
	await page.keyboard.press('Escape');
	await expect(page.getByText('a side of the spool')).toHaveCount(0);
	await expect.poll(() => answer(page, 'turns')).toBeGreaterThan(100);
	const straight = await answer(page, 'length');
	await unfold(page, 'More about the spool');
	await page.getByRole('radio', { name: 'dished arbor' }).click();
	await page.getByLabel('Arbor where lowest').fill('30 mm');
	await expect.poll(() => answer(page, 'length')).toBeGreaterThan(straight);
	await page.getByLabel('Arbor where lowest').fill('60 mm');
	await expect(page.getByText(/A profile goes from the arbor out to the rim/)).toBeVisible();
	await page.getByRole('radio', { name: 'flared rims' }).click();
	await page.getByLabel('Between the rims').fill('26 mm');
	await page.getByLabel('Between, at the arbor').fill('21 mm');
	await expect.poll(() => answer(page, 'length')).toBeGreaterThan(straight);
});

test('a line weighed, by a table that is pasted, and a table with a gap', async ({ page }) => {
	await measured(page);
	const byClass = await answer(page, 'length');
	await more(page, 'line');
	await page.getByLabel('Known', { exact: true }).selectOption('Weighed');
	await page.getByLabel('Weight of the whole line').fill('30 g');
	await expect.poll(() => answer(page, 'length')).toBeLessThan(byClass);

	await page.getByLabel('Known', { exact: true }).selectOption('By table');
	await page.getByRole('button', { name: 'Paste a table' }).click();
	const broken = 'from (ft),to (ft),start (mm),end (mm)\n0,51,0.9,0.9\n57,83,1.25,1.25';
	await page.getByLabel(/Paste the maker\'s table/).fill(broken);
	await page.getByRole('button', { name: 'Use this table' }).click();
	await expect(page.getByRole('alert').filter({ hasText: 'Fill the gap' })).toBeVisible();
	await expect(page.getByLabel(/Paste the maker\'s table/)).toHaveValue(broken);
	await page
		.getByLabel(/Paste the maker\'s table/)
		.fill(
			'length (ft);start (mm);end (mm)\n51;0.90;0.90\n6;0.90;1.25\n26;1.25;1.25\n6;1.25;0.90\n0.5;0.9;0.9'
		);
	await page.getByRole('button', { name: 'Use this table' }).click();
	await expect(page.getByLabel('Row 3, length')).toHaveValue('26 ft');
	await expect(page.locator('[data-taper]')).toContainText(/grains over the first 30 ft/);
	await expect.poll(() => answer(page, 'turns')).toBeGreaterThan(100);
	await page.getByLabel('Row 2, end diameter').fill('wide');
	await expect(page.getByText(/"wide" isn't a measure/)).toBeVisible();
});

test('a backing by wraps on a rule, and a part of given length', async ({ page }) => {
	await measured(page);
	await page.getByRole('button', { name: /Edit the Braided polyester/ }).click();
	const before = await answer(page, 'length');
	const depth = await answer(page, 'stop-depth');
	await page.getByLabel('Ø if measured').fill('20 wraps in 12 mm');
	await expect.poll(() => answer(page, 'length')).toBeLessThan(before);
	expect(await answer(page, 'stop-depth')).toBe(depth);
	await page.getByRole('radio', { name: 'I say how much' }).click();
	await page.getByLabel('Length', { exact: true }).fill('60 yd');
	await expect(page.locator('[data-answer="judgement"]')).toContainText(/Another \d+ yd would leave it/);
	await expect.poll(() => answer(page, 'gap')).toBeGreaterThan(4);
	// More than goes on: what it leaves, and how much of it to leave off.
	await page.getByLabel('Length', { exact: true }).fill('150 yd');
	await expect(page.getByRole('heading', { name: 'Gap with 150 yd of backing' })).toBeVisible();
	await expect(page.locator('[data-answer="judgement"]')).toContainText(/Leave \d+ yd off: wind \d+ yd/);
	expect(await answer(page, 'length')).toBe(150);
	expect(await answer(page, 'turns')).toBeGreaterThan(600);
});

test('the stack by mouse: preset, add, drag, remove', async ({ page }) => {
	await measured(page, ['112 mm', '44 mm', '32 mm']);
	await page.getByLabel('Begin with a stack').selectOption('Full spey');
	await expect.poll(() => stack(page)).toEqual(['backing', 'running-line', 'head', 'tip']);
	await expect.poll(() => answer(page, 'turns')).toBeGreaterThan(100);
	await page.getByLabel('Add a part').selectOption('Bed');
	await expect.poll(() => stack(page)).toEqual(['backing', 'running-line', 'head', 'tip', 'bed']);

	const strand = (id: string) => page.locator(`[data-strand="${id}"]`);
	// Dragging comes with the first pointer: a strand that can be grabbed says so.
	await expect(strand('tip').locator('..')).toHaveCSS('cursor', 'grab');
	await strand('tip').hover();
	const [from, to] = [(await strand('tip').boundingBox())!, (await strand('running-line').boundingBox())!];
	await page.mouse.move(from.x + from.width / 2, from.y + 20);
	await page.mouse.down();
	for (let i = 1; i <= 12; i++) {
		await page.mouse.move(from.x + ((to.x - from.x) * i) / 12 + 8, from.y + 20);
		await frames(page, 5);
	}
	// Where it is held is looked at a few times a second: it is let go only once its place has been made.
	await expect
		.poll(async () => {
			await page.mouse.move(to.x + 8 + Math.random(), from.y + 20);
			return (await stack(page)).indexOf('tip');
		})
		.toBeLessThan(3);
	await page.mouse.up();
	await expect.poll(async () => (await stack(page)).indexOf('tip')).toBeLessThan(3);

	await page.getByRole('button', { name: 'Edit the 20 lb mono' }).or(strand('bed')).first().click();
	await page.getByRole('button', { name: 'Remove the bed' }).click();
	await expect.poll(() => stack(page)).not.toContain('bed');
});

test('the stack by keys: along it, in another order, off it', async ({ page }) => {
	await measured(page, ['112 mm', '44 mm', '32 mm']);
	await page.getByLabel('Begin with a stack').selectOption('Switch');
	await page.locator('[data-strand="backing"]').focus();
	await page.keyboard.press('ArrowRight');
	await expect(page.locator('[data-strand="running-line"]')).toBeFocused();
	await page.keyboard.press('Alt+ArrowRight');
	await expect.poll(() => stack(page)).toEqual(['backing', 'head', 'running-line']);
	await page.keyboard.press('Alt+ArrowLeft');
	await expect.poll(() => stack(page)).toEqual(['backing', 'running-line', 'head']);
	await page.locator('[data-strand="head"]').focus();
	await page.keyboard.press('Delete');
	await expect.poll(() => stack(page)).toEqual(['backing', 'running-line']);
	await expect(page.locator('[data-strand="running-line"]')).toBeFocused();
	await saved(page);
	await page.reload();
	expect(await stack(page)).toEqual(['backing', 'running-line']);
});

test('a swap of heads, the colours of a running line, and the colour of a joint', async ({ page }) => {
	await measured(page, ['112 mm', '44 mm', '32 mm']);
	await page.getByLabel('Begin with a stack').selectOption('Switch');
	await tab(page, 'Swaps');
	await page.getByRole('button', { name: 'Another head' }).click();
	const swap = page.locator('[data-swap]');
	await swap.getByLabel('Head, called').fill('winter head');
	await swap.getByLabel('Weight').fill('560 gr');
	await expect
		.poll(async () => Number((await swap.locator('[data-swap-gap]').textContent())!.match(/-?\d+\.\d/)?.[0]))
		.toBeLessThan(4);
	await page.getByLabel('Colours out').fill('4');
	// 9 ft of leader, 24 ft of head, four colours of 10 ft.
	await expect(page.locator('[data-cast]')).toContainText('73 ft');
	await swap.getByRole('button', { name: 'Remove swap 1' }).click();
	await expect(swap).toHaveCount(0);
	await page.getByRole('button', { name: 'Another running line' }).click();
	await expect(swap.getByLabel('Running line, called')).toBeVisible();

	await page.locator('[data-strand="backing"]').click();
	await page.getByLabel('Colour', { exact: true }).fill('#7a8a4a');
	await page.locator('[data-strand="running-line"]').click();
	await page.getByLabel('Colour', { exact: true }).fill('#6a8a4a');
	await expect(page.locator('[data-contrast="poor"]')).toContainText('is hard to see');
	await page.getByLabel('Colour', { exact: true }).fill('#ff6a00');
	await expect(page.locator('[data-contrast="clear"]')).toBeVisible();
});

test('how sure: a simulation that follows, by depth and by length', async ({ page }) => {
	await measured(page);
	await tab(page, 'How sure?');
	const gap = page.locator('[data-sure="gap"]');
	await expect(gap).toContainText(/\d\.\d mm to \d\.\d mm/);
	const width = async (): Promise<number> => {
		const [low, high] = (await gap.textContent())!.match(/-?\d+\.\d/g)!.map(Number);
		return high! - low!;
	};
	const byDepth = await width();
	await page.getByRole('radio', { name: 'the length' }).click();
	await expect.poll(width).toBeGreaterThan(byDepth * 1.2);
	await page.getByText('How far off each measure may be').click();
	await page.getByLabel('Thickness of the backing, off by').fill('0.1 %');
	await page.getByRole('textbox', { name: 'Gap to leave' }).fill('1 mm');
	await expect(page.locator('[data-sure="rub"]')).toContainText('1 in');
	await page.getByLabel('Tightness, off by').fill('plenty');
	await page.keyboard.press('Tab');
	await expect(page.getByRole('tabpanel').getByText(/isn\'t a percentage/)).toBeVisible();
});

test('which way: a ladder with a recommendation, and a half-fit', async ({ page }) => {
	await measured(page);
	await tab(page, 'Compare methods');
	await expect(page.locator('[data-way]')).toHaveCount(10);
	await expect(page.locator('[data-recommended]')).toContainText('19 times out of 20');
	const depth = await answer(page, 'stop-depth');
	await page.getByLabel('Depth with the line alone').fill('11 mm');
	await expect.poll(() => answer(page, 'stop-depth')).not.toBe(depth);
	await expect(page.getByText(/that this line really takes on this spool/)).toBeVisible();
	await page.getByLabel('Depth with the line alone').fill('40 mm');
	await page.keyboard.press('Tab');
	await expect(page.getByRole('tabpanel').getByText(/below the arbor/)).toBeVisible();
});

test('a checkpoint and a correction', async ({ page }) => {
	await measured(page);
	await tab(page, 'Check while winding');
	await page.getByLabel('Turns so far').fill('700');
	await page.getByLabel('Depth now, from the rim down').fill('14');
	await expect(page.locator('[data-pause]')).toContainText('still to wind');
	const left = Number(await page.locator('[data-pause-turns]').textContent());
	expect(left).toBeGreaterThan(10);
	await page.getByLabel('Turns so far').fill('1300');
	await page.getByLabel('Depth now, from the rim down').fill('7');
	await expect(page.locator('[data-pause]')).toContainText('take off');
	await page.getByLabel('Depth now, from the rim down').fill('30');
	await page.keyboard.press('Tab');
	await expect(page.getByText(/is below the arbor/)).toBeVisible();
	await page.getByLabel('Gap that you measure').fill('2 mm');
	await expect(page.locator('[data-correct]')).toContainText(/Take off \d+ yd of backing, \d+ turns/);
	await page.getByLabel('Gap that you measure').fill('7 mm');
	await expect(page.locator('[data-correct]')).toContainText('Add');
});

test('the run is read with a cursor and with keys; enough backing or not', async ({ page, demo }) => {
	expect(demo.url).toBeTruthy();
	await measured(page, ['72 mm', '34 mm', '17 mm']);
	await tab(page, 'With a fish on');
	const cursor = page.getByRole('slider', { name: 'Length out' });
	await cursor.focus();
	await page.keyboard.press('End');
	await expect(page.locator('[data-run]')).toContainText('× ');
	const end = await cursor.getAttribute('aria-valuenow');
	await page.keyboard.press('Home');
	await page.keyboard.press('PageUp');
	expect(Number(await cursor.getAttribute('aria-valuenow'))).toBe(10);
	await cursor.hover({ position: { x: 300, y: 60 } });
	const hovered = Number(await cursor.getAttribute('aria-valuenow'));
	expect(hovered).toBeGreaterThan(10);
	expect(hovered).toBeLessThan(Number(end));
	await page.getByLabel('For', { exact: true }).selectOption('salt water');
	await expect(page.locator('[data-enough="false"]')).toContainText('short');
	await expect(page.getByText(/gel-spun/).first()).toBeVisible();
	await expect(page.getByRole('link', { name: 'Estuary reel, sea-run char' })).toBeVisible();
	await page.getByLabel('at least').fill('10 yd');
	await expect(page.locator('[data-enough="true"]')).toContainText('to spare');
});

test('the gauge measures what it says, on the page, as SVG and as PDF', async ({ page }) => {
	await measured(page);
	await page.getByLabel('Name of the spool').fill('Gauge test');
	await tab(page, 'Buy and cut');
	await expect(page.locator('[data-cuts]')).toContainText('yd');
	const control = await page
		.locator('[data-gauge] [data-control]')
		.evaluate((path) => (path as SVGGeometryElement).getBoundingClientRect().width);
	// A CSS millimetre is 96/25.4 px: the stroke adds a hair.
	expect(Math.abs(control / (96 / 25.4) - 50)).toBeLessThan(0.5);
	const svgFile = page.waitForEvent('download');
	await page.locator('[data-panel="list"]').getByRole('button', { name: 'SVG' }).click();
	const svg = readFileSync(await (await svgFile).path(), 'utf8');
	const [, width, box] = /width="([\d.]+)mm".*?viewBox="0 0 ([\d.]+)/.exec(svg)!;
	expect(width).toBe(box);
	expect(Number(/<rect [^>]*height="([\d.]+)"[^>]*data-strip/.exec(svg)![1])).toBeCloseTo(27, 6);
	const pdfFile = page.waitForEvent('download');
	await page.locator('[data-panel="list"]').getByRole('button', { name: 'PDF' }).click();
	const pdf = readFileSync(await (await pdfFile).path());
	expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
	const { PDFDocument } = await import('@cantoo/pdf-lib');
	const sheet = (await PDFDocument.load(pdf)).getPage(0).getSize();
	expect(sheet.width / (72 / 25.4)).toBeCloseTo(Number(width), 3);
});

test('compare every spool with every line: sorted, by another backing, and on to a set-up', async ({
	page,
	demo
}) => {
	expect(demo.url).toBeTruthy();
	await open(page, '/match');
	const rows = page.locator('[data-matrix] tbody tr');
	await expect(rows).toHaveCount(8);
	// Each line has one spool that suits it best; heads are not lines, unless somebody asks.
	await expect(page.locator('[data-best]')).toHaveCount(6);
	const columns = page.locator('[data-matrix] thead th');
	await expect(columns).toHaveCount(7);
	await page.getByRole('checkbox', { name: /^Compare heads too/ }).check();
	await expect(columns).not.toHaveCount(7);
	await page.getByRole('checkbox', { name: /^Compare heads too/ }).uncheck();
	await expect(columns).toHaveCount(7);
	const names = () => rows.evaluateAll((all) => all.map((row) => row.getAttribute('data-row')));
	const onRack = await names();
	await page.getByRole('button', { name: 'WF6F', exact: true }).click();
	const lengths = async (): Promise<number[]> =>
		(await page.getByRole('button', { name: /^Weight-forward 6, floating on/ }).allTextContents()).map(
			(text) => Number(/\d+/.exec(text)?.[0] ?? 0)
		);
	expect(await names()).not.toEqual(onRack);
	expect(await lengths()).toEqual([...(await lengths())].sort((a, b) => b - a));
	const under20 = (await lengths())[0]!;
	await page.getByLabel('Over this backing').selectOption('Gel-spun braid, 30 lb');
	await expect.poll(async () => (await lengths())[0]).toBeGreaterThan(under20 * 2);

	await page.getByLabel('On this spool').selectOption('Tarn reel A, char');
	await page.getByRole('checkbox', { name: 'WF6F' }).check();
	await page.getByRole('checkbox', { name: 'WF8I' }).check();
	await expect(page.locator('[data-shared]')).toContainText('sets the limit');
	await page.getByLabel('Gap to keep with WF6F').fill('40 mm');
	await expect(page.locator('[data-shared]')).toContainText("doesn't fit");
	await page.getByLabel('Gap to keep with WF6F').fill('a bit');
	await expect(page.locator('[data-shared]')).toContainText('needs a number');

	await page.getByRole('button', { name: /^Weight-forward 6, sinking on Tarn reel A/ }).click();
	await expect(page).toHaveURL(/\/fit\/[0-9a-f-]+$/);
	await expect(page.getByLabel('Name of the spool')).toHaveValue('Tarn reel A, char');
	await expect(page.getByRole('button', { name: 'Edit the Weight-forward 6, sinking' })).toBeVisible();
});

test('a plan starts from what earlier windings taught, and any of them can be left out', async ({
	page,
	demo
}) => {
	expect(demo.url).toBeTruthy();
	await open(page, await fitOf(page, 'Tarn reel A, char'));
	await expect(page.locator('[data-learnt]')).toContainText('what Wendle has learnt');
	await tab(page, 'How sure?');
	const hand = page.locator('[data-hand]');
	await expect(hand).toContainText('after 2 windings');
	const span = async (): Promise<number> => {
		const [low, high] = (await page
			.locator('[data-answer="length"]')
			.locator('xpath=following-sibling::dd')
			.first()
			.textContent())!
			.match(/\d+/g)!
			.map(Number);
		return high! - low!;
	};
	const learnt = await span();
	await page.getByRole('button', { name: 'Leave these windings out' }).click();
	await expect(hand).toContainText('after 0 windings');
	await expect.poll(span).toBeGreaterThan(1.15 * learnt);
	await page.getByRole('button', { name: 'Count these windings again' }).click();
	await expect(hand).toContainText('after 2 windings');
	await expect.poll(span).toBe(learnt);
	await page.getByLabel('Your own figure').fill('tight');
	await page.keyboard.press('Tab');
	await expect(page.getByText(/isn't a share/)).toBeVisible();
});
