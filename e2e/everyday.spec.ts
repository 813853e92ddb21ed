import AxeBuilder from '@axe-core/playwright';
import { readFileSync } from 'node:fs';
import { unfold } from './fit-page';
import { answer, expect, fitOf, open, saved, test } from './server';

test('the whole job by keys', async ({ page, demo }) => {
	expect(demo.url).toBeTruthy();
	await open(page, await fitOf(page, 'Tarn reel A, char'));
	const handle = page.getByRole('slider', { name: 'Gap to leave' });
	await handle.focus();
	await page.keyboard.press('ArrowDown');
	await expect(handle).toHaveAttribute('aria-valuenow', '4.1');
	await page.keyboard.press('PageDown');
	await expect(handle).toHaveAttribute('aria-valuetext', '5.1 mm');
	await page.keyboard.press('Home');
	await expect(handle).toHaveAttribute('aria-valuenow', '0');
	await page.keyboard.press('End');
	await expect(page.getByRole('button', { name: /Take it to the bench/ })).toBeDisabled();
	await page.keyboard.press('Home');
	for (let i = 0; i < 5; i++) await page.keyboard.press('PageDown');
	expect(await answer(page, 'gap')).toBe(5);
	await page.keyboard.press('u');
	await expect(page.locator('[data-answer="stop-depth"]')).toContainText('in');
	await page.keyboard.press('b');
	await expect(page).toHaveURL(/\/bench\//);
	await page.locator('[data-ready]').waitFor();
	for (let i = 0; i < 3; i++) await page.keyboard.press(' ');
	await expect(page.getByText('4 of 14')).toBeVisible();
	await page.keyboard.press('ArrowLeft');
	await expect(page.getByText('3 of 14')).toBeVisible();
	await page.keyboard.press('?');
	await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
	await page.keyboard.press('Escape');
	// A slip beside T leaves nothing.
	await page.keyboard.press('r');
	await expect(page.getByText('3 of 14')).toBeVisible();
	await page.getByRole('link', { name: 'Rack', exact: true }).click();
	await expect(page.locator('[data-spool="Tarn reel A, char"]')).toContainText('3 of 14 done');
	await page.keyboard.press('n');
	await expect(page).toHaveURL(/\/fit\/new/);
	await page.goBack();
	await expect(page.locator('[data-spool]').first()).toBeVisible();
});

test('two windows: the second to save is asked, and nothing is lost', async ({ page, context, demo }) => {
	expect(demo.url).toBeTruthy();
	const address = await fitOf(page, 'Beck reel, grayling');
	const other = await context.newPage();
	await open(page, address);
	await open(other, address);
	await page.getByRole('textbox', { name: 'Gap to leave' }).fill('3 mm');
	await saved(page);
	await other.getByRole('textbox', { name: 'Gap to leave' }).fill('6 mm');
	await expect(other.getByRole('dialog', { name: 'Changed in another window' })).toBeVisible();
	await other.getByRole('button', { name: "Use the other window's" }).click();
	await expect(other.getByRole('textbox', { name: 'Gap to leave' })).toHaveValue('3 mm');
	await page.getByRole('textbox', { name: 'Gap to leave' }).fill('3.5 mm');
	await saved(page);
	await other.getByRole('textbox', { name: 'Gap to leave' }).fill('7 mm');
	await other.getByRole('button', { name: "Keep this window's" }).click();
	await saved(other);
	await page.reload();
	await expect(page.getByRole('textbox', { name: 'Gap to leave' })).toHaveValue('7 mm');
});

test('what is typed while the server is away is saved when it is back', async ({ page, demo }) => {
	await open(page, await fitOf(page, 'Beck reel, grayling'));
	await demo.stop();
	await page.getByRole('textbox', { name: 'Gap to leave' }).fill('5.5 mm');
	await expect(page.getByText('Not saved yet, trying again')).toBeVisible();
	await demo.start();
	await saved(page);
	await page.reload();
	await expect(page.getByRole('textbox', { name: 'Gap to leave' })).toHaveValue('5.5 mm');
});

test('the picture is the model: as many circles as turns, and it can be taken out', async ({
	page,
	demo
}) => {
	expect(demo.url).toBeTruthy();
	await open(page, await fitOf(page, 'Tarn reel A, char'));
	const drawing = page.getByRole('group', { name: /Section through the filled spool/ });
	const circles = await drawing
		.locator('path[stroke="var(--backing)"]')
		.evaluateAll((paths) => paths.map((path) => path.getAttribute('d')!.split('M').length - 1));
	expect(circles.reduce((a, b) => a + b, 0)).toBe(await answer(page, 'turns'));

	const saved = page.waitForEvent('download');
	await page.getByRole('button', { name: 'SVG', exact: true }).click();
	const svg = readFileSync(await (await saved).path(), 'utf8');
	expect((await saved).suggestedFilename()).toBe('tarn-reel-a-char.svg');
	expect(svg).toContain('xmlns="http://www.w3.org/2000/svg"');
	expect(svg).not.toContain('var(--backing)"/>');
	const picture = page.waitForEvent('download');
	await page.getByRole('button', { name: 'PNG', exact: true }).click();
	expect(
		readFileSync(await (await picture).path())
			.subarray(1, 4)
			.toString()
	).toBe('PNG');
});

test('the thread opens the editor of what is clicked', async ({ page, demo }) => {
	expect(demo.url).toBeTruthy();
	await open(page, await fitOf(page, 'Tarn reel A, char'));
	await page.getByRole('button', { name: 'Edit the leader' }).click();
	await expect(page.getByRole('textbox', { name: 'Leader' })).toBeFocused();
	await page.getByRole('button', { name: 'Edit the Braided polyester, 20 lb' }).click();
	await expect(
		page.getByRole('region', { name: 'On the spool' }).getByLabel('Part', { exact: true })
	).toHaveValue('backing');
	await page.getByRole('button', { name: 'Edit the Weight-forward 6, floating' }).click();
	await expect(
		page.getByRole('region', { name: 'On the spool' }).getByLabel('Part', { exact: true })
	).toBeFocused();
});

test('several figures from the box, one of them odd', async ({ page }) => {
	await open(page, '/fit/new');
	await unfold(page, 'More about the spool');
	for (const [i, yards] of ['100', '104', '300'].entries()) {
		if (i > 0) await page.getByRole('button', { name: 'Figure', exact: true }).click();
		await page
			.getByRole('group', { name: `Figure ${i + 1} from the box` })
			.getByLabel('Backing on the box')
			.fill(yards);
	}
	const odd = page.getByRole('group', { name: 'Figure 3 from the box' });
	await expect(odd.getByText("doesn't agree with the others")).toBeVisible();
	const length = await answer(page, 'length');
	expect(length).toBeGreaterThan(85);
	expect(length).toBeLessThan(100);
	await page.getByRole('button', { name: 'Remove figure 3' }).click();
	await expect(odd).toHaveCount(0);
});

for (const theme of ['light', 'dark'] as const)
	for (const width of [1280, 390])
		test(`nothing in the way of anyone: ${theme}, ${width} wide`, async ({ page, context, demo }) => {
			await context.addCookies([{ name: 'wendle-theme', value: theme, url: demo.url }]);
			await page.setViewportSize({ width, height: 800 });
			const fit = await fitOf(page, 'Tarn reel B, sinker');
			const bench = fit.replace('fit', 'bench');
			for (const path of ['/', '/match', fit, '/fit/new', bench, `${bench}/sheet`, `${bench}/past`]) {
				await open(page, path);
				const { violations } = await new AxeBuilder({ page })
					.withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
					.analyze();
				expect(violations.map(({ id, nodes }) => `${path} ${id}: ${nodes[0]?.html}`)).toEqual([]);
				const wide = await page.evaluate(() => document.documentElement.scrollWidth);
				expect(wide, path).toBeLessThanOrEqual(width);
			}
		});

for (const theme of ['light', 'dark'] as const)
	test(`every panel of a fit is open to anyone: ${theme}`, async ({ page, context, demo }) => {
		await context.addCookies([{ name: 'wendle-theme', value: theme, url: demo.url }]);
		await open(page, await fitOf(page, 'Long rod, sea-run char'));
		for (const name of [
			'How sure?',
			'Compare methods',
			'Check while winding',
			'With a fish on',
			'Swaps',
			'Buy and cut'
		]) {
			await page.getByRole('tab', { name }).click();
			await expect(page.getByRole('tabpanel', { name })).toBeVisible();
			if (name === 'How sure?') await expect(page.locator('[data-sure="gap"]')).toBeVisible();
			if (name === 'Compare methods') await expect(page.locator('[data-way]').first()).toBeVisible();
			const { violations } = await new AxeBuilder({ page })
				.withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
				.analyze();
			expect(violations.map(({ id, nodes }) => `${name} ${id}: ${nodes[0]?.html}`)).toEqual([]);
		}
	});

test('units and theme are remembered by the page the server makes', async ({ page, demo }) => {
	expect(demo.url).toBeTruthy();
	await open(page, '/');
	await page.getByLabel('Units').selectOption('m, mm');
	await page.getByRole('button', { name: /^Theme: system/ }).click();
	await page.getByRole('button', { name: /^Theme: light/ }).click();
	await expect(page.locator('[data-spool="Beck reel, grayling"]')).toContainText('WF4F, 27 m');
	const html = await (await page.request.get('/')).text();
	expect(html).toContain('data-theme="dark"');
	expect(html).toContain('WF4F, 27 m');
});
