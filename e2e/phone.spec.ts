import { LAUNCH } from '../scripts/chromium.mjs';
import { expect, open, stepDone, test, toBench } from './server';

// A phone reaches this machine over plain http, by a name: to its browser that is no secure place.
test.use({
	launchOptions: { ...LAUNCH, args: [...LAUNCH.args, '--host-resolver-rules=MAP bench.test 127.0.0.1'] },
	baseURL: async ({ server }, use) => {
		await use(server.url.replace('127.0.0.1', 'bench.test'));
	},
	hosts: 'bench.test',
	viewport: { width: 390, height: 844 }
});

test('a phone over plain http counts, and all of it arrives', async ({ page, demo }) => {
	const bench = await toBench(page);
	expect(await page.evaluate(() => [location.hostname, isSecureContext])).toEqual(['bench.test', false]);
	await page.getByRole('button', { name: '10 turns of backing' }).click();
	await page.getByRole('button', { name: '10 turns of backing' }).click();
	await expect(page.locator('[data-turns]')).toContainText('20');
	await expect(page.locator('[data-sync="saved"]')).toBeVisible();
	await stepDone(page);
	await expect(page.locator('#step-title')).toHaveText("Find the line's rear end");
	// It cannot keep the screen on, and says so.
	await expect(page.getByRole('button', { name: 'Screen on' })).toBeDisabled();
	// The server's own first page is at the same step.
	const title = /id="step-title"[^>]*>([^<]*)</;
	await expect
		.poll(async () => title.exec(await (await fetch(demo.url + bench)).text())?.[1]?.trim())
		.toMatch(/^Find the line/);
});

test('a phone over plain http writes down what was done, and undoes it', async ({ page, demo }) => {
	expect(demo.url).toContain('127.0.0.1');
	await open(page, '/care?add=1');
	const days = page.getByRole('form', { name: 'Days out' });
	await days.getByLabel('Days').fill('3');
	await days.getByRole('button', { name: 'Save it' }).click();
	await expect(page.getByText('3 days out saved.')).toBeVisible();
	const form = page.getByRole('form', { name: 'A line you have' });
	await form.getByLabel('Called').fill('pocket line');
	await form.getByRole('button', { name: 'Add it' }).click();
	const line = page.locator('[data-kept]').filter({ hasText: 'pocket line' });
	await expect(line).toBeVisible();
	await page
		.getByRole('listitem')
		.filter({ hasText: 'pocket line: added. Care now shows it.' })
		.getByRole('button', { name: 'Undo' })
		.click();
	await expect(line).toHaveCount(0);
});

test('a window that keeps nothing for a page still counts, and what it sent is there', async ({
	page,
	demo
}) => {
	await page.addInitScript(() => {
		const refused = (): never => {
			throw new DOMException('Nothing is kept here.', 'SecurityError');
		};
		for (const store of ['indexedDB', 'localStorage']) Object.defineProperty(window, store, { get: refused });
	});
	expect(demo.url).toBeTruthy();
	await toBench(page);
	await page.getByRole('button', { name: '10 turns of backing' }).click();
	await expect(page.locator('[data-turns]')).toContainText('10');
	await expect(page.locator('[data-sync="saved"]')).toBeVisible();
	await page.reload();
	await page.locator('html[data-alive]').waitFor();
	await expect(page.locator('[data-turns]')).toContainText('10');
	await page.getByRole('button', { name: '10 turns of backing' }).click();
	await expect(page.locator('[data-turns]')).toContainText('20');
	await page.getByRole('button', { name: 'Big contrast' }).click();
	await expect(page.locator('html')).toHaveAttribute('data-contrast', 'more');
});
