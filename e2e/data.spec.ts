import type { Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { addresses, SETTLED } from './pages';
import { answer, expect, fitOf, open, Server, test } from './server';

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
	for (const path of [`backups/${page404}`, 'backups/..%2Fwendle.sqlite', 'archive/incoming/..%2Fbackups'])
		expect((await page.request.get(`${demo.url}/api/${path}`)).status(), path).toBe(404);
});

/** Whether a plan of cuts was searched to the end hangs on how busy the machine is, and not on what is there. */
const UNSURE = ' A slightly better plan may exist.';
/** What a page tells, line by line, wherever it was served. */
const told = async (page: Page, url: string): Promise<string[]> =>
	(await page.locator('main').innerText())
		.replaceAll(new URL(url).host, 'here')
		.replaceAll(UNSURE, '')
		.split('\n');
/** The lines that only one of two pages has. */
const difference = (here: readonly string[] = [], there: readonly string[] = []): string[][] =>
	here.join('\n') === there.join('\n')
		? []
		: [here.filter((line) => !there.includes(line)), there.filter((line) => !here.includes(line))];

test('everything moves to an empty server in one file, which shows first what it will do and can be undone', async ({
	browser,
	page,
	demo
}) => {
	test.slow();
	await demo.fillOrders();
	await open(page, `${demo.url}/data`);
	const [download] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('link', { name: 'Download everything' }).click()
	]);
	const archive = await download.path();
	const [table] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('link', { name: 'Windings as CSV', exact: true }).click()
	]);
	expect(readFileSync(await table.path(), 'utf8')).toContain(',backing_length_yd,');
	const other = new Server();
	await other.start();
	try {
		const there = await (await browser.newContext()).newPage();
		await open(there, `${other.url}/data`);
		const file = there.getByLabel(/^Archive/);
		// A file that is none is told as such, and nothing happens.
		await file.setInputFiles({ name: 'a.zip', mimeType: 'application/zip', buffer: Buffer.from('no zip') });
		await expect(there.getByRole('alert')).toContainText("isn't an archive of Wendle's");
		await file.setInputFiles(archive);
		await expect(there.locator('[data-file="spools"]')).toHaveText(/Spools\s*35\s*–\s*–\s*–/);
		await there.getByRole('button', { name: 'Bring it in' }).click();
		await expect(there.getByText('The archive is brought in.')).toBeVisible();
		for (const [route, path] of Object.entries(await addresses(page, demo.url))) {
			// What this server did by itself, its backups for instance, is no part of what moves.
			if (route === '/data') continue;
			const views = [
				[page, demo.url],
				[there, other.url]
			] as const;
			for (const [view, url] of views) {
				await open(view, url + path);
				await view
					.locator(SETTLED[route] ?? 'main')
					.first()
					.waitFor();
			}
			// Some of a page is filled in by a worker: it may come to be there sooner than here.
			await expect
				.poll(async () => difference(...(await Promise.all(views.map(([view, url]) => told(view, url))))), {
					message: path
				})
				.toEqual([]);
		}
		// The same again would change nothing.
		await open(there, `${other.url}/data`);
		await file.setInputFiles(archive);
		await expect(there.getByText('Everything in this archive is here already.')).toBeVisible();
	} finally {
		await other.stop();
	}
});

test('bringing an archive in is undone with Ctrl+Z, like any change', async ({ page, demo, server }) => {
	await open(page, `${demo.url}/`);
	await page.getByRole('button', { name: 'Take Beck reel, grayling off the rack' }).click();
	await expect(page.locator('[data-spool="Beck reel, grayling"]')).toHaveCount(0);
	const archive = Buffer.from(await (await page.request.get(`${server.url}/api/archive`)).body());
	await page.getByRole('button', { name: 'Put it back' }).click();
	await expect(page.locator('[data-spool="Beck reel, grayling"]')).toBeVisible();
	await page.getByRole('link', { name: 'Your data' }).click();
	await page
		.getByLabel(/^Archive/)
		.setInputFiles({ name: 'a.zip', mimeType: 'application/zip', buffer: archive });
	await expect(page.getByText('Spools that differ: Beck reel, grayling.')).toBeVisible();
	await expect(page.getByText('Nothing comes in while you keep what is here.')).toBeVisible();
	await page.getByText("Take the archive's").click();
	await page.getByRole('button', { name: 'Bring it in' }).click();
	await expect(page.getByText('The archive is brought in.')).toBeVisible();
	await page.getByRole('link', { name: 'Rack', exact: true }).click();
	await expect(page.locator('[data-spool="Beck reel, spare spool"]')).toBeVisible();
	await expect(page.locator('[data-spool="Beck reel, grayling"]')).toHaveCount(0);
	await page.keyboard.press('Control+z');
	await expect(page.locator('[data-spool="Beck reel, grayling"]')).toBeVisible();
});

test('what was saved is read back over the API, page by page, and not sent again while it is the same', async ({
	page,
	demo
}) => {
	interface Page {
		things: { id: string; spoolId: string }[];
		next: string | null;
		total: number;
	}
	const read = async (path: string, headers = {}) => page.request.get(demo.url + path, { headers });
	for (const [list, total] of [
		['/api/setups', 9],
		['/api/windings', 6]
	] as const) {
		const ids: string[] = [];
		let after = '';
		for (let next: string | null = ''; next !== null; after = `&after=${String(next)}`) {
			const got = (await (await read(`${list}?most=2${after}`)).json()) as Page;
			expect(got.total).toBe(total);
			ids.push(...got.things.map(({ id }) => id));
			next = got.next;
		}
		expect(new Set(ids).size).toBe(total);
		const tag = (await read(list)).headers()['etag']!;
		expect((await read(list, { 'if-none-match': tag })).status()).toBe(304);
		expect((await read(`${list}?most=many`)).status()).toBe(422);
	}
	const [first] = ((await (await read('/api/setups')).json()) as Page).things;
	expect(await (await read(`/api/setups/${first!.id}`)).json()).toEqual(first);
	expect((await read('/api/setups/none')).status()).toBe(404);
	const own = (await (await read(`/api/setups?spool=${first!.spoolId}`)).json()) as Page;
	expect(own.things.every(({ spoolId }) => spoolId === first!.spoolId)).toBe(true);
	// Something changes: the tag does too.
	const tag = (await read('/api/setups')).headers()['etag']!;
	await page.request.delete(`${demo.url}/api/spools/${first!.spoolId}`);
	expect((await read('/api/setups', { 'if-none-match': tag })).status()).toBe(200);
});

test('a set-up is sent as a link, a code or a file, and is shown before it is kept', async ({
	page,
	browser,
	demo,
	server
}) => {
	expect(server.url).toBeTruthy();
	await open(page, await fitOf(page, 'Long rod, sea-run char'));
	const turns = await answer(page, 'turns');
	await page.getByText('Send this set-up to somebody').click();
	const link = await page.getByLabel('Link', { exact: true }).inputValue();
	await expect(page.locator('[data-code] svg')).toBeVisible();
	const [file] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('button', { name: 'Save as a file' }).click()
	]);
	// Somebody with a Wendle of their own.
	const other = new Server();
	await other.start();
	try {
		const there = await (await browser.newContext()).newPage();
		for (const bring of [
			async () => {
				await there.getByLabel('Link', { exact: true }).fill(link);
				await there.getByRole('button', { name: 'Open it' }).click();
			},
			async () => there.getByLabel('File of a set-up').setInputFiles(await file.path())
		]) {
			await open(there, `${other.url}/data`);
			await there.getByLabel('Link', { exact: true }).fill('https://example.org/nothing');
			await there.getByRole('button', { name: 'Open it' }).click();
			await expect(there.getByRole('alert')).toContainText('There is no set-up in this.');
			await bring();
			await expect(there.locator('[data-sent]')).toContainText("It isn't on your rack.");
			await expect(there.getByLabel('Name of the spool')).toHaveValue('Long rod, sea-run char');
			expect(Math.abs((await answer(there, 'turns')) - turns)).toBeLessThan(0.1 * turns);
		}
		await open(there, `${other.url}/`);
		await expect(there.getByText('Your rack is empty.')).toBeVisible();
		await open(there, link.replace(/^.*?(?=\/fit)/, other.url));
		await there.getByRole('button', { name: 'Keep it on my rack' }).click();
		await expect(there.getByText('Saved', { exact: true })).toBeVisible();
		await expect(there.locator('[data-sent]')).toHaveCount(0);
		await open(there, `${other.url}/`);
		await expect(there.locator('[data-spool="Long rod, sea-run char"]')).toBeVisible();
	} finally {
		await other.stop();
	}
	expect((await page.request.get(`${demo.url}/fit/new?setup=nonsense`)).status()).toBe(400);
});
