import type { Page } from '@playwright/test';
import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import { Counter, counterServer } from '../counter/counter.mjs';
import { expect, open, stepDone, test as base } from './server';

/** A counter on a port of its own, driven from the test as its page would drive it. */
const test = base.extend<{ counter: { counter: Counter; url: string } }>({
	counter: async ({}, use) => {
		const counter = new Counter();
		const server = counterServer(counter).listen(0, '127.0.0.1');
		await once(server, 'listening');
		const { port } = server.address() as AddressInfo;
		await use({ counter, url: `http://127.0.0.1:${port}` });
		counter.stop();
		server.close();
		server.closeAllConnections();
	}
});

const turnsOn = async (page: Page): Promise<number> =>
	Number(await page.locator('[data-turns]').textContent());
const link = (page: Page, state: string) => expect(page.locator(`[data-link="${state}"]`)).toBeVisible();
/** Waits until a counter has turned so much further. */
const turned = (counter: { readonly total: number }, turns: number) => {
	const from = counter.total;
	return expect.poll(() => counter.total).toBeGreaterThan(from + turns);
};

async function linked(page: Page, url: string): Promise<string> {
	await open(page, '/');
	const href = await page
		.locator('[data-spool="Tarn reel B, sinker"]')
		.getByRole('link', { name: /Carry on/ })
		.getAttribute('href');
	await open(page, href!);
	await page.getByRole('group', { name: 'Way of counting' }).getByText('Counter').click();
	await page.getByLabel('Address of the counter').fill(url);
	await page.getByRole('button', { name: 'Link', exact: true }).click();
	await link(page, 'linked');
	return href!;
}

test('a counter through lost messages, backward turns, a cut link, a reload and a killed server', async ({
	page,
	demo,
	counter: { counter, url }
}) => {
	// What it counted before belongs to another reel.
	for (let i = 0; i < 40; i++) counter.turn(1);
	await linked(page, url);
	await expect(page.locator('[data-link]')).toContainText('It shows 40.');
	expect(await turnsOn(page)).toBe(0);

	counter.set({ running: true, pace: 3000, jitter: 0.5, loss: 0.4 });
	await expect.poll(() => turnsOn(page)).toBeGreaterThan(60);
	await expect(page.locator('[data-missed]')).toContainText('made up for by the next one');
	// Two taps by hand meanwhile: ways of counting mix.
	await page.keyboard.press('t');
	await page.keyboard.press('-');

	counter.set({ linked: false });
	await link(page, 'away');
	await turned(counter, 20);
	counter.set({ linked: true, running: false, loss: 0 });
	await link(page, 'linked');
	await expect.poll(() => turnsOn(page)).toBe(counter.total - 40 + 9);

	counter.set({ running: true, pace: -1200 });
	const before = counter.total;
	await expect.poll(() => counter.total).toBeLessThan(before - 8);
	counter.set({ running: false });
	await expect.poll(() => turnsOn(page)).toBe(counter.total - 40 + 9);

	// The server is killed and the tab reloaded while it turns; both come back to the same count.
	await expect(page.locator('[data-sync="saved"]')).toBeVisible();
	await demo.stop('SIGKILL');
	counter.set({ running: true, pace: 1800 });
	await expect(page.locator('[data-sync="away"]')).toBeVisible();
	await turned(counter, 10);
	await demo.start();
	// While it turns there is nearly always something on its way: that the server is back is what can be waited for.
	await expect(page.locator('[data-sync="away"]')).toHaveCount(0);
	await page.reload();
	await turned(counter, 10);
	counter.set({ running: false });
	await link(page, 'linked');
	await expect.poll(() => turnsOn(page)).toBe(counter.total - 40 + 9);
	await expect(page.locator('[data-sync="saved"]')).toBeVisible();
	// Nothing arrived with it that would count twice.
	counter.turn(1);
	await expect.poll(() => turnsOn(page)).toBe(counter.total - 40 + 9);
	await expect(page.locator('[data-sync="saved"]')).toBeVisible();
	expect(await turnsOn(page)).toBe(counter.total - 40 + 9);
});

test('a counter that two windows listen to counts once, and a new session goes on from there', async ({
	page,
	context,
	demo,
	counter: { counter, url }
}) => {
	expect(demo.url).toBeTruthy();
	const href = await linked(page, url);
	for (let i = 0; i < 100; i++) counter.turn(1);
	await expect.poll(() => turnsOn(page)).toBe(100);
	const phone = await context.newPage();
	// The same browser links by itself, since it was linked.
	await open(phone, href);
	await link(phone, 'linked');
	for (let i = 0; i < 50; i++) counter.turn(1);
	await expect.poll(() => turnsOn(phone)).toBe(150);
	await expect.poll(() => turnsOn(page)).toBe(150);
	counter.reset();
	for (let i = 0; i < 20; i++) counter.turn(1);
	await expect.poll(() => turnsOn(page)).toBe(170);
	for (let i = 0; i < 30; i++) counter.turn(1);
	await expect.poll(() => turnsOn(page)).toBe(200);
	await expect.poll(() => turnsOn(phone)).toBe(200);
});

test('turns while nothing is wound belong to no part; what is no counter is said to be none', async ({
	page,
	demo,
	counter: { counter, url }
}) => {
	await linked(page, url);
	for (let i = 0; i < 25; i++) counter.turn(1);
	await expect.poll(() => turnsOn(page)).toBe(25);
	await stepDone(page);
	await expect(page.locator('#step-title')).toHaveText("Find the line's rear end");
	for (let i = 0; i < 12; i++) counter.turn(1);
	await expect(page.locator(`[data-counter-shows="${counter.total}"]`)).toBeVisible();
	await page.keyboard.press('ArrowRight');
	await page.keyboard.press('ArrowRight');
	await expect(page.locator('#step-title')).toHaveText('Wind the line');
	for (let i = 0; i < 7; i++) counter.turn(1);
	await expect.poll(() => turnsOn(page)).toBe(7);
	await page.getByRole('button', { name: 'Unlink' }).click();
	await link(page, 'off');
	await page.getByLabel('Address of the counter').fill("isn't an address");
	await page.getByRole('button', { name: 'Link', exact: true }).click();
	await expect(page.getByText("That isn't an address")).toBeVisible();
	await page.getByLabel('Address of the counter').fill(demo.url);
	await page.getByRole('button', { name: 'Link', exact: true }).click();
	await link(page, 'connecting');
	// Its own page drives it.
	const own = await page.context().newPage();
	await own.goto(url);
	await own.getByRole('button', { name: '+10' }).click();
	await expect(own.getByLabel('Turns since it was switched on')).toHaveText('54');
	await own.getByRole('button', { name: 'Switch off and on' }).click();
	await expect(own.getByLabel('Turns since it was switched on')).toHaveText('0');
});
