import type { Page } from '@playwright/test';
import { expect, open, stepDone, test } from './server';

/** The bench of the job in hand, at the step that winds the backing. */
async function toBacking(page: Page): Promise<string> {
	await open(page, '/');
	const href = await page
		.locator('[data-spool="Tarn reel B, sinker"]')
		.getByRole('link', { name: /Carry on/ })
		.getAttribute('href');
	await open(page, href!);
	await expect(page.getByRole('heading', { name: 'Wind the backing' })).toBeVisible();
	return href!;
}
const turns = async (page: Page): Promise<number> => Number(await page.locator('[data-turns]').textContent());
const synced = (page: Page) => expect(page.locator('[data-sync="saved"]')).toBeVisible();

test('turns are counted by keys and by tap, undone, and survive a reload', async ({ page, demo }) => {
	expect(demo.url).toBeTruthy();
	await toBacking(page);
	// As fast as keys come: none is lost, and all of them arrive.
	for (let i = 0; i < 80; i++) await page.keyboard.press('+');
	await expect.poll(() => turns(page)).toBe(80);
	await synced(page);
	for (let i = 0; i < 30; i++) await page.keyboard.press('-');
	await page.keyboard.press('+');
	await expect.poll(() => turns(page)).toBe(51);
	await page.getByRole('button', { name: '10 turns T' }).click();
	await page.getByRole('button', { name: 'One turn less' }).click();
	await expect.poll(() => turns(page)).toBe(60);
	await page.keyboard.press('z');
	await expect.poll(() => turns(page)).toBe(61);
	await page.getByRole('button', { name: 'Undo Z' }).click();
	await expect.poll(() => turns(page)).toBe(51);
	await synced(page);
	await page.reload();
	await expect.poll(() => turns(page)).toBe(51);
	await expect(page.locator('[data-depth]')).toContainText('below the rim');
});

test('a count goes on while the server is killed, and is there once when it is back', async ({
	page,
	demo
}) => {
	const href = await toBacking(page);
	for (let i = 0; i < 3; i++) await page.keyboard.press('t');
	await synced(page);
	await demo.stop('SIGKILL');
	for (let i = 0; i < 4; i++) await page.keyboard.press('t');
	await expect(page.locator('[data-sync="away"]')).toBeVisible();
	await expect.poll(() => turns(page)).toBe(70);
	await demo.start();
	await synced(page);
	const id = href.split('/').at(-1)!;
	const html = await (await fetch(`${demo.url}/bench/${id}`)).text();
	const run = /begun:\s*\{id:\s*"([\w-]+)"/.exec(html)![1]!;
	const { events } = (await (await fetch(`${demo.url}/api/runs/${run}/events`)).json()) as {
		events: { turns?: number }[];
	};
	expect(events.reduce((sum, event) => sum + (event.turns ?? 0), 0)).toBe(70);
	await page.reload();
	await expect.poll(() => turns(page)).toBe(70);
});

test('a network that is cut in mid-run costs no turn, and the other window hears of it later', async ({
	page,
	context,
	demo
}) => {
	expect(demo.url).toBeTruthy();
	const href = await toBacking(page);
	const other = await context.newPage();
	await open(other, href);
	await page.bringToFront();
	await page.keyboard.press('t');
	await expect.poll(() => turns(other)).toBe(10);
	await context.setOffline(true);
	for (let i = 0; i < 5; i++) await page.keyboard.press('t');
	await expect(page.locator('[data-sync="away"]')).toBeVisible();
	expect(await turns(page)).toBe(60);
	expect(await turns(other)).toBe(10);
	await context.setOffline(false);
	await synced(page);
	await expect.poll(() => turns(other)).toBe(60);
	expect(await turns(page)).toBe(60);
});

test('two windows follow one run, and the count becomes the record', async ({ page, context, demo }) => {
	expect(demo.url).toBeTruthy();
	const href = await toBacking(page);
	await page.keyboard.press('t');
	await synced(page);
	const phone = await context.newPage();
	await phone.setViewportSize({ width: 390, height: 844 });
	await open(phone, href);
	await expect.poll(() => turns(phone)).toBe(10);
	await phone.getByRole('button', { name: '10 turns of backing' }).click();
	await expect.poll(() => turns(page)).toBe(20);
	await page.keyboard.press('-');
	await expect.poll(() => turns(phone)).toBe(19);
	expect(await phone.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);

	await page.getByLabel('Depth now, from the rim down').fill('40 mm');
	await page.getByRole('button', { name: 'Save reading', exact: true }).click();
	await expect(page.getByText(/Read from the rim down/)).toBeVisible();
	await page.getByLabel('Depth now, from the rim down').fill('21.5 mm');
	await page.getByRole('button', { name: 'Save reading', exact: true }).click();
	await expect(page.locator('[data-readings]')).toContainText('21.5 mm');
	await page.getByRole('button', { name: 'Save how it turned out' }).click();
	await expect(page.getByLabel('Turns of backing')).toHaveValue('19');
	await expect(page.getByLabel('Depth of the backing')).toHaveValue('21.5 mm');
	await page.getByRole('button', { name: 'Put it on the rack' }).click();
	await expect(page).toHaveURL(/\/$/);
	// The next job begins at nothing.
	await open(page, href);
	await page.getByRole('button', { name: 'Wind the backing' }).last().click();
	await expect.poll(() => turns(page)).toBe(0);
});

test('what is done before the run has opened stays where it was done', async ({ page, demo }) => {
	expect(demo.url).toBeTruthy();
	let letOpen = (): void => undefined;
	const opening = new Promise<void>((open) => (letOpen = open));
	await page.route('**/api/runs/*/events?*', async (route) => {
		await opening;
		await route.continue();
	});
	await toBacking(page);
	await stepDone(page);
	await expect(page.locator('#step-title')).toContainText('rear end');
	await page.keyboard.press('ArrowLeft');
	for (let i = 0; i < 3; i++) await page.keyboard.press('t');
	await expect.poll(() => turns(page)).toBe(30);
	letOpen();
	await synced(page);
	await expect(page.locator('#step-title')).toHaveText('Wind the backing');
	expect(await turns(page)).toBe(30);
});
