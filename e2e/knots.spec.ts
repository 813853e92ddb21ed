import AxeBuilder from '@axe-core/playwright';
import { expect, open, test, toBench } from './server';

test('a knot is stepped by keys, scrubbed, mirrored, turned, and drawn with the wraps asked for', async ({
	page
}) => {
	await open(page, '/knots');
	await page.getByRole('link', { name: /^Nail knot/ }).click();
	const title = page.locator('[data-stage-title]');
	await expect(title).toHaveText('Lay them together');
	await page.keyboard.press('ArrowRight');
	await expect(title).toHaveText('Turn back, first wrap');
	await page.keyboard.press('End');
	await expect(title).toHaveText('Trim');
	await page.getByRole('slider', { name: 'Stage' }).fill('4');
	await expect(title).toHaveText('Through');
	const shape = () => page.locator('[data-knot]').innerHTML();
	const pieces = () => page.locator('[data-knot] [data-over="true"]').count();
	const six = await pieces();
	await page.getByRole('spinbutton', { name: 'wraps' }).fill('9');
	await page.getByRole('spinbutton', { name: 'wraps' }).blur();
	await expect.poll(pieces).toBeGreaterThan(six);
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
});

test('the curves can be had by anyone who asks rightly', async ({ server }) => {
	const ask = async (path: string) => {
		const reply = await fetch(server.url + path);
		return { status: reply.status, body: (await reply.json()) as Record<string, never> };
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

test('a step at the bench shows the knot that is tied in it', async ({ page, demo }) => {
	expect(demo.url).toBeTruthy();
	await toBench(page);
	const list = page.getByRole('list', { name: 'Steps of the job' });
	await list.getByRole('button', { name: 'Join backing and line: nail knot' }).click();
	await page.locator('[data-step-knot="nail-knot"]').click();
	// A sinking line takes more wraps.
	await expect(page.getByRole('spinbutton', { name: 'wraps' })).toHaveValue('8');
	await page.goto('/knots/granny');
	await expect(page.getByText('That knot is not drawn here (yet).')).toBeVisible();
});

for (const theme of ['light', 'dark'] as const)
	test(`knots are open to anyone: ${theme}`, async ({ page, context, server }) => {
		await context.addCookies([{ name: 'wendle-theme', value: theme, url: server.url }]);
		for (const width of [1280, 390]) {
			await page.setViewportSize({ width, height: 800 });
			for (const path of ['/knots', '/knots/uni-arbor']) {
				await open(page, path);
				const { violations } = await new AxeBuilder({ page })
					.withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
					.analyze();
				expect(violations.map(({ id, nodes }) => `${path} ${id}: ${nodes[0]?.html}`)).toEqual([]);
				expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width);
			}
		}
	});
