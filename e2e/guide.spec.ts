import { expect, type Locator, type Page } from '@playwright/test';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { open, test } from './server';

/**
 * Somebody follows the numbered steps of the README and the guide: presses the buttons that they name, types and chooses what they say,
 * and sees what they promise. A step says so in these words, and in no others:
 * "press **Name**", "in **Field** type `text`", "in **Field** choose `option`", "the page shows `text`".
 */
const DEED =
	/press \*\*(?<press>[^*]+)\*\*|in \*\*(?<field>[^*]+)\*\* (?<how>type|choose) `(?<value>[^`]+)`|the page shows `(?<shown>[^`]+)`/gi;

const root = join(import.meta.dirname, '..');
const sections = [
	...readFileSync(join(root, 'README.md'), 'utf8')
		.split(/^### /m)
		.slice(1)
		.map((text) => ({ name: `README: ${text.split('\n')[0]!}`, text })),
	...readdirSync(join(root, 'docs/guide')).map((file) => ({
		name: `docs/guide/${file}`,
		text: readFileSync(join(root, 'docs/guide', file), 'utf8')
	}))
].flatMap(({ name, text }) => {
	const steps = text.split('\n').flatMap((line) => /^\d+\. (.*)$/.exec(line)?.[1] ?? []);
	return steps.length > 0 ? [{ name, steps }] : [];
});

/** The first thing with this name that can be pressed. */
async function pressable(page: Page, name: string): Promise<Locator> {
	const named = { name, exact: false } as const;
	const any = page
		.getByRole('button', named)
		.or(page.getByRole('link', named))
		.or(page.getByRole('tab', named))
		.or(page.getByRole('radio', named))
		.or(page.locator('label, summary').filter({ hasText: name }));
	await expect(any.locator('visible=true').first()).toBeVisible();
	return any.locator('visible=true').first();
}

async function follow(page: Page, step: string): Promise<number> {
	let deeds = 0;
	for (const { groups } of step.matchAll(DEED)) {
		const { press, field, how, value, shown } = groups as Record<string, string | undefined>;
		if (press !== undefined) await (await pressable(page, press)).click();
		if (field !== undefined && value !== undefined) {
			const box = page.getByLabel(field, { exact: true }).locator('visible=true').first();
			if (how?.toLowerCase() === 'choose') await box.selectOption(value);
			else {
				await box.fill(value);
				await box.press('Tab');
			}
		}
		if (shown !== undefined)
			await expect(page.getByText(shown).locator('visible=true').first()).toBeVisible();
		deeds++;
	}
	return deeds;
}

test('the README and the guide have jobs with three to six steps each', () => {
	expect(sections.filter(({ name }) => name.startsWith('README')).length).toBeGreaterThanOrEqual(8);
	for (const { name, steps } of sections) expect(steps.length, name).toBeLessThanOrEqual(6);
});

for (const { name, steps } of sections)
	test(`its steps can be followed: ${name}`, async ({ page, demo }) => {
		expect(demo.url).toBeTruthy();
		await open(page, '/');
		let deeds = 0;
		for (const step of steps) deeds += await test.step(step, () => follow(page, step));
		expect(deeds).toBeGreaterThan(0);
	});

test('Help has every page of the guide, with its pictures', async ({ page, demo }) => {
	expect(demo.url).toBeTruthy();
	await open(page, '/');
	await page.getByRole('link', { name: 'Help' }).click();
	for (const file of readdirSync(join(root, 'docs/guide'))) {
		const [, title] = /^# (.+)$/m.exec(readFileSync(join(root, 'docs/guide', file), 'utf8'))!;
		await page.getByRole('navigation', { name: 'Pages of Help' }).getByRole('link', { name: title! }).click();
		await expect(page.getByRole('heading', { level: 1, name: title! })).toBeVisible();
		for (const picture of await page.locator('article img').all()) {
			await picture.scrollIntoViewIfNeeded();
			await expect
				.poll(() => picture.evaluate((img: HTMLImageElement) => img.naturalWidth))
				.toBeGreaterThan(0);
		}
	}
	await page.goto('/help/nothing-of-the-kind');
	await expect(page.getByText("Help doesn't have that page.")).toBeVisible();
});
