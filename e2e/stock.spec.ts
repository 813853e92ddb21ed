import { readFileSync } from 'node:fs';
import { card, takeIn } from './orders-page';
import { expect, hold, open, test } from './server';
import { shelve } from './stock-page';

test('a bulk spool is cut, weighed and measured, and what is left follows', async ({ page, server }) => {
	await open(page, `${server.url}/data`);
	// Whoever keeps no stock never meets it.
	await expect(page.getByRole('link', { name: 'Stock', exact: true })).toHaveCount(0);
	await page.getByRole('link', { name: 'Add to the stock' }).click();
	await page.getByLabel('Length when it was new').fill('lots');
	await page.getByRole('button', { name: 'Add it to the stock' }).click();
	await expect(page.getByText(`"lots" isn't a measure`)).toBeVisible();
	await page.getByLabel('Length when it was new').fill('1000 yd');
	await page.getByLabel('What you call it').fill('orange');
	await page.getByLabel('Weight when empty').fill('58 g');
	await page.getByRole('button', { name: 'Add it to the stock' }).click();
	await expect(page.getByRole('heading', { name: 'orange' })).toBeVisible();
	await expect(page.getByRole('link', { name: 'Stock', exact: true })).toBeVisible();
	const left = page.locator('[data-left]');
	await expect(left).toContainText('about 1000 yd');

	const write = async (what: string, field: string, amount: string): Promise<void> => {
		await page.getByLabel('What happened', { exact: true }).selectOption(what);
		await page.getByLabel(field).fill(amount);
		await page.getByRole('button', { name: 'Write it down' }).click();
	};
	await write('Backing was cut off', 'Length that was cut', '150');
	await expect(left).toContainText('about 850 yd');
	await page.getByRole('button', { name: 'Put this cut back' }).click();
	await expect(left).toContainText('about 1000 yd');
	await page.locator('[data-undo]').click();
	await expect(left).toContainText('about 850 yd');

	// Nobody has measured the spool yet, so a depth says nothing.
	await write('The depth was read', 'Rim down to the backing', '9 mm');
	await expect(page.getByText('Give it across the flanges')).toBeVisible();
	// Far too light: it is asked about, and followed once somebody says that it is right.
	await write('The spool was weighed', 'Weight, spool and backing', '80 g');
	await expect(page.locator('[data-surprise]')).toBeVisible();
	await expect(left).toContainText('about 850 yd');
	await page.getByRole('button', { name: 'It is right: count it' }).click();
	await expect(page.locator('[data-surprise]')).toHaveCount(0);
	await expect(left).not.toContainText('850');
	const now = Number(/\d+/.exec((await left.textContent())!)![0]);
	expect(now).toBeGreaterThan(100);
	expect(now).toBeLessThan(300);

	await page.getByRole('button', { name: 'Change what you said of it' }).click();
	await page.getByLabel('Across the flanges').fill('104 mm');
	await page.getByLabel('Across the core').fill('40 mm');
	await page.getByLabel('Between the flanges').fill('40 mm');
	await page.getByRole('button', { name: 'Save the changes' }).click();
	await expect(page.locator('[data-bulk]')).toBeVisible();
	await page.getByRole('button', { name: 'Take it out of the stock' }).click();
	await expect(page.getByText('The stock is what you cut backing from')).toBeVisible();
	await page.locator('[data-undo]').click();
	await expect(page.locator('[data-stock="orange"]')).toBeVisible();
});

test('a plan says what to cut from what, the bench follows it, and undoing a winding puts the backing back', async ({
	page,
	demo
}) => {
	await shelve(page, demo.url, { name: 'orange', length: '600 m', few: '900 m' });
	await shelve(page, demo.url, { name: 'end', kind: 'end', length: '30 m' });
	await takeIn(page, demo.url, 'WF5F on the Loan box, junior, 20 lb', { who: 'Peg 4' });
	await takeIn(page, demo.url, 'WF6F on the Beck reel, grayling, gel-spun 65 lb', { who: 'Peg 5' });
	await open(page, `${demo.url}/stock`);
	const plan = page.locator('[data-cut-plan]');
	await expect(plan.locator('[data-plan-says]')).toContainText('1 of 2 pieces have to be bought');
	const piece = plan.locator('[data-piece="1"]');
	await expect(piece.getByRole('link', { name: 'orange' })).toBeVisible();
	await expect(plan.locator('[data-piece="2"]')).toContainText('buy it');
	await expect(page.locator('[data-stock="orange"] [data-left]')).toContainText('656 yd');
	await expect(page.locator('[data-shopping]')).toContainText('Gel-spun braid, 65 lb, in one piece');
	await expect(page.locator('[data-shopping]')).toContainText('little is left');
	await plan.getByRole('button', { name: 'Keep this plan' }).click();
	await expect(plan.getByText('You keep this plan.')).toBeVisible();

	const download = page.waitForEvent('download');
	await page.getByRole('button', { name: 'Save it as CSV' }).click();
	const csv = readFileSync(await (await download).path(), 'utf8');
	expect(csv.split('\r\n')[0]).toBe('what,length_in_one_piece_yd,boxes,why,orders');
	expect(csv).toMatch(/"Gel-spun braid, 65 lb",\d+,,orders,2/);
	expect(csv).toMatch(/"Weight-forward 5, floating",,1,orders,1/);

	await page.getByRole('link', { name: 'Orders', exact: true }).click();
	await card(page, 1).getByRole('link', { name: 'Loan box, junior' }).click();
	await page.locator('[data-ready]').waitFor();
	await page.getByRole('button', { name: 'Wind on one screen' }).locator('visible=true').click();
	const form = page.getByRole('form', { name: 'Winding on one screen' });
	const from = form.locator('[data-cut-from="backing:polyester-20"] select');
	await expect(from.locator('option:checked')).toContainText('orange, about 656 yd');
	await form.getByLabel('Turns of backing').fill('');
	await form.getByLabel('Gap with the line on').fill('4 mm');
	await form.getByRole('button', { name: 'Put it on the rack' }).click();
	await expect(page.getByLabel('Stands in')).toHaveValue('done');
	await page.getByRole('link', { name: 'Stock', exact: true }).click();
	const orange = page.locator('[data-stock="orange"] [data-left]');
	await expect(orange).not.toContainText('656 yd');
	await expect(plan.locator('[data-piece="1"]')).toHaveCount(0);
	await page.locator('[data-stock="orange"] a').click();
	await expect(page.locator('[data-events]')).toContainText('Cut for Loan box, junior');
	await page.getByRole('link', { name: 'Orders', exact: true }).click();
	await card(page, 1).getByRole('link', { name: 'Loan box, junior' }).click();
	await page.waitForURL(/\/fit\//);
	await open(page, `${page.url().replace('/fit/', '/bench/')}/past`);
	await page.getByRole('button', { name: 'Undo this winding' }).click();
	await expect(page.getByRole('button', { name: 'Undo this winding' })).toHaveCount(0);
	await open(page, `${demo.url}/stock`);
	await expect(orange).toContainText('656 yd');
});

test('planning can be stopped and begun again', async ({ page, demo }) => {
	await shelve(page, demo.url, { name: 'short', length: '58 m' });
	await shelve(page, demo.url, { name: 'orange', length: '200 m' });
	await takeIn(page, demo.url, 'WF5F on the Loan box, junior, 20 lb');
	const letGo = await hold(page, '**/*.wasm');
	await open(page, `${demo.url}/stock`);
	const plan = page.locator('[data-cut-plan]');
	await plan.getByRole('button', { name: 'Stop planning' }).click();
	await expect(plan.getByText('Planning was stopped.')).toBeVisible();
	letGo();
	await plan.getByRole('button', { name: 'Plan the cuts' }).click();
	await expect(plan.locator('[data-plan-says]')).toContainText('Every reel gets its backing in one piece');
});
