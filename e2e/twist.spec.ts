import AxeBuilder from '@axe-core/playwright';
import { expect, open, test } from './server';

test('two ways for a line to travel are planned and compared', async ({ page }) => {
	await open(page, '/twist');
	const one = page.getByRole('region', { name: 'One way' });
	const other = page.getByRole('region', { name: 'Another way' });
	// 30 yd off a spool of 130 mm, over its side: 27,432 / (π · 130) = 67.
	await expect(one.locator('[data-turns-added]')).toHaveText('67');
	await expect(other.locator('[data-turns-added]')).toHaveText('none');
	await expect(page.locator('[data-verdict]')).toHaveText('The second way is better, by 67 turns.');
	await expect(page.locator('[data-schools]')).toContainText('the first have a point');
	// The line really shows its turns a metre.
	await expect(one.locator('[data-turns]')).toHaveAttribute('data-turns', '2.449');
	await expect(other.locator('[data-turns]')).toHaveAttribute('data-turns', '0.000');
	await expect(one).toContainText('right-handed');
	await one.getByRole('radio', { name: 'anticlockwise' }).check();
	await expect(one).toContainText('left-handed');
	await one.getByRole('radio', { name: 'Half off one side, half off the other' }).check();
	await expect(one.locator('[data-turns-added]')).toHaveText('none');
	await expect(page.locator('[data-verdict]')).toHaveText('Both put in the same twist.');
	await one.getByRole('radio', { name: 'Over its side, standing still' }).check();
	await one.getByLabel('Across the middle of its coils').fill('65 mm');
	// Coils half as wide are twice as many.
	await expect(one.locator('[data-coils]')).toHaveText('134 coils');
	await expect(one.locator('[data-turns-added]')).toHaveText('134');
	await one.getByRole('radio', { name: 'Loose in a bowl or box' }).check();
	await one.getByLabel('Coils out of 100 that jump').fill('50');
	await expect(one.locator('[data-turns-added]')).toHaveText('67');
	// And then off the reel again, back the other way: what the first leg put in comes out.
	await one.getByRole('radio', { name: 'Over its side, standing still' }).check();
	await one.getByLabel('Across the middle of its coils').fill('70 mm');
	await one.getByRole('button', { name: 'Then on to something else' }).click();
	const then = one.locator('[data-leg]').nth(1);
	await then.getByRole('radio', { name: 'Over its side, standing still' }).check();
	await then.getByRole('radio', { name: 'clockwise', exact: true }).check();
	await expect(one.locator('[data-turns-added]')).toHaveText('none');
	await then.getByRole('button', { name: 'Remove this move' }).click();
	await expect(one.locator('[data-leg]')).toHaveCount(1);
	await one.getByRole('radio', { name: 'Half off one side, half off the other' }).check();
	await other.getByRole('radio', { name: 'Into coils by hand, all one way' }).check();
	await expect(page.locator('[data-verdict]')).toContainText('The first way is better');
	await page.reload();
	await page.locator('html[data-alive]').waitFor();
	await expect(page.locator('[data-verdict]')).toContainText('The first way is better');
	await page.getByRole('textbox', { name: 'Length of the line' }).fill('60 yd');
	// Coils by hand of 250 mm: 54,864 / (π · 250) = 70.
	await expect(other.locator('[data-turns-added]')).toHaveText('70');
});

test('it is seen leaving its spool, and stands still for who wants less motion', async ({ page }) => {
	await open(page, '/twist');
	const one = page.getByRole('region', { name: 'One way' });
	const shown = () => one.locator('clipPath rect').getAttribute('width');
	await one.getByRole('button', { name: 'Show it leaving' }).click();
	await expect.poll(async () => Number(await shown())).toBeLessThan(500);
	await expect.poll(async () => Number(await shown())).toBe(600);
	await page.emulateMedia({ reducedMotion: 'reduce' });
	await open(page, '/twist');
	await expect(one.getByRole('button', { name: 'Show it leaving' })).toHaveCount(0);
	expect(Number(await shown())).toBe(600);
});

test('a loop test says how twisted it is, and the place how to get it out', async ({ page }) => {
	await open(page, '/twist');
	const loop = page.locator('[data-loop-test]');
	await loop.getByRole('textbox').fill('2 m');
	await loop.getByRole('spinbutton').fill('1');
	await expect(loop.locator('[data-per-metre]')).toHaveText('1.0');
	await expect(loop).toContainText('when you have time');
	const out = page.locator('[data-get-out]');
	await expect(out.locator('[data-best-way]')).toHaveAttribute('data-best-way', 'stretch-and-walk');
	await expect(out).toContainText('one pass');
	await out.getByRole('textbox', { name: 'Longest straight, empty stretch' }).fill('20 m');
	await expect(out).toContainText('2 passes');
	await out.getByRole('textbox', { name: 'Longest straight, empty stretch' }).fill('3 m');
	await expect(out.locator('[data-not-here]')).toContainText('A straight empty stretch');
	await out.getByLabel('moving water').check();
	await expect(out.locator('[data-best-way]')).toHaveAttribute('data-best-way', 'current');
	await out.getByRole('textbox', { name: 'Longest straight, empty stretch' }).fill('far');
	await out.getByRole('textbox', { name: 'Longest straight, empty stretch' }).blur();
	await expect(out).toContainText('Give a length, like 30 yd.');
});

for (const theme of ['light', 'dark'] as const)
	test(`twist is open to anyone: ${theme}`, async ({ page, context, server }) => {
		await context.addCookies([{ name: 'wendle-theme', value: theme, url: server.url }]);
		for (const width of [1280, 390]) {
			await page.setViewportSize({ width, height: 800 });
			await open(page, '/twist');
			const { violations } = await new AxeBuilder({ page })
				.withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
				.analyze();
			expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)).toEqual([]);
			expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width);
		}
	});
