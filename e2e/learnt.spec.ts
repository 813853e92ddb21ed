import { measured } from './fit-page';
import { answer, expect, fitOf, open, test } from './server';

test('who winds is named once, chosen at the bench, and what they taught moves only their plans', async ({
	page,
	demo
}) => {
	expect(demo.url).toBeTruthy();
	const href = await fitOf(page, 'Tarn reel A, char');
	const bench = href.replace('/fit/', '/bench/');
	await open(page, `${bench}?job=wind&wound`);
	await expect(page.getByLabel('Who winds')).toHaveValue('the warden');
	await page.getByLabel('Who winds').selectOption('Somebody else');
	await page.getByLabel('Name', { exact: true }).fill('Ida');
	await page.getByRole('button', { name: 'Add name' }).click();
	await expect(page.getByLabel('Who winds')).toHaveValue('Ida');

	await open(page, `${bench}?job=wind&wound`);
	await expect(page.getByLabel('Wound by')).toHaveValue('Ida');
	await page.getByLabel('Turns of backing').fill('760');
	await page.getByLabel(/^Depth/).fill('11.9 mm');
	await page.getByLabel(/^Gap/).fill('4.2 mm');
	await page.getByRole('button', { name: 'Put it on the rack' }).click();
	await expect(page).toHaveURL(/\/(label\/|$)/);

	await open(page, '/learnt');
	const people = page.locator('[data-learnt="winders"] > li');
	await expect(people.filter({ hasText: 'Ida' })).toContainText(/looser/);
	await expect(people.filter({ hasText: 'Ida' })).toContainText('from 1 winding');
	const row = page.locator('[data-learnt="windings"] > li').filter({ hasText: 'by Ida' });
	await row.getByRole('button', { name: 'Leave out' }).click();
	await expect(row).toContainText('left out');
	await expect(people.filter({ hasText: 'Ida' })).toHaveCount(0);
	await row.getByRole('button', { name: 'Count again' }).click();
	await expect(people.filter({ hasText: 'Ida' })).toHaveCount(1);
});

test('a set-up that is new starts from what the rack has learnt while it is typed, and says at the bench what it said', async ({
	page,
	demo
}) => {
	await open(page, `${demo.url}/fit/new`);
	await measured(page);
	await expect(page.locator('[data-learnt]')).toContainText('what Wendle has learnt');
	const turns = await answer(page, 'turns');
	await page.getByRole('button', { name: /Take it to the bench/ }).click();
	await page
		.getByRole('button', { name: /Wind the backing/ })
		.first()
		.click();
	await expect(page.locator('[data-left]')).toHaveText(String(turns));
});
