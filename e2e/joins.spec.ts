import type { Page } from '@playwright/test';
import { existsSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { newSetup } from '../src/lib/setup/presets';
import { unfold } from './fit-page';
import { expect, fitOf, open, saved, stepDone, test, toBench } from './server';

const gap = (page: Page) => page.getByRole('textbox', { name: 'Gap to leave' });

test.describe('a text that is too long', () => {
	test('of digits is kept as it was typed, and takes nothing down', async ({ page, server }) => {
		await open(page, '/fit/new');
		await page.getByRole('radio', { name: 'Measured' }).click();
		const typed = `84${'0'.repeat(57)}`;
		await page.getByLabel('Across the rims').fill(typed);
		await saved(page);
		await expect(page.getByLabel('Across the rims')).toHaveValue(typed);
		const address = page.url();
		for (const path of ['/', '/care', '/match', '/calendar.ics', '/api/spools', '/api/care', '/care/plan'])
			expect([path, (await page.request.get(server.url + path)).status()]).toEqual([path, 200]);
		await server.restart();
		await open(page, new URL(address).pathname);
		await expect(page.getByLabel('Across the rims')).toHaveValue(`${typed} mm`);
	});

	test('than any field takes is refused in words beside it, and saved once it is shorter', async ({
		page
	}) => {
		await open(page, '/fit/new');
		await page.getByRole('radio', { name: 'Measured' }).click();
		await saved(page);
		await page.getByLabel('Across the rims').fill('8'.repeat(70));
		const note = page.locator('[data-save]');
		await expect(note).toHaveAttribute('data-save', 'refused');
		await expect(note).toContainText('Not saved. Across the rims: Takes at most 64 characters.');
		// Nobody leaves it behind without being asked.
		const address = page.url();
		await page.getByRole('link', { name: 'Care', exact: true }).click();
		await expect(page.getByText("What you changed here isn't saved yet.")).toBeVisible();
		expect(page.url()).toBe(address);
		await page.getByLabel('Across the rims').fill('84');
		await saved(page);
		await expect(note).toContainText(/Saved, version \d+/);
	});
});

test.describe('a row that cannot be read', () => {
	const spoil = (data: string): void => {
		const db = new Database(join(data, 'wendle.sqlite'));
		const row = db.prepare(`select id, form from spools where form like '%Beck reel, grayling%'`).get() as {
			id: string;
			form: string;
		};
		db.prepare('update spools set form = ? where id = ?').run(
			row.form.replace('"hand":"left"', '"hand":"both"'),
			row.id
		);
		db.close();
	};

	test('is shown as such, hides no other, and is put right as text', async ({ page, demo }) => {
		const address = await fitOf(page, 'Beck reel, grayling');
		await demo.stop();
		spoil(demo.data);
		await demo.start();
		await open(page, '/');
		const entry = page.locator('[data-unreadable-entry="spools"]');
		await expect(entry.getByRole('link', { name: 'Open as text' })).toBeVisible();
		await expect(entry).toContainText('A spool: Beck reel, grayling');
		await expect(entry).toContainText('hand: Use one of left or right');
		await expect(page.locator('[data-spool]')).toHaveCount(7);
		for (const path of ['/care', '/match', '/calendar.ics', '/api/spools', '/api/care'])
			expect([path, (await page.request.get(demo.url + path)).status()]).toEqual([path, 200]);
		// Its set-up's own page leads to what can be done.
		await page.goto(address);
		await expect(page).toHaveURL(/\/unreadable\/spools\//);
		const text = page.getByLabel('Text, as JSON');
		const broken = await text.inputValue();
		await text.fill(broken.replace('both', 'neither'));
		await page.getByRole('button', { name: 'Save the text' }).click();
		await expect(page.getByRole('alert')).toContainText('Use one of left or right');
		await text.fill(broken.replace('both', 'right'));
		await page.getByRole('button', { name: 'Save the text' }).click();
		await expect(page.locator('[data-spool="Beck reel, grayling"]')).toContainText('right-hand wind');
		await expect(page.locator('[data-unreadable]')).toHaveCount(0);
	});

	test('has its version before restored where there is one, or is taken out of the way', async ({
		page,
		demo
	}) => {
		await open(page, await fitOf(page, 'Beck reel, grayling'));
		await unfold(page, 'Reel and winding');
		await page.getByRole('radio', { name: 'closed' }).click();
		await saved(page);
		await demo.stop();
		spoil(demo.data);
		await demo.start();
		await open(page, '/');
		const entry = page.locator('[data-unreadable-entry="spools"]');
		const download = page.waitForEvent('download');
		await entry.getByRole('link', { name: 'Download' }).click();
		expect((await download).suggestedFilename()).toBe('wendle-spools.json');
		await entry.getByRole('button', { name: 'Restore the version before' }).click();
		await expect(page.locator('[data-spool="Beck reel, grayling"]')).toContainText('left-hand wind');
		await demo.stop();
		spoil(demo.data);
		await demo.start();
		await open(page, '/');
		await entry.getByRole('button', { name: 'Take it off the rack' }).click();
		await expect(page.locator('[data-unreadable]')).toHaveCount(0);
		await expect(page.locator('[data-spool]')).toHaveCount(7);
	});
});

/** West and east of Greenwich, and beyond +12; the server is never where the browser is. */
for (const [timezoneId, TZ] of [
	['America/Denver', 'Pacific/Kiritimati'],
	['Europe/Dublin', 'America/Denver'],
	['Pacific/Kiritimati', 'UTC']
] as const)
	test.describe(`days in ${timezoneId}`, () => {
		test.use({ timezoneId });
		test('are the same as the server wrote, on every page', async ({ page, context, server }) => {
			await server.stop();
			server.env = { TZ };
			await server.fillDemo();
			await server.start();
			await context.addCookies([
				{ name: 'wendle-zone', value: encodeURIComponent(timezoneId), url: server.url }
			]);
			const DAY = /\b\d{1,2} (?:Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sept?|Oct|Nov|Dec) \d{4}\b/g;
			const here = new Intl.DateTimeFormat('en-CA', { timeZone: timezoneId }).format(new Date());
			for (const path of ['/care', '/care/plan?before=2027-03-01&as=week', '/knots/practise', '/']) {
				const html = await (await page.request.get(server.url + path)).text();
				const wrote = html.replace(/<script[\s\S]*?<\/script>/g, '').match(DAY) ?? [];
				await open(page, path);
				const shows = (await page.locator('body').textContent())!.match(DAY) ?? [];
				expect([path, wrote.length > 0]).toEqual([path, true]);
				expect([path, shows]).toEqual([path, expect.arrayContaining(wrote)]);
			}
			await open(page, '/care/plan?before=2027-03-01&as=week');
			await expect(page.locator('[data-plan-total]')).toContainText('before 1 Mar 2027');
			await expect(page.getByLabel('Before')).toHaveValue('2027-03-01');
			for (const heading of await page.locator('[data-sitting]').allTextContents()) {
				const [, weekday, day] = /(\w+day), (\d{1,2} \w+ \d{4})/.exec(heading)!;
				expect(new Date(`${day} UTC`).toLocaleDateString('en-GB', { weekday: 'long', timeZone: 'UTC' })).toBe(
					weekday
				);
			}
			// The day a winding is written down for is the day it is here.
			await toBench(page);
			const done = page.getByRole('button', { name: /Done, next/ });
			while (await done.isVisible()) await stepDone(page);
			await expect(page.getByLabel('Wound on')).toHaveValue(here);
		});
	});

test('steps go on where the browser refuses to keep them, and are on the server', async ({ page, demo }) => {
	await page.addInitScript(() => {
		IDBObjectStore.prototype.put = () => {
			throw new DOMException('full', 'QuotaExceededError');
		};
	});
	await toBench(page);
	const note = page.locator('[data-kept]');
	const title = page.locator('#step-title');
	await demo.stop();
	for (let i = 0; i < 3; i++) await stepDone(page);
	const there = await title.innerText();
	await expect(note).toHaveAttribute('data-kept', 'page');
	await expect(note).toContainText("This browser won't keep the count: leave this page open");
	await demo.start();
	await expect(note).toHaveAttribute('data-kept', 'server');
	await expect(note).toHaveAttribute('data-state', 'saved');
	await page.reload();
	await expect(title).toHaveText(there);
});

test('two set-ups on one spool, in two windows: neither undoes the other', async ({
	page,
	context,
	demo
}) => {
	expect(demo.url).toBeTruthy();
	const address = await fitOf(page, 'Beck reel, grayling');
	const id = address.split('/').at(-1)!;
	const { things: spools } = (await (await page.request.get(`${demo.url}/api/spools`)).json()) as {
		things: { id: string; form: { name: string } }[];
	};
	const spool = spools.find(({ form }) => form.name === 'Beck reel, grayling')!;
	await open(page, `/fit/new?spool=${spool.id}`);
	await page.locator('[data-ready]').waitFor();
	await gap(page).fill('5 mm');
	await saved(page);
	const other = await context.newPage();
	await open(other, `/fit/${id}`);
	await other.getByLabel('Across the arbor').fill('41.5 mm');
	await saved(other);
	await gap(page).fill('5.5 mm');
	await saved(page);
	await expect(page.getByLabel('Across the arbor')).toHaveValue('41.5 mm');
	await other.reload();
	await expect(other.getByLabel('Across the arbor')).toHaveValue('41.5 mm');
	await page.reload();
	await expect(gap(page)).toHaveValue('5.5 mm');
});

test('a reply that is lost makes nothing double: a first save, a winding, a swap', async ({ page, demo }) => {
	/** The server does it, and its answer does not arrive: once for each address. */
	const lost = new Set<string>();
	await page.route(/\/api\/(setups|setups\/[^/]+\/records|swaps)$/, async (route) => {
		const { pathname } = new URL(route.request().url());
		if (route.request().method() !== 'POST' || lost.has(pathname)) return route.continue();
		lost.add(pathname);
		await route.fetch();
		return route.abort();
	});
	const count = async (): Promise<number> => {
		const { things: spools } = (await (await page.request.get(`${demo.url}/api/spools`)).json()) as {
			things: unknown[];
		};
		return spools.length;
	};
	const before = await count();
	await open(page, '/fit/new');
	await page.getByLabel('Name of the spool').fill('Saved once');
	const figure = page.getByRole('group', { name: 'Figure 1 from the box' });
	await figure.getByLabel('Backing on the box').fill('100');
	await saved(page);
	expect(await count()).toBe(before + 1);

	await page.getByRole('button', { name: 'Save what is on it' }).click();
	await page.getByLabel('Gap with the line on').fill('4');
	await page.getByRole('button', { name: 'Put it on the rack' }).click();
	await expect(page.getByRole('alert')).toContainText("The server doesn't answer");
	await page.getByRole('button', { name: 'Put it on the rack' }).click();
	await expect(page).toHaveURL(`${demo.url}/`);
	await page.getByRole('link', { name: 'Swap what is on Saved once' }).click();
	await page.locator('[data-candidate]').first().getByRole('button').click();
	await page.getByRole('button', { name: 'Take it to the bench' }).click();
	await expect(page.getByRole('alert')).toContainText("The server doesn't answer");
	await page.getByRole('button', { name: 'Take it to the bench' }).click();
	await expect(page).toHaveURL(/\/bench\//);
	expect(lost.size).toBe(3);
	const db = new Database(join(demo.data, 'wendle.sqlite'), { readonly: true });
	const spool = db.prepare(`select id from spools where form like '%Saved once%'`).get() as { id: string };
	const rows = (table: string) =>
		(db.prepare(`select count(*) n from ${table} where spool_id = ?`).get(spool.id) as { n: number }).n;
	expect([rows('setups'), rows('records')]).toEqual([2, 1]);
	db.close();
});

test('a data folder that goes away is noticed and said, and what was typed is saved when it is back', async ({
	page,
	demo
}) => {
	await open(page, await fitOf(page, 'Beck reel, grayling'));
	const away = `${demo.data}-away`;
	renameSync(demo.data, away);
	try {
		await gap(page).fill('5.5 mm');
		const note = page.locator('[data-save]');
		await expect(note).toHaveAttribute('data-save', 'failed');
		await expect(note).toContainText('was moved or deleted while Wendle was running');
		expect((await page.request.get(demo.url)).status()).toBe(503);
		expect(await (await page.request.get(demo.url)).text()).toContain('Put the file back where it was');
		expect(existsSync(demo.data)).toBe(false);
	} finally {
		renameSync(away, demo.data);
	}
	await saved(page);
	await page.reload();
	await expect(gap(page)).toHaveValue('5.5 mm');
});

for (const javaScriptEnabled of [true, false])
	test.describe(javaScriptEnabled ? 'once a page is alive' : 'before a page is alive', () => {
		test.use({ javaScriptEnabled });

		test('an empty data file is no empty rack, and a server that could not open it goes on when it can', async ({
			page,
			server
		}) => {
			await server.stop();
			for (const end of ['', '-wal', '-shm'])
				rmSync(join(server.data, `wendle.sqlite${end}`), { force: true });
			writeFileSync(join(server.data, 'wendle.sqlite'), '');
			await server.start();
			const refused = await page.goto('/');
			expect(refused!.status()).toBe(503);
			await expect(page.getByRole('heading')).toContainText('is empty, because something emptied it');
			if (javaScriptEnabled) await page.locator('html[data-alive]').waitFor();
			rmSync(join(server.data, 'wendle.sqlite'));
			await page.getByRole('link', { name: 'Try again' }).click();
			await expect(page.getByText('Your rack is empty.')).toBeVisible();
		});
	});

test('spools without a name do not hide one another', async ({ page, demo }) => {
	const address = await fitOf(page, 'Loan box, junior');
	const { things: spools } = (await (await page.request.get(`${demo.url}/api/spools`)).json()) as {
		things: { form: { name: string } }[];
	};
	const roomy = spools.find(({ form }) => form.name === 'Estuary reel, sea-run char')!.form;
	const form = { spool: { ...roomy, name: '' }, fill: newSetup().fill };
	for (let i = 0; i < 2; i++)
		expect((await page.request.post(`${demo.url}/api/setups`, { data: { form } })).status()).toBe(201);
	await open(page, address);
	await page.getByLabel('Name of the spool').fill('');
	await page.getByRole('tab', { name: 'With a fish on' }).click();
	await page.getByLabel('at least').fill('90 yd');
	await expect(page.getByRole('link', { name: 'Unnamed spool' })).toHaveCount(2);
});
