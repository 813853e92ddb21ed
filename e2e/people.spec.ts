import { readFileSync } from 'node:fs';
import { takeIn } from './orders-page';
import { expect, open, test } from './server';

test('somebody gets what is kept about them, and is deleted; no address ever holds a name', async ({
	page,
	demo
}) => {
	const addresses: string[] = [];
	page.on('request', (request) => addresses.push(request.url()));
	await takeIn(page, demo.url, 'WF5F on my brook reel, 20 lb', { who: 'Quillon' });
	await open(page, `${demo.url}/find`);
	await page.getByLabel('Code or name').fill('Quillon');
	await page.getByRole('button', { name: 'Find it' }).click();
	await expect(page.locator('[data-found]')).toContainText('Order 1, Quillon');
	await open(page, `${demo.url}/data`);
	await page.getByRole('link', { name: 'See whose names are kept' }).click();
	const person = page.locator('[data-person="Quillon"]');
	await expect(person).toContainText('1 order, open');
	await expect(page.locator('[data-person="the warden"]')).toContainText('windings');
	const download = page.waitForEvent('download');
	await person.getByRole('button', { name: 'Save as a file what Wendle has about Quillon' }).click();
	const about = JSON.parse(readFileSync(await (await download).path(), 'utf8')) as { orders: object[] };
	expect(about.orders).toHaveLength(1);

	await person.getByRole('button', { name: 'Delete Quillon', exact: true }).click();
	await person.getByRole('button', { name: 'Keep Quillon' }).click();
	await expect(person.getByRole('button', { name: 'Yes, delete Quillon' })).toHaveCount(0);
	await person.getByRole('button', { name: 'Delete Quillon', exact: true }).click();
	await expect(person).toContainText("This can't be undone");
	await person.getByRole('button', { name: 'Yes, delete Quillon' }).click();
	await expect(person).toHaveCount(0);
	await open(page, demo.url);
	// The reel that came with the open order goes, and with the only order the way to the orders.
	await expect(page.locator('[data-spool="my brook reel"]')).toHaveCount(0);
	await expect(page.getByRole('link', { name: 'Orders', exact: true })).toHaveCount(0);

	// Whoever wound: the windings stay.
	await open(page, `${demo.url}/data/people`);
	const warden = page.locator('[data-person="the warden"]');
	await warden.getByRole('button', { name: 'Delete the warden', exact: true }).click();
	await warden.getByRole('button', { name: 'Yes, delete the warden' }).click();
	await expect(warden).toHaveCount(0);
	const reply = await page.request.get(`${demo.url}/api/windings`);
	const text = await reply.text();
	expect(text).not.toContain('the warden');
	expect((JSON.parse(text) as { total: number }).total).toBeGreaterThan(4);
	expect(addresses.filter((address) => /quillon|warden/i.test(decodeURIComponent(address)))).toEqual([]);
});
