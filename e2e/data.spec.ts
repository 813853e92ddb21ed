import { readFileSync } from 'node:fs';
import { expect, fitOf, open, test } from './server';

const page404 = 'wendle-2026-01-01T00-00-00.000Z.sqlite';

test('everything can be backed up, kept elsewhere, and gone back to while people work', async ({
	page,
	context,
	demo
}) => {
	await open(page, await fitOf(page, 'Beck reel, grayling'));
	await open(page, `${demo.url}/`);
	await page.getByRole('link', { name: 'Your data' }).click();
	await expect(page.getByText('There is no backup yet.')).toBeVisible();
	await page.getByRole('button', { name: 'Make a backup now' }).click();
	const backups = page.locator('[data-backups] > li');
	await expect(backups).toHaveCount(1);
	const [download] = await Promise.all([
		page.waitForEvent('download'),
		backups.getByRole('link', { name: 'Download' }).click()
	]);
	expect(
		readFileSync(await download.path())
			.subarray(0, 15)
			.toString()
	).toBe('SQLite format 3');

	// What is done after the backup is gone again; another window goes on with what is there then.
	const other = await context.newPage();
	await open(other, `${demo.url}/`);
	await other.getByRole('button', { name: 'Take Beck reel, grayling off the rack' }).click();
	await expect(other.locator('[data-spool="Beck reel, grayling"]')).toHaveCount(0);
	await backups.getByRole('button', { name: /^Restore the backup of/ }).click();
	await page.getByRole('button', { name: 'Leave everything as it is' }).click();
	await backups.getByRole('button', { name: /^Restore the backup of/ }).click();
	await page.getByRole('button', { name: 'Yes, restore it' }).click();
	await expect(page.locator('[data-spool="Beck reel, grayling"]')).toBeVisible();
	await other.getByRole('button', { name: 'Take Tarn reel A, char off the rack' }).click();
	await expect(other.locator('[data-spool="Tarn reel A, char"]')).toHaveCount(0);
	await expect(other.locator('[data-spool="Beck reel, grayling"]')).toBeVisible();

	// How it was before is a backup too.
	await open(page, `${demo.url}/data`);
	await expect(backups).toHaveCount(2);
	await backups
		.first()
		.getByRole('button', { name: /^Restore the backup of/ })
		.click();
	await page.getByRole('button', { name: 'Yes, restore it' }).click();
	await expect(page.locator('[data-spool="Tarn reel A, char"]')).toBeVisible();
	await expect(page.locator('[data-spool="Beck reel, grayling"]')).toHaveCount(0);
	// The server that is started anew has it so as well.
	await demo.restart();
	await open(page, `${demo.url}/`);
	await expect(page.locator('[data-spool="Beck reel, grayling"]')).toHaveCount(0);
	expect((await page.request.get(`${demo.url}/api/backups/${page404}`)).status()).toBe(404);
});
