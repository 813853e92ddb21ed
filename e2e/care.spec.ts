import AxeBuilder from '@axe-core/playwright';
import ICAL from 'ical.js';
import { expect, open, test } from './server';

test('an empty care page teaches', async ({ page }) => {
	await open(page, '/care');
	await expect(page.getByText('Nothing is wound yet.')).toBeVisible();
});

test('twelve days out: what falls due, done, undone, and on the rack', async ({ page, demo }) => {
	await open(page, `${demo.url}/care`);
	const days = page.getByRole('form', { name: 'Days out' });
	await days.getByLabel('Out with').selectOption({ label: 'Beck reel, grayling' });
	await days.getByLabel('Days').fill('12');
	await days.getByRole('button', { name: 'Save it' }).click();
	await expect(page.getByText('Beck reel, grayling: 12 days out saved.')).toBeVisible();
	const line = page
		.locator('[data-kept]')
		.filter({ hasText: 'Beck reel, grayling' })
		.filter({ has: page.locator('[data-due="clean"]') })
		.first();
	const clean = line.locator('[data-due="clean"]');
	await expect(line).toContainText('39 days out');
	await expect(clean).toHaveAttribute('data-overdue', 'true');
	await page.reload();
	await page.locator('html[data-alive]').waitFor();
	await expect(clean).toHaveAttribute('data-overdue', 'true');
	await clean.getByRole('button', { name: 'Cleaned' }).click();
	await expect(clean).not.toHaveAttribute('data-overdue', 'true');
	await page
		.getByRole('listitem')
		.filter({ hasText: 'saved.' })
		.last()
		.getByRole('button', { name: 'Undo' })
		.click();
	await expect(clean).toHaveAttribute('data-overdue', 'true');
	// On the rack it is one tap away.
	await open(page, demo.url);
	await page.locator('[data-spool="Beck reel, grayling"] [data-due-on-rack]').click();
	await expect(page.getByRole('link', { name: 'All of Care' })).toBeVisible();
	await expect(page.locator('[data-kept]').filter({ hasNotText: 'Beck reel, grayling' })).toHaveCount(0);
});

test('a loop test, its correction, a coil, and undoing them: history stays', async ({ page, demo }) => {
	await open(page, `${demo.url}/care`);
	const line = page
		.locator('[data-kept]')
		.filter({ hasText: 'Tarn reel A, char' })
		.filter({ hasText: 'Weight-forward 6' });
	await expect(line).toContainText('no twist');
	await line.getByText('Save something else').click();
	const other = line.locator('[data-other]');
	const told = other.getByRole('list', { name: 'What happened to it' });
	await other.getByLabel('Line in the bight').fill('2 m');
	await other.getByLabel('Times it spins').fill('3');
	await other.getByLabel('Note').fill('by the jetty');
	await other.getByRole('button', { name: 'Save it' }).click();
	await expect(told).toContainText('loop test: 3.0 turns a metre; by the jetty');
	// Nobody said how it was wound: the test counts about as much as that.
	await expect(line).toContainText(/1\.\d turns a metre/);
	await expect(line.getByRole('link', { name: 'Take the twist out' })).toBeVisible();
	// Miscounted: put right, and what was written first stays to be read.
	await told.getByRole('button', { name: /^Correct: .*loop test/ }).click();
	await expect(other.getByLabel('Times it spins')).toHaveValue('3');
	await other.getByLabel('Times it spins').fill('1');
	await other.getByRole('button', { name: 'Save the correction' }).click();
	await expect(told).toContainText('loop test: 1.0 turns a metre');
	await expect(told.locator('[data-counts="false"]')).toContainText('loop test: 3.0 turns a metre');
	await expect(line).toContainText(/0\.[3-9] turns a metre/);
	await other.getByRole('combobox', { name: 'What happened' }).selectOption({ label: 'twist taken out' });
	await other.getByRole('button', { name: 'Save it' }).click();
	await expect(told).toContainText('twist let out, about 90 %');
	await expect(line).toContainText(/0\.[01] turns a metre/);
	await told.getByRole('button', { name: /^Undo: .*let out/ }).click();
	await expect(line).toContainText(/0\.[3-9] turns a metre/);
	await other.getByRole('combobox', { name: 'What happened' }).selectOption({ label: 'put on a coil' });
	await other.getByLabel('What is written on it').fill('winter box');
	await other.getByRole('button', { name: 'Save it' }).click();
	const coil = page.locator('[data-kept]').filter({ hasText: 'on a coil: winter box' });
	await expect(coil).toHaveCount(1);
	await page.reload();
	await page.locator('html[data-alive]').waitFor();
	await coil.getByText('Save something else').click();
	await coil.getByRole('combobox', { name: 'What happened' }).selectOption({ label: 'shortened' });
	await coil.getByLabel('By how much').fill('a bit');
	await expect(coil.getByRole('button', { name: 'Save it' })).toBeDisabled();
	// The backing it left is worth a test.
	const backing = page
		.locator('[data-kept]')
		.filter({ hasText: 'Braided polyester, 20 lb' })
		.filter({ hasText: 'Tarn reel A, char' });
	await expect(backing.locator('[data-due="tug-test"]')).toContainText('the line over it was changed');
	await backing.getByRole('button', { name: 'Doubtful' }).click();
	await expect(backing).toContainText('tug test doubtful');
	await expect(backing.locator('[data-due="tug-test"]')).toContainText('it failed its test');
});

test('the time line is read by keys, moved in time, and filtered', async ({ page, demo }) => {
	await open(page, `${demo.url}/care`);
	const row = page.locator('[data-kept]').filter({ hasText: 'Weight-forward 4, floating' });
	const lane = row.getByRole('slider');
	await lane.focus();
	await page.keyboard.press('Home');
	await expect(lane).toHaveAttribute('aria-valuetext', /^14 Mar 2026: came/);
	await page.keyboard.press('ArrowRight');
	await expect(lane).toHaveAttribute('aria-valuetext', /^14 Mar 2026: on Beck reel, grayling, gap 3\.9 mm/);
	await page.keyboard.press('End');
	await expect(lane).toHaveAttribute(
		'aria-valuetext',
		/^11 Oct 2026: 3 days out, fresh water; \d\.\d turns a metre$/
	);
	await expect(row.locator('[data-said]')).toContainText('11 Oct 2026');
	// What is next is drawn, and said in words.
	await expect(row.locator('[data-next]').first()).toBeAttached();
	const bars = () =>
		row
			.locator('[data-bars], [data-signs]')
			.evaluateAll((all) => all.map((one) => one.getAttribute('d')).join());
	const whole = await bars();
	await page.keyboard.press('+');
	expect(await bars()).not.toBe(whole);
	await page.keyboard.press('Shift+ArrowLeft');
	await page.keyboard.press('0');
	expect(await bars()).toBe(whole);
	await page.getByRole('button', { name: 'Half a year' }).click();
	expect(await bars()).not.toBe(whole);
	await page.getByRole('button', { name: 'All', exact: true }).click();
	expect(await bars()).toBe(whole);
	// Dragged and wheeled it moves as well; the wheel alone scrolls the page.
	await lane.scrollIntoViewIfNeeded();
	const box = (await lane.boundingBox())!;
	const middle = { x: box.x + box.width / 2, y: box.y + 20 };
	await page.mouse.move(middle.x, middle.y);
	await page.mouse.wheel(0, -10);
	expect(await bars()).toBe(whole);
	await page.keyboard.down('Control');
	await page.mouse.wheel(0, -30);
	await page.keyboard.up('Control');
	const closer = await bars();
	expect(closer).not.toBe(whole);
	const drag = { x: middle.x, y: (await lane.boundingBox())!.y + 20 };
	await page.mouse.move(drag.x, drag.y);
	await page.mouse.down();
	await page.mouse.move(drag.x + 120, drag.y, { steps: 4 });
	await page.mouse.up();
	expect(await bars()).not.toBe(closer);
	await page.getByRole('button', { name: 'All', exact: true }).click();
	expect(await bars()).toBe(whole);
	// Filtered, and the filter is in the address.
	await page.getByLabel('What', { exact: true }).selectOption({ label: 'backing' });
	await expect(page.locator('[data-kept]').filter({ hasText: 'Weight-forward' })).toHaveCount(0);
	await page.getByLabel('Look for').fill('tarn');
	await expect(page.locator('[data-kept]')).toHaveCount(1);
	await expect(page.locator('[data-matching]')).toContainText('1 of 12 strands');
	await page.reload();
	await page.locator('html[data-alive]').waitFor();
	await expect(page.locator('[data-kept]')).toHaveCount(1);
	await page.getByLabel('Look for').fill('nothing like it');
	await expect(page.getByText('No line or backing matches these filters.')).toBeVisible();
});

test('what to do before a day, as an evening and as a week in a shop', async ({ page, demo }) => {
	await open(page, `${demo.url}/care`);
	await page.getByRole('link', { name: 'Plan for a day' }).click();
	const items = page.locator('[data-plan-item]');
	await expect(page.locator('[data-plan-total]')).toContainText('before 20 Mar 2027');
	const all = await items.count();
	expect(all).toBeGreaterThan(4);
	const minutes = async () =>
		(
			await items
				.locator('span')
				.filter({ hasText: /^\d+ min$/ })
				.allTextContents()
		).reduce((sum, text) => sum + parseInt(text), 0);
	const total = await minutes();
	await page.getByText("a shop's week").click();
	await page.getByLabel('Minutes a day').fill('30');
	await expect(page.locator('[data-sitting]').first()).toContainText('30 min');
	await expect(items).toHaveCount(all);
	expect(await minutes()).toBe(total);
	await page.getByLabel('Minutes a day').fill('10');
	await expect(page.locator('[data-over]')).toContainText('There is no time for these');
	await page.getByLabel('Before').fill('2028-06-01');
	await expect(page.locator('[data-plan-total]')).toContainText('before 1 Jun 2028');
	await expect.poll(() => items.count()).toBeGreaterThan(all);
});

test("the rules are anyone's to edit, and the usual ones come back", async ({ page, demo }) => {
	await open(page, `${demo.url}/care`);
	const rules = page.locator('[data-rules]');
	await rules.getByText('What falls due, and when').click();
	const every = rules.getByLabel('Tug-test it: days', { exact: true });
	await expect(every).toHaveValue('365');
	await expect(page.locator('[data-due="tug-test"][data-overdue]')).toHaveCount(1);
	await every.fill('30');
	await every.blur();
	await expect.poll(() => page.locator('[data-due="tug-test"][data-overdue]').count()).toBeGreaterThan(1);
	// A rule that never falls due is none: it is refused, and stays as it was.
	const rinse = rules.getByLabel('Rinse it after salt: days out', { exact: true });
	await rinse.fill('');
	await rinse.blur();
	await expect(page.getByText('Say after how many days')).toBeVisible();
	await expect(rinse).toHaveValue('1');
	// Backing is tested at each change of line, unless someone says otherwise.
	await rules.getByLabel('Tug-test it: at a change of line').uncheck();
	await expect(rules.getByLabel('Tug-test it: at a change of line')).not.toBeChecked();
	// Another rule, for everyone to see; undone, it holds no longer.
	const another = rules.getByRole('form', { name: 'Another rule' });
	await another.getByLabel('Another rule').selectOption({ label: 'Check whether it is still good' });
	await another.getByLabel('Of').selectOption({ label: 'backing' });
	await another.getByLabel('Every so many days').fill('10');
	await another.getByRole('button', { name: 'Add it' }).click();
	await expect(page.locator('[data-due="judge"][data-overdue]').first()).toBeVisible();
	await page
		.getByRole('listitem')
		.filter({ hasText: 'Rule added.' })
		.getByRole('button', { name: 'Undo' })
		.click();
	await expect(page.locator('[data-due="judge"][data-overdue]')).toHaveCount(0);
	await rules.getByRole('button', { name: 'Leave out: Rinse it after salt, backing' }).click();
	await expect(rinse).toHaveCount(0);
	await rules.getByRole('button', { name: 'Restore defaults' }).click();
	await expect(every).toHaveValue('365');
	await expect(rinse).toHaveValue('1');
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
	await expect(page.getByText("The server doesn't answer. Nothing was saved")).toBeVisible();
	await server.start();
	const due = page.locator('[data-due="tug-test"]').first();
	await due.getByRole('button', { name: 'Failed' }).click();
	await expect(page.getByText(/it failed/)).toHaveCount(2);
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
			await open(page, `${demo.url}/care?add=1`);
			const { violations } = await new AxeBuilder({ page })
				.withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
				.analyze();
			expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)).toEqual([]);
			expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width);
		}
	});
