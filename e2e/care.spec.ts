import AxeBuilder from '@axe-core/playwright';
import ICAL from 'ical.js';
import { expect, open, test } from './server';

test('an empty care page teaches', async ({ page }) => {
	await open(page, '/care');
	await expect(page.getByText('Nothing was wound yet.')).toBeVisible();
});

test('twelve days out: what falls due, done, taken back, and on the rack', async ({ page, demo }) => {
	await open(page, `${demo.url}/care`);
	const days = page.getByRole('form', { name: 'Days out' });
	await days.getByLabel('Out with').selectOption({ label: 'Beck reel, grayling' });
	await days.getByLabel('Days').fill('12');
	await days.getByRole('button', { name: 'Write it down' }).click();
	await expect(page.getByText('Beck reel, grayling: 12 days out written down.')).toBeVisible();
	const line = page
		.locator('[data-kept]')
		.filter({ hasText: 'Beck reel, grayling' })
		.filter({ has: page.locator('[data-due="clean"]') })
		.first();
	const clean = line.locator('[data-due="clean"]');
	await expect(line).toContainText('12 days out');
	await expect(clean).toHaveAttribute('data-overdue', 'true');
	await page.reload();
	await expect(clean).toHaveAttribute('data-overdue', 'true');
	await clean.getByRole('button', { name: 'Cleaned' }).click();
	await expect(clean).not.toHaveAttribute('data-overdue', 'true');
	await page
		.getByRole('listitem')
		.filter({ hasText: 'written down.' })
		.last()
		.getByRole('button', { name: 'Undo' })
		.click();
	await expect(clean).toHaveAttribute('data-overdue', 'true');
	// On the rack it is one tap away.
	await open(page, demo.url);
	await page.locator('[data-spool="Beck reel, grayling"] [data-due-on-rack]').click();
	await expect(page.getByRole('link', { name: 'All of it' })).toBeVisible();
	await expect(page.locator('[data-kept]').filter({ hasNotText: 'Beck reel, grayling' })).toHaveCount(0);
});

test('a loop test, a coil and their taking back: history stays, and so does the way', async ({
	page,
	demo
}) => {
	await open(page, `${demo.url}/care`);
	const line = page
		.locator('[data-kept]')
		.filter({ hasText: 'Tarn reel A, char' })
		.filter({ hasText: 'line,' });
	await expect(line).toContainText('0.0 turns a metre');
	await line.getByText('Write something else down').click();
	const other = line.locator('[data-other]');
	await other.getByLabel('Line in the bight').fill('2 m');
	await other.getByLabel('It spins').fill('3');
	await other.getByRole('button', { name: 'Write it down' }).click();
	await expect(other.getByRole('list')).toContainText('loop test: 3.0 turns a metre');
	// Nobody said how it was wound: the test counts about as much as that.
	await expect(line).toContainText(/1\.\d turns a metre/);
	await expect(line.getByRole('link', { name: 'Get the twist out' })).toBeVisible();
	await other.getByRole('combobox', { name: 'What happened' }).selectOption({ label: 'twist got out' });
	await other.getByRole('button', { name: 'Write it down' }).click();
	await expect(other.getByRole('list')).toContainText('twist let out, about 90 %');
	await expect(line).toContainText(/0\.[12] turns a metre/);
	await other.getByRole('button', { name: /^Take back: .*let out/ }).click();
	await expect(line).toContainText(/1\.\d turns a metre/);
	await other.getByRole('button', { name: /^Take back: .*loop test/ }).click();
	await expect(line).toContainText('0.0 turns a metre');
	await other.getByRole('combobox', { name: 'What happened' }).selectOption({ label: 'put on a coil' });
	await other.getByLabel('What is written on it').fill('winter box');
	await other.getByRole('button', { name: 'Write it down' }).click();
	const coil = page.locator('[data-kept]').filter({ hasText: 'on a coil: winter box' });
	await expect(coil).toHaveCount(1);
	await page.reload();
	await coil.getByText('Write something else down').click();
	await coil.getByRole('combobox', { name: 'What happened' }).selectOption({ label: 'shortened' });
	await coil.getByLabel('By how much').fill('a bit');
	await expect(coil.getByRole('button', { name: 'Write it down' })).toBeDisabled();
});

test("the rules are anyone's to edit, and the usual ones come back", async ({ page, demo }) => {
	await open(page, `${demo.url}/care`);
	const rules = page.locator('[data-rules]');
	await rules.getByText('What falls due when').click();
	const every = rules.getByLabel('Tug-test it: days', { exact: true });
	await expect(every).toHaveValue('365');
	await expect(page.locator('[data-due="tug-test"][data-overdue]')).toHaveCount(1);
	await every.fill('30');
	await every.blur();
	await expect.poll(() => page.locator('[data-due="tug-test"][data-overdue]').count()).toBeGreaterThan(1);
	// A rule that never falls due is none: it is refused, and stays as it was.
	await every.fill('');
	await every.blur();
	await expect(page.getByText('Say after how many days')).toBeVisible();
	await expect(every).toHaveValue('30');
	await rules.getByRole('button', { name: 'The usual ones again' }).click();
	await expect(every).toHaveValue('365');
});

test('what is said while the server is away is told not to be written down', async ({
	page,
	demo,
	server
}) => {
	await open(page, `${demo.url}/care`);
	// What will have to say so is there before it has to.
	await page.locator('section[aria-label^="Notifications"]').waitFor({ state: 'attached' });
	await server.stop();
	await page.locator('[data-due="tug-test"]').first().getByRole('button', { name: 'Passed' }).click();
	await expect(page.getByText('The server is not there. Nothing was written down')).toBeVisible();
	await server.start();
	const due = page.locator('[data-due="tug-test"]').first();
	await due.getByRole('button', { name: 'Failed' }).click();
	await expect(page.getByText('did not pass')).toHaveCount(2);
});

test('the calendar is subscribed to: valid, and each on its day', async ({ demo }) => {
	const reply = await fetch(`${demo.url}/calendar.ics`);
	expect(reply.headers.get('content-type')).toContain('text/calendar');
	const events = new ICAL.Component(ICAL.parse(await reply.text()) as never).getAllSubcomponents('vevent');
	expect(events.length).toBeGreaterThan(5);
	const uids = events.map((part) => new ICAL.Event(part).uid);
	expect(new Set(uids).size).toBe(uids.length);
	for (const part of events) {
		expect(new ICAL.Event(part).startDate.isDate).toBe(true);
		expect(part.getAllSubcomponents('valarm')).toHaveLength(1);
	}
	const again = await (await fetch(`${demo.url}/calendar.ics`)).text();
	expect(
		new ICAL.Component(ICAL.parse(again) as never)
			.getAllSubcomponents('vevent')
			.map((part) => new ICAL.Event(part).uid)
	).toEqual(uids);
});

test('bad events are refused with what is wrong', async ({ demo }) => {
	const post = async (events: unknown) => {
		const reply = await fetch(`${demo.url}/api/care`, {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify({ events })
		});
		return reply.status;
	};
	const { entries } = (await (await fetch(`${demo.url}/api/care`)).json()) as {
		entries: { kept: { id: string } }[];
	};
	const keptId = entries[0]!.kept.id;
	const good = { id: 'event-for-test-1', day: '2026-06-01', at: 1, kind: 'cleaned' };
	expect(await post([{ keptId, event: good }])).toBe(204);
	expect(await post([{ keptId: 'ghost', event: good }])).toBe(404);
	expect(await post([{ keptId, event: { ...good, day: '2027-02-29' } }])).toBe(422);
	expect(await post([{ keptId, event: { ...good, kind: 'blessed' } }])).toBe(422);
	expect(await post([])).toBe(422);
});

for (const theme of ['light', 'dark'] as const)
	test(`care is open to anyone: ${theme}`, async ({ page, context, demo }) => {
		await context.addCookies([{ name: 'wendle-theme', value: theme, url: demo.url }]);
		for (const width of [1280, 390]) {
			await page.setViewportSize({ width, height: 800 });
			await open(page, `${demo.url}/care`);
			const { violations } = await new AxeBuilder({ page })
				.withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
				.analyze();
			expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)).toEqual([]);
			expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width);
		}
	});
