import { expect, open, test } from './server';

const ONE = 'Beck reel, grayling';
const OTHER = 'Loan box, junior';

test('several spools are chosen, and labelled, cared for and taken off the rack together', async ({
	page,
	demo
}) => {
	await open(page, demo.url);
	await page.getByRole('button', { name: 'Choose several' }).click();
	await page.getByRole('checkbox', { name: `Choose ${ONE}` }).check();
	await page.getByRole('checkbox', { name: `Choose ${OTHER}` }).check();
	const bar = page.getByRole('region', { name: 'Chosen spools' });
	await expect(bar.getByRole('status')).toHaveText('2 spools chosen');
	await bar.getByRole('link', { name: 'Print 2 labels' }).click();
	await expect(page.getByRole('heading', { name: 'Labels for 2 spools' })).toBeVisible();
	await expect(page.locator('svg').filter({ hasText: ONE })).toHaveCount(1);
	await expect(page.locator('svg').filter({ hasText: OTHER })).toHaveCount(1);
	// One label a page, so that a label printer cuts after each.
	const pdf = await page.pdf({ preferCSSPageSize: true });
	expect(pdf.toString('latin1').match(/\/Type\s*\/Page\b/g)).toHaveLength(2);

	await open(page, `${demo.url}/?as=lines`);
	await page.getByRole('button', { name: 'Choose several' }).click();
	await page.getByRole('checkbox', { name: `Choose ${ONE}` }).check();
	await page.getByRole('checkbox', { name: `Choose ${OTHER}` }).check();
	await bar.getByRole('link', { name: 'Care for them' }).click();
	await expect(page.locator('[data-reel]')).toHaveCount(2);
	await expect(page.locator(`[data-reel="${ONE}"] h2`)).toHaveText(ONE);

	await open(page, demo.url);
	const before = await page.locator('[data-spool]').count();
	await page.getByRole('button', { name: 'Choose several' }).click();
	await bar.getByRole('button', { name: `Choose all ${before}` }).click();
	await page.getByRole('checkbox', { name: `Choose ${ONE}` }).uncheck();
	await bar.getByRole('button', { name: 'Take them off the rack' }).click();
	await expect(page.locator('[data-spool]')).toHaveCount(1);
	await page.getByRole('button', { name: 'Undo the last change' }).click();
	await expect(page.locator('[data-spool]')).toHaveCount(before);
});

test('what is due on several reels is written down for all of them at once, and undone at once', async ({
	page,
	demo
}) => {
	await open(page, demo.url);
	await page.getByRole('button', { name: 'Choose several' }).click();
	for (const name of [OTHER, 'Estuary reel, sea-run char'])
		await page.getByRole('checkbox', { name: `Choose ${name}` }).check();
	await page.getByRole('link', { name: 'Care for them' }).click();
	const cleaning = page.locator('[data-due="clean"][data-overdue]');
	await expect(cleaning).toHaveCount(2);
	await page.getByRole('button', { name: 'Clean it: done for all 2' }).click();
	await expect(cleaning).toHaveCount(0);
	await page.getByRole('button', { name: 'Undo the last change' }).click();
	await expect(cleaning).toHaveCount(2);
});

test('on a phone Care and Twist stay short, and unfold', async ({ page, demo }) => {
	await page.setViewportSize({ width: 390, height: 844 });
	for (const path of ['/care', '/twist']) {
		await open(page, demo.url + path);
		const height = await page.evaluate(() => document.documentElement.scrollHeight);
		expect(height, path).toBeLessThan(2500);
	}
	await expect(page.getByRole('radio', { name: 'Bulk spool' }).first()).toBeHidden();
	await page.getByRole('button', { name: 'It comes from: choose another' }).first().click();
	await page.getByText('Bulk spool').first().click();
	await expect(page.getByText('Bulk spool').first()).toBeVisible();
	await page.getByRole('button', { name: 'Take the twist out' }).click();
	await expect(page.locator('[data-best-way]')).toBeVisible();
});

test('the last row of the rack never holds a single spool where another number of columns avoids it', async ({
	page,
	demo
}) => {
	await page.setViewportSize({ width: 1280, height: 800 });
	await open(page, demo.url);
	const tops = await page
		.locator('[data-spool]')
		.evaluateAll((spools) => spools.map((spool) => Math.round(spool.getBoundingClientRect().top)));
	const last = tops.filter((top) => top === tops.at(-1));
	expect(tops.length).toBe(8);
	expect(last.length).toBeGreaterThan(1);
});
