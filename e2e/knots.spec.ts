import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, frames, open, test, toBench } from './server';

test('a knot is stepped by keys, scrubbed, mirrored, turned, and drawn with the wraps asked for', async ({
	page
}) => {
	await open(page, '/knots');
	await page
		.locator('[data-gallery]')
		.getByRole('link', { name: /^Nail knot, over a tube/ })
		.click();
	const title = page.locator('[data-stage-title]');
	await expect(title).toHaveText('Lay them together');
	await page.keyboard.press('ArrowRight');
	await expect(title).toHaveText('Turn back, first wrap');
	await expect(page).toHaveURL(/stage=2/);
	await page.keyboard.press('End');
	await expect(title).toHaveText('Trim');
	const slider = page.getByRole('slider', { name: 'Stage' });
	await slider.fill('4');
	await expect(title).toHaveText('Through');
	// On the slider too an arrow is a whole stage.
	await slider.focus();
	await page.keyboard.press('ArrowRight');
	await expect(title).toHaveText('The tube out');
	await page.keyboard.press('ArrowLeft');
	await expect(slider).toHaveValue('4');
	const shape = () => page.locator('[data-knot]').innerHTML();
	const pieces = () => page.locator('[data-knot] [data-lies="over"]').count();
	const six = await pieces();
	await page.getByRole('spinbutton', { name: 'wraps' }).fill('9');
	await page.getByRole('spinbutton', { name: 'wraps' }).blur();
	await expect.poll(pieces).toBeGreaterThan(six);
	await expect(page).toHaveURL(/wraps=9/);
	const before = await shape();
	await page.getByRole('button', { name: 'For the left hand' }).click();
	await expect.poll(shape).not.toBe(before);
	const mirrored = await shape();
	const box = (await page.locator('[data-knot]').boundingBox())!;
	await page.mouse.move(box.x + 200, box.y + 150);
	await page.mouse.down();
	await page.mouse.move(box.x + 260, box.y + 120, { steps: 5 });
	await page.mouse.up();
	await expect.poll(shape).not.toBe(mirrored);
	const [svg] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('button', { name: 'SVG' }).click()
	]);
	expect(svg.suggestedFilename()).toBe('nail-knot-4.svg');
	// What was seen can be passed on.
	await page.reload();
	await expect(title).toHaveText('Through');
	await expect(page.getByRole('spinbutton', { name: 'wraps' })).toHaveValue('9');
});

/** Where the end of the tied strand is now, in the picture. */
const tag = (page: Page) => page.locator('[data-knot] [data-end="tag"]').last().getAttribute('transform');

test('between stages the end moves on its way; where it cannot, one picture fades into the next', async ({
	page
}) => {
	await open(page, '/knots/uni-arbor?stage=2');
	const slider = page.getByRole('slider', { name: 'Stage' });
	const places = new Set<string | null>();
	for (const place of ['2.2', '2.4', '2.6', '2.8']) {
		await slider.fill(place);
		places.add(await tag(page));
	}
	expect(places.size).toBe(4);
	// The words are those of the stage that is on the way.
	await expect(page.locator('[data-stage-title]')).toHaveText('Turns');
	await expect(page.locator('[data-coming]')).toHaveCount(0);
	await open(page, '/knots/leader-uncoiled?stage=3');
	await page.getByRole('slider', { name: 'Stage' }).fill('3.25');
	await expect(page.locator('[data-coming]')).toHaveAttribute('opacity', '0.25');
});

test('a knot is played from stage to stage, and held', async ({ page }) => {
	await open(page, '/knots/overhand-stopper');
	await page.getByRole('button', { name: 'Play' }).click();
	const slider = page.getByRole('slider', { name: 'Stage' });
	await expect.poll(async () => Number(await slider.inputValue())).toBeGreaterThan(1.2);
	await page.getByRole('button', { name: 'Pause' }).click();
	const held = await slider.inputValue();
	expect(Number(held) % 1).not.toBe(0);
	await frames(page, 12);
	expect(await slider.inputValue()).toBe(held);
	await page.keyboard.press('p');
	await expect(slider).toHaveValue('2', { timeout: 10_000 });
	// Stepping takes over from playing.
	await page.keyboard.press('End');
	await expect(slider).toHaveValue('4');
	await expect(page.getByRole('button', { name: 'Play' })).toBeVisible();
});

test('who wants less motion gets stages, not movements', async ({ page }) => {
	await page.emulateMedia({ reducedMotion: 'reduce' });
	await open(page, '/knots/uni-arbor');
	await page.keyboard.press('ArrowRight');
	await expect(page.getByRole('slider', { name: 'Stage' })).toHaveValue('2', { timeout: 200 });
});

test('a knot that is not drawn is told', async ({ page }) => {
	await open(page, '/knots');
	await page.getByRole('link', { name: /^Bimini twist, in words/ }).click();
	await expect(page.getByRole('listitem').filter({ hasText: 'half hitch' })).toBeVisible();
});

test('the curves can be had by anyone who asks rightly', async ({ server }) => {
	const ask = async (path: string) => {
		const reply = await fetch(server.url + path);
		return { status: reply.status, body: (await reply.json()) as Record<string, unknown> };
	};
	const { body: list } = await ask('/api/knots');
	expect((list['knots'] as { slug: string }[]).map(({ slug }) => slug)).toContain('surgeons-loop');
	const { body } = await ask('/api/knots/surgeons-loop?stage=3&wraps=3');
	const [strand] = body['strands'] as { start: string; end: string; points: number[][] }[];
	expect(strand).toMatchObject({ start: 'standing', end: 'tag' });
	expect(strand!.points[0]).toHaveLength(3);
	expect((await ask('/api/knots/granny')).status).toBe(404);
	const refused = await ask('/api/knots/surgeons-loop?wraps=7');
	expect(refused.status).toBe(422);
	expect(JSON.stringify(refused.body)).toContain('2 to 3 passes');
});

test('a step at the bench shows its knot when the server has gone away since', async ({
	page,
	context,
	demo
}) => {
	expect(demo.url).toBeTruthy();
	await toBench(page);
	await expect(page.locator('[data-knots-fetched]')).toBeVisible();
	await context.setOffline(true);
	const list = page.getByRole('list', { name: 'Steps of the job' });
	await list.getByRole('button', { name: 'Join backing and line: nail knot' }).click();
	await expect(page.locator('[data-step-knot="nail-knot"] svg[data-knot]')).toBeVisible();
});

test('a step at the bench shows the knot that is tied in it', async ({ page, demo }) => {
	expect(demo.url).toBeTruthy();
	await toBench(page);
	const list = page.getByRole('list', { name: 'Steps of the job' });
	await list.getByRole('button', { name: 'Join backing and line: nail knot' }).click();
	const knot = page.locator('[data-step-knot="nail-knot"]');
	// From its beginning, and on to the stage that is asked for.
	await expect(knot).toHaveAttribute('data-stage', '1');
	await expect(knot).toContainText('Lay them together');
	await knot.getByRole('button', { name: 'next stage' }).click();
	await expect(knot).toContainText('Turn the end back');
	await knot.getByRole('link').click();
	await expect(page.locator('[data-stage-title]')).toHaveText('Turn back, first wrap');
	// A sinking line takes more wraps.
	await expect(page.getByRole('spinbutton', { name: 'wraps' })).toHaveValue('8');
	await page.goto('/knots/granny');
	await expect(page.getByText("Wendle doesn't have a drawing of that knot. Go back to Knots.")).toBeVisible();
});

for (const theme of ['light', 'dark'] as const)
	test(`knots are open to anyone: ${theme}`, async ({ page, context, server }) => {
		await context.addCookies([{ name: 'wendle-theme', value: theme, url: server.url }]);
		for (const width of [1280, 390]) {
			await page.setViewportSize({ width, height: 800 });
			for (const path of [
				'/knots',
				'/knots?place=arbor',
				'/knots/uni-arbor',
				'/knots/bimini',
				'/knots/practise',
				'/knots/practise?knot=albright&seed=2'
			]) {
				await open(page, path);
				const { violations } = await new AxeBuilder({ page })
					.withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
					// A picture with a name: what it is painted with has none of its own.
					.exclude('[data-knot] g')
					.analyze();
				expect(violations.map(({ id, nodes }) => `${path} ${id}: ${nodes[0]?.html}`)).toEqual([]);
				expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width);
			}
		}
	});
