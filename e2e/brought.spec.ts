import { expect, open, test } from './server';

test('a line on a coil comes in without a winding: undone, there again, put right, labelled', async ({
	page
}) => {
	await open(page, '/care');
	await page.getByText('Add a line you have on a coil').click();
	const form = page.getByRole('form', { name: 'A line you have' });
	await form.getByLabel('Class').selectOption({ label: '#4' });
	await form.getByLabel('Length').fill('as usual');
	await form.getByLabel('Length').blur();
	await expect(form.getByText(/"as usual" isn't a measure/)).toBeVisible();
	await form.getByRole('button', { name: 'Add it' }).click();
	await expect(form.getByRole('alert')).toContainText('"as usual"');
	await form.getByLabel('Length').fill('25');
	await form.getByLabel('Length').blur();
	await expect(form.getByLabel('Length')).toHaveValue('25 yd');
	await form.getByLabel('Called').fill('dusk line');
	await form.getByLabel('Written on its coil').fill('jar on the sill');
	await form.getByLabel('Yours since').fill('2025-05-04');
	await form.getByLabel('Days out so far').fill('40');
	await form.getByRole('button', { name: 'Add it' }).click();
	const line = page.locator('[data-kept]').filter({ hasText: 'dusk line' });
	await expect(line).toContainText('line, on a coil: jar on the sill');
	await expect(line).toContainText('40 days out');
	const notice = page.getByRole('listitem').filter({ hasText: 'dusk line: added. Care now shows it.' });
	await notice.getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByText('Nothing is wound yet.')).toBeVisible();
	await page
		.getByRole('listitem')
		.filter({ hasText: 'Undone.' })
		.getByRole('button', { name: 'Redo' })
		.click();
	await expect(line).toContainText('40 days out');
	// The day it came is put right like anything else.
	await line.getByText('Save something else').click();
	await line.getByRole('button', { name: /^Correct: .*came/ }).click();
	await line.getByLabel('On', { exact: true }).fill('2025-06-01');
	await line.getByRole('button', { name: 'Save the correction' }).click();
	await expect(line.locator('[data-counts="true"]').filter({ hasText: 'came' })).toContainText('1 Jun 2025');
	await line.getByRole('link', { name: 'Print its label' }).click();
	await expect(page.getByText('jar on the sill').first()).toBeVisible();
});

test('what was brought can go on a spool, like anything else on a coil', async ({ page, demo }) => {
	await open(page, `${demo.url}/care?add=1`);
	const form = page.getByRole('form', { name: 'A line you have' });
	await form.getByLabel('Used or new').selectOption({ label: 'new' });
	await form.getByLabel('Class').selectOption({ label: '#4' });
	await form.getByLabel('Called').fill('dawn line');
	await form.getByRole('button', { name: 'Add it' }).click();
	await expect(page.locator('[data-kept]').filter({ hasText: 'dawn line' })).toContainText(
		"on a coil: its maker's spool"
	);
	await open(page, demo.url);
	await page.getByRole('link', { name: 'Swap what is on Beck reel, grayling' }).click();
	// A head has no running line under it here: it is offered to whoever asks for it.
	await expect(page.getByRole('button', { name: 'Put on dawn line' })).toBeVisible();
	await expect(page.getByRole('button', { name: 'Put on Spring head' })).toHaveCount(0);
	await page.getByRole('checkbox', { name: /^Show heads and tips too/ }).check();
	await page.getByRole('button', { name: 'Put on Spring head' }).click();
	await expect(page.locator('[data-going] li')).toHaveText(/Spring head/);
	// A whole line goes on instead of a head, not over it.
	await page.getByRole('button', { name: 'Put on dawn line' }).click();
	await expect(page.locator('[data-going] li')).toHaveText(/dawn line/);
	await page.getByRole('button', { name: 'Take it to the bench' }).click();
	await expect(page.locator('[data-doing="swap"]')).toBeVisible();
});

test('a reel that was wound elsewhere is described in Fit, written down, and looked after', async ({
	page
}) => {
	await open(page, '/fit/new');
	await page.getByLabel('Name of the spool').fill('Attic reel');
	await page.getByRole('radio', { name: 'Measured' }).click();
	await page.getByLabel('Across the rims').fill('84 mm');
	await page.getByLabel('Across the arbor').fill('38 mm');
	await page.getByLabel('Between the flanges').fill('21 mm');
	await page.getByRole('button', { name: 'Save what is on it' }).click();
	// No step was done here, and none has to be.
	await expect(page.locator('#record-title')).toBeVisible();
	// How it was wound nobody knows either.
	await expect(page.getByLabel('How the line came off')).toHaveValue('unknown');
	await page.getByLabel('Wound on').fill('2026-05-02');
	await page.getByLabel('Gap with the line on').fill('5 mm');
	await page.getByRole('button', { name: 'Put it on the rack' }).click();
	await expect(page.locator('[data-spool="Attic reel"]')).toBeVisible();
	await page.getByRole('link', { name: 'Care' }).click();
	const line = page.locator('[data-kept]').filter({ hasText: 'Weight-forward 5, floating' });
	await expect(line).toContainText('Attic reel');
	await expect(line).toContainText('gap 5.0 mm');
	const days = page.getByRole('form', { name: 'Days out' });
	await days.getByLabel('Days').fill('7');
	await days.getByRole('button', { name: 'Save it' }).click();
	await expect(line).toContainText('7 days out');
});
