import { more, unfold } from './fit-page';
import { answer, expect, open, saved, test } from './server';

test('nonsense typed everywhere is answered, and nothing is lost', async ({ page }) => {
	const failures: string[] = [];
	page.on('pageerror', (error) => failures.push(error.message));
	await open(page, '/fit/new');
	await page.getByRole('radio', { name: 'Measured' }).click();
	await page.getByLabel('Name of the spool').fill('<script>alert(1)</script> "quoted" ½');
	await page.getByLabel('Across the rims').fill('84');
	await page.getByLabel('Across the arbor').fill('38');
	await page.getByLabel('Between the flanges').fill('21');
	const good = await answer(page, 'stop-depth');
	await more(page, 'line');
	await unfold(page, 'More about the spool');
	await unfold(page, 'Reel and winding');

	const cases: [string, string, RegExp][] = [
		['Across the rims', 'a teacup', /isn't a measure/],
		['Across the rims', '1e308', /isn't a measure|isn't a unit/],
		['Across the rims', '-84 mm', /between 5 and 400/],
		['Across the rims', '0', /between 5 and 400/],
		['Across the arbor', '90 mm', /doesn't go inside a rim/],
		['Between the flanges', '1,000 mm', /thousands or a decimal/],
		['Inside the frame', '20 mm', /no room around an arbor/],
		['Whole length', '2 yd', /shorter than the head/],
		['Gap to leave', '80 mm', /leaves nothing to wind on/],
		['Leader', '5 cubits', /isn't a unit that Wendle knows/]
	];
	for (const [label, typed, message] of cases) {
		const field = page.getByRole('textbox', { name: label });
		const before = await field.inputValue();
		await field.fill(typed);
		await field.blur();
		await expect(page.getByText(message)).toBeVisible();
		await expect(field).toHaveAttribute('aria-invalid', 'true');
		// The last good answers stay, dimmed; the bench waits.
		expect(await answer(page, 'stop-depth')).toBe(good);
		await expect(page.getByRole('button', { name: /Take it to the bench/ })).toBeDisabled();
		await field.fill(before);
		await field.blur();
		await expect(page.getByText(message)).toHaveCount(0);
	}
	await page.getByRole('button', { name: 'Edit the Braided polyester, 20 lb' }).click();
	for (const [typed, message] of [
		['NaN', /isn't a measure/],
		['20 wraps in 0 mm', /isn't a measure/],
		['90 wraps in 1 mm', /between 0.05 and 5/]
	] as const) {
		const field = page.getByRole('textbox', { name: 'Ø if measured' });
		await field.fill(typed);
		await field.blur();
		await expect(page.getByText(message)).toBeVisible();
		await field.fill('');
	}
	expect(await answer(page, 'stop-depth')).toBe(good);
	await page.getByRole('textbox', { name: 'Gap to leave' }).fill('bananas');
	await page.getByRole('textbox', { name: 'Gap to leave' }).blur();
	await saved(page);
	await page.reload();
	await expect(page.getByRole('textbox', { name: 'Gap to leave' })).toHaveValue('bananas');
	await expect(page.getByLabel('Name of the spool')).toHaveValue('<script>alert(1)</script> "quoted" ½');
	expect(failures).toEqual([]);
});

test('a line too big says what would work', async ({ page }) => {
	await open(page, '/fit/new');
	await page.getByRole('radio', { name: 'Measured' }).click();
	await page.getByLabel('Across the rims').fill('62 mm');
	await page.getByLabel('Across the arbor').fill('36 mm');
	await page.getByLabel('Between the flanges').fill('18 mm');
	await page.getByRole('textbox', { name: 'Line', exact: true }).fill('9');
	await expect(page.locator('[data-answer="judgement"]')).toContainText(
		/Too much line .* What would work: a WF\dF fits/
	);
	await expect(page.locator('[data-answer="stop-depth"]')).toHaveText('no backing');
	expect(await answer(page, 'length')).toBe(0);
});

test('nonsense at the end of the job', async ({ page, demo }) => {
	expect(await demo.fillDemo()).toBe(false);
	await open(page, '/');
	await page.locator('[data-spool="New arrival, boxed"]').getByRole('link', { name: 'To the bench' }).click();
	await page.locator('[data-ready]').waitFor();
	await page.getByRole('button', { name: 'Save how it turned out' }).click();
	await page.getByLabel('Turns of backing').fill('lots');
	await page.getByLabel('Gap with the line on').fill('a thumb');
	await page.getByLabel('Note').fill('kept');
	await page.getByRole('button', { name: 'Put it on the rack' }).click();
	await expect(page.getByText(/"lots" isn't a measure/)).toBeVisible();
	await expect(page.getByText(/"a thumb" isn't a measure/)).toBeVisible();
	await expect(page.getByLabel('Note')).toHaveValue('kept');
	await demo.stop();
	await page.getByLabel('Turns of backing').fill('');
	await page.getByLabel('Gap with the line on').fill('');
	await page.getByRole('button', { name: 'Put it on the rack' }).click();
	await expect(page.getByRole('alert')).toContainText('What you typed stays here');
	await demo.start();
	await page.getByRole('button', { name: 'Put it on the rack' }).click();
	await expect(page.locator('[data-spool="New arrival, boxed"]')).toContainText('wound');
});

test('addresses that lead nowhere say so', async ({ page }) => {
	for (const path of ['/fit/nobody', '/bench/nobody', '/fit/new?spool=nobody', '/elsewhere']) {
		const response = await page.goto(path);
		expect(response?.status()).toBe(404);
		await expect(page.getByRole('link', { name: 'To the rack', exact: true })).toBeVisible();
	}
});

test('a head longer than the spool holds: what would work, and nothing lost', async ({ page }) => {
	await open(page, '/fit/new');
	await page.getByRole('radio', { name: 'Measured' }).click();
	await page.getByLabel('Across the rims').fill('70 mm');
	await page.getByLabel('Across the arbor').fill('44 mm');
	await page.getByLabel('Between the flanges').fill('16 mm');
	await page.getByLabel('Begin with a stack').selectOption('Full spey');
	const judgement = page.locator('[data-answer="judgement"]');
	await expect(judgement).toContainText('Too much for this spool');
	await expect(judgement).toContainText(/mm wide/);
	await expect(page.getByRole('button', { name: /Take it to the bench/ })).toBeDisabled();
	await page.getByLabel('Across the rims').fill('112 mm');
	await expect(judgement).toContainText('Fits');
});
