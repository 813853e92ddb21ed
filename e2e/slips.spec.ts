import { measured, tab } from './fit-page';
import { answer, expect, test } from './server';

test('a reading that cannot be says why, beside the answers, wherever its field is; likely slips are named', async ({
	page
}) => {
	await measured(page);
	await tab(page, 'Compare methods');
	await page.getByLabel('Depth with the line alone').fill('22 mm');
	await page.keyboard.press('Tab');
	await expect(page.locator('[data-reason]')).toContainText(/You read 22\.0 mm, but everything else says/);
	await tab(page, 'With a fish on');
	await expect(page.locator('[data-reason]')).toContainText('Read it again');
	await tab(page, 'Compare methods');
	await page.getByLabel('Depth with the line alone').fill('');
	await expect(page.locator('[data-reason]')).toHaveCount(0);
	// A radius in place of a diameter: one press puts it right.
	const before = await answer(page, 'stop-depth');
	await page.getByLabel('Across the rims').fill('42 mm');
	await expect(page.locator('[data-slip="radius"]')).toBeVisible();
	await page.getByRole('button', { name: /^Use rims 84/ }).click();
	await expect.poll(() => answer(page, 'stop-depth')).toBe(before);
});
