import { measured } from './fit-page';
import { expect, open, test } from './server';

test('the sample kit room is a separate place, and can be thrown away', async ({ page, server }) => {
	await open(page, server.url);
	await page.getByRole('button', { name: 'Try it with a sample kit room' }).click();
	const bar = page.getByRole('region', { name: 'Sample kit room' });
	await expect(bar).toBeVisible();
	await expect(page.locator('[data-spool="Beck reel, grayling"]')).toBeVisible();
	// What is done there stays there.
	await page.getByRole('button', { name: 'Take Beck reel, grayling off the rack' }).click();
	await expect(page.locator('[data-spool="Beck reel, grayling"]')).toHaveCount(0);
	await bar.getByRole('button', { name: 'Back to my own rack' }).click();
	await expect(page.getByText('Your rack is empty.')).toBeVisible();
	await expect(bar).toHaveCount(0);
	// It is there as it was left, until it is thrown away.
	await page.getByRole('button', { name: 'Try it with a sample kit room' }).click();
	await expect(page.locator('[data-spool="Tarn reel B, sinker"]')).toBeVisible();
	await expect(page.locator('[data-spool="Beck reel, grayling"]')).toHaveCount(0);
	await bar.getByRole('button', { name: 'Throw the sample away' }).click();
	await expect(page.getByText('Your rack is empty.')).toBeVisible();
	await page.getByRole('button', { name: 'Try it with a sample kit room' }).click();
	await expect(page.locator('[data-spool="Beck reel, grayling"]')).toBeVisible();
});

test('a page of the own rack never writes into the sample', async ({ page, context, server }) => {
	await page.goto(server.url);
	await measured(page);
	await page.getByLabel('Name of the spool').fill('Alder 6');
	await expect(page.getByText('Saved', { exact: true })).toBeVisible();
	const other = await context.newPage();
	await open(other, `${server.url}/?x`);
	const goTo = (place: string) =>
		other.evaluate(
			(to) =>
				fetch('/api/place', {
					method: 'PUT',
					headers: { 'content-type': 'application/json' },
					body: JSON.stringify({ place: to })
				}),
			place
		);
	await goTo('sample');
	await page.getByLabel('Across the rims').fill('92 mm');
	await page.getByLabel('Across the rims').blur();
	await expect(page.getByText(/You opened the sample kit room in another window/)).toBeVisible();
	// Back in its own place, it is saved after all.
	await goTo('own');
	await expect(page.getByText('Saved', { exact: true })).toBeVisible();
	await page.reload();
	await expect(page.getByLabel('Across the rims')).toHaveValue('92 mm');
});
