import { unfold } from './fit-page';
import { answer, expect, open, saved, stepDone, test } from './server';

test('from the box to a wound reel that is remembered', async ({ page, server }) => {
	await open(page, '/');
	await expect(page.getByText('Your rack is empty.')).toBeVisible();
	// The spool to play with answers; then the box's figure.
	const yards = async (): Promise<number> =>
		Number(/(\d+) yd/.exec(await page.locator('[data-try]').innerText())![1]);
	const planned = await yards();
	await page.getByRole('slider', { name: 'Gap to leave' }).focus();
	await page.keyboard.press('PageDown');
	await expect.poll(yards).toBeLessThan(planned);
	await page.getByRole('link', { name: /What does the box say/ }).click();
	await page.locator('[data-ready]').waitFor();

	await page.getByLabel('Name of the spool').fill('Lent to the warden');
	const figure = page.getByRole('group', { name: 'Figure 1 from the box' });
	await figure.getByRole('textbox', { name: 'Line on the box' }).fill('WF6F');
	await figure.getByLabel('Backing on the box').fill('100');
	// No submit: the answer is there while typing. WF5 leaves more room than the WF6 of the box.
	expect(await answer(page, 'length')).toBeGreaterThan(95);
	await saved(page);
	await expect(page).toHaveURL(/\/fit\/[0-9a-f-]{36}$/);
	await figure.getByLabel('Backing on the box').blur();
	await expect(figure.getByLabel('Backing on the box')).toHaveValue('100 yd');

	await unfold(page, 'Reel and winding');
	await page.getByRole('radio', { name: 'right' }).click();
	await page.getByRole('radio', { name: 'closed' }).click();
	const before = await answer(page, 'length');
	const depthBefore = await answer(page, 'stop-depth');

	const handle = page.getByRole('slider', { name: 'Gap to leave' });
	const box = (await handle.boundingBox())!;
	await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
	await page.mouse.down();
	await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 40, { steps: 8 });
	await page.mouse.up();
	const gap = await answer(page, 'gap');
	expect(gap).toBeGreaterThan(5);
	expect(await answer(page, 'length')).toBeLessThan(before);
	expect(await answer(page, 'stop-depth')).toBeGreaterThan(depthBefore);
	await expect(page.getByLabel('Gap to leave', { exact: true }).first()).toHaveValue(`${gap.toFixed(1)} mm`);

	const stop = await answer(page, 'stop-depth');
	const turns = await answer(page, 'turns');
	await page.getByRole('button', { name: /Take it to the bench/ }).click();
	await expect(page).toHaveURL(/\/bench\//);
	await page.locator('[data-ready]').waitFor();

	const titles: string[] = [];
	const steps = await page.getByRole('list', { name: 'Steps of the job' }).getByRole('checkbox').count();
	for (let i = 0; i < steps; i++) {
		const title = await page.locator('#step-title').innerText();
		titles.push(title);
		if (title === 'Wind the backing') {
			await expect(page.locator('[data-stop]')).toHaveText(`${stop.toFixed(1)} mm`);
			await expect(page.locator('[data-left]')).toHaveText(String(turns));
		}
		await stepDone(page);
	}
	expect(titles.slice(0, 6)).toEqual([
		'Lay everything out',
		'Set the reel for right-hand wind',
		'Mount the reel',
		'Set the backing spool up so that it can spin',
		'Thread the closed cage first',
		'Tie the backing to the arbor'
	]);
	expect(new Set(titles).size).toBe(14);
	for (const checkbox of await page.getByRole('checkbox').all()) await expect(checkbox).toBeChecked();

	await page.getByLabel('Turns of backing').fill('700');
	await page.getByLabel('Depth of the backing').fill('14.5');
	await page.getByLabel('Gap with the line on').fill('1/4 in');
	await page.getByLabel('Note').fill('Joint lies square.');
	await page.getByRole('button', { name: 'Put it on the rack' }).click();
	await expect(page).toHaveURL(`${server.url}/`);

	await server.restart();
	await open(page, '/');
	const spool = page.locator('[data-spool="Lent to the warden"]');
	await expect(spool).toContainText('gap 6.3 mm');
	await expect(spool).toContainText('WF5F, 30 yd');
	await expect(spool).toContainText(/right-hand wind, wound \d+ \w+ 20\d\d/);
	// Turns and depth were both read: the length is known, not "about".
	await expect(spool.getByText(/^\d+ yd, 20 lb polyester$/)).toBeVisible();
	await expect(spool.getByText('Carry on')).toHaveCount(0);
	// It opens as what it is.
	await spool.getByRole('link').first().click();
	await expect(page.getByRole('heading', { name: 'Lent to the warden' })).toBeVisible();
	await expect(page.locator('[data-on-it]')).toContainText('gap 6.3 mm');
	await expect(page.locator('[data-history] li')).toHaveCount(1);
});

test('by calipers in inches', async ({ page }) => {
	await open(page, '/fit/new');
	await page.getByLabel('Units').selectOption('yd, in');
	await page.getByRole('radio', { name: 'Measured' }).click();
	await page.getByLabel('Across the rims').fill('3 3/8 in');
	await page.getByLabel('Between the flanges').fill('7/8');
	await page.getByLabel('Across the arbor').fill('1⅝″');
	await expect(page.locator('[data-answer="stop-depth"]')).toContainText('in');
	const inches = await answer(page, 'stop-depth');
	const yards = await answer(page, 'length');
	expect(inches).toBeGreaterThan(0.2);

	await page.getByLabel('Units').selectOption('m, mm');
	// Everything switches at once; what was typed reads back as typed, and a bare number keeps its inches.
	expect(await answer(page, 'stop-depth')).toBeCloseTo(inches * 25.4, 0);
	expect(Math.abs((await answer(page, 'length')) - yards * 0.9144)).toBeLessThan(1);
	await expect(page.getByLabel('Across the rims')).toHaveValue('3 3/8 in');
	await expect(page.getByLabel('Between the flanges')).toHaveValue('7/8 in');
	await expect(page.getByText('= 85.7 mm')).toBeVisible();

	await saved(page);
	await page.reload();
	await expect(page.getByLabel('Across the rims')).toHaveValue('3 3/8 in');
	expect(await answer(page, 'stop-depth')).toBeCloseTo(inches * 25.4, 0);
});

test('the rack says which job was begun, and the bench goes on from there', async ({ page, demo }) => {
	await open(page, '/');
	const spool = page.locator('[data-spool="Tarn reel B, sinker"]');
	await expect(spool).toContainText('6 of 14 done');
	await spool.getByRole('link', { name: /Carry on/ }).click();
	await expect(page.locator('#step-title')).toHaveText('Wind the backing');
	await demo.stop();
	await stepDone(page);
	await expect(page.getByText('Not saved yet, trying again')).toBeVisible();
	await demo.start();
	await expect(page.locator('[data-state="saved"]')).toBeVisible();
	await page.reload();
	await expect(page.locator('#step-title')).toHaveText("Find the line's rear end");
});

test('a spool taken off the rack can be put back', async ({ page, demo }) => {
	expect(demo.url).toContain('127.0.0.1');
	await open(page, '/');
	const spool = page.locator('[data-spool="Loan box, junior"]');
	await spool.hover();
	await page.getByRole('button', { name: 'Take Loan box, junior off the rack' }).click();
	await expect(spool).toHaveCount(0);
	await page.getByRole('button', { name: 'Put it back' }).click();
	await expect(spool).toContainText('gap 5.0 mm');
});
