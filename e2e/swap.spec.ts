import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, open, stepDone, test, through } from './server';

const row = (page: Page, text: string) => page.locator('[data-kept]').filter({ hasText: text });

test('two lines swapped at the bench, and both found; undone, they are where they were', async ({
	page,
	demo
}) => {
	await open(page, demo.url);
	await page.getByRole('link', { name: 'Swap what is on Beck reel, grayling' }).click();
	await expect(page.getByRole('heading', { name: 'Swap on Beck reel, grayling' })).toBeVisible();
	const before = await page.locator('[data-gap-now]').textContent();
	expect(before).toContain('3.9 mm');
	const fresh = page.getByRole('form', { name: 'Something new' });
	await fresh.getByLabel('Class').selectOption({ label: '#3' });
	await fresh.getByLabel('Density').selectOption({ label: 'Sinking' });
	await fresh.getByLabel('Called').fill('thin sinker');
	await fresh.getByRole('button', { name: 'Put it on' }).click();
	const foreseen = await page.locator('[data-gap-then]').textContent();
	// Another choice takes its place, not the room over it.
	await expect(page.locator('[data-going] li')).toHaveCount(1);
	await page.getByRole('button', { name: 'Take it to the bench' }).click();
	await expect(page.locator('[data-doing="swap"]')).toBeVisible();
	const titles = await through(page, {
		'Tie and label': async () => {
			await page.getByLabel('Written on the coil').fill('WF4 for the beck');
			await page.getByRole('button', { name: "Yes, that's on the label" }).click();
			await expect(page.locator('[data-coil]')).toContainText('WF4 for the beck');
		},
		'Tug-test': async () => {
			await page.getByText('passed', { exact: true }).click();
			await expect(page.locator('[data-tug="passed"]')).toBeVisible();
		},
		'Wind the line': () => page.getByRole('button', { name: /^10 turns/ }).click(),
		'Look at the gap': async () => {
			await expect(page.locator('[data-figure]')).toHaveText(foreseen!.trim().split(' ')[0]!);
		}
	});
	expect(titles.slice(0, 4)).toEqual([
		'Lay everything out',
		'Take the line off',
		'Tie and label the line',
		'Tug-test the backing'
	]);
	// Backing that stays is not asked for again.
	await expect(page.getByLabel('Turns of backing')).toHaveCount(0);
	await page.getByLabel('Gap with the line on').fill('6.2 mm');
	await page.locator('[data-travel] select').first().selectOption({ label: 'Over its side, standing still' });
	await page.getByRole('button', { name: 'Put it on the rack' }).click();
	const beck = page.locator('[data-spool="Beck reel, grayling"]');
	await expect(beck).toContainText('thin sinker');
	await expect(beck).toContainText('gap 6.2 mm');
	await open(page, `${demo.url}/care`);
	await expect(row(page, 'on a coil: WF4 for the beck')).toHaveCount(1);
	await expect(row(page, 'thin sinker')).toContainText('Beck reel, grayling');
	await expect(row(page, 'thin sinker')).toContainText('gap 6.2 mm');
	// Pulled over the side of a spool that stood still, it has its twist from the first day.
	await expect(row(page, 'thin sinker').getByRole('link', { name: 'Take the twist out' })).toBeVisible();
	// The coil has a label, true to size.
	await row(page, 'WF4 for the beck').getByRole('link', { name: 'Print its label' }).click();
	const label = page.locator('[data-label]');
	await expect(label).toContainText('rear end first');
	await expect(label).toContainText('twist');
	expect((await label.boundingBox())!.width / (await label.boundingBox())!.height).toBeCloseTo(62 / 29, 1);
	// Undone, the winding and what followed from it are gone.
	await open(page, demo.url);
	await beck.getByRole('link').first().click();
	await page.locator('[data-history] a').first().click();
	await page.getByRole('button', { name: /^Undo this winding/ }).click();
	await expect(page.getByText('The winding is undone.')).toBeVisible();
	await open(page, `${demo.url}/care`);
	await expect(row(page, 'WF4 for the beck')).toHaveCount(0);
	await expect(row(page, 'thin sinker')).toHaveCount(0);
});

test('a line only taken off waits on its coil, and its spool bare', async ({ page, demo }) => {
	await open(page, demo.url);
	await page.getByRole('link', { name: 'Swap what is on Loan box, junior' }).click();
	await page.getByRole('link', { name: 'Only take it off' }).click();
	await through(page);
	await page.getByRole('button', { name: 'Save it' }).last().click();
	await expect(row(page, 'on a coil: Weight-forward 5, floating, off Loan box, junior')).toHaveCount(1);
	await open(page, demo.url);
	await expect(page.locator('[data-spool="Loan box, junior"]')).toContainText('the rest is off');
	await page.getByRole('link', { name: 'Swap what is on Loan box, junior' }).click();
	await expect(page.locator('[data-candidate="Weight-forward 5, floating"]').first()).toContainText('5.0 mm');
});

test('what is written on a coil while the server is away is there when it is back', async ({
	page,
	demo,
	server
}) => {
	await open(page, demo.url);
	await page.getByRole('link', { name: 'Swap what is on Loan box, junior' }).click();
	await page.getByRole('link', { name: 'Only take it off' }).click();
	await expect(page.locator('#step-title')).toHaveText('Lay everything out');
	await stepDone(page);
	await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible();
	await server.stop();
	await through(page, {
		'Tie and label': async () => {
			await page.getByLabel('Written on the coil').fill('drawer two');
			await page.getByRole('button', { name: "Yes, that's on the label" }).click();
		}
	});
	await page.getByRole('button', { name: 'Save it' }).last().click();
	await expect(page.getByRole('alert')).toContainText('What was done stays here');
	await server.start();
	await page.getByRole('button', { name: 'Save it' }).last().click();
	await expect(row(page, 'on a coil: drawer two')).toHaveCount(1);
	// One thing too many: undone, the line is on its spool again.
	await page
		.getByRole('listitem')
		.filter({ hasText: 'Written down.' })
		.getByRole('button', { name: 'Undo' })
		.click();
	await expect(row(page, 'on a coil: drawer two')).toHaveCount(0);
});

test('from reel to reel, and a plan that is dropped', async ({ page, demo }) => {
	await open(page, demo.url);
	await page.getByRole('link', { name: 'Swap what is on Estuary reel, sea-run char' }).click();
	await page.getByRole('button', { name: 'Put on slow sinker' }).click();
	await page.getByRole('button', { name: 'Take it to the bench' }).click();
	await expect(
		page.getByRole('checkbox', { name: 'Take the line off Beck reel, spare spool' })
	).toBeVisible();
	await open(page, demo.url);
	const estuary = page.locator('[data-spool="Estuary reel, sea-run char"]');
	await estuary.getByRole('button', { name: 'Drop the plan' }).click();
	await expect(estuary.getByRole('link', { name: 'To the bench' })).toHaveCount(0);
	await page.getByRole('button', { name: 'Plan it again' }).click();
	await expect(estuary.getByRole('link', { name: 'To the bench' })).toBeVisible();
});

test('twist walked out at the bench, counted in, and tested', async ({ page, demo }) => {
	await open(page, `${demo.url}/care`);
	const line = row(page, 'Weight-forward 8, intermediate');
	await expect(line).toContainText(/[12]\.\d turns a metre/);
	await line.getByRole('link', { name: 'Take the twist out' }).click();
	await expect(page.locator('[data-this-line]')).toContainText('turns a metre now');
	await page.getByLabel('Longest straight, empty stretch').fill('20 m');
	await page.getByLabel('Longest straight, empty stretch').blur();
	await expect(page.locator('[data-get-out]')).toContainText('2 passes');
	await page.getByRole('link', { name: 'Take it to the bench' }).click();
	await expect(page.locator('[data-doing="untwist"]')).toBeVisible();
	const titles = await through(page, {
		'Wind it in': async () => {
			for (let i = 0; i < 3; i++) await page.getByRole('button', { name: /^10 turns/ }).click();
			await expect(page.locator('main')).toContainText('30');
			// The count outlives the page.
			await page.reload();
			await expect(page.locator('[data-ready]')).toBeVisible();
			await expect(page.locator('#step-title')).toContainText('Wind it in');
		},
		'Loop test': async () => {
			await page.getByLabel('Line in the bight').fill('2 m');
			await page.getByLabel('Times it spins round').fill('0.5');
			await page.getByRole('button', { name: 'Save reading' }).click();
			await expect(page.locator('[data-loop-read]')).toContainText('0.5 turns a metre');
		}
	});
	expect(titles.filter((title) => title.startsWith('Lay the'))).toHaveLength(2);
	expect(titles.at(-1)).toBe('Loop test');
	await page.getByRole('button', { name: 'Save it' }).last().click();
	await expect(page.getByText('Written down.')).toBeVisible();
	await expect(row(page, 'Weight-forward 8, intermediate')).toContainText(/0\.\d turns a metre/);
});

for (const theme of ['light', 'dark'] as const)
	for (const width of [1280, 390])
		test(`swap, label and bench jobs: accessible, ${theme}, ${width} wide`, async ({ page, demo }) => {
			await page.setViewportSize({ width, height: 800 });
			await page.emulateMedia({ colorScheme: theme });
			await open(page, demo.url);
			await page.getByRole('link', { name: 'Swap what is on Beck reel, grayling' }).click();
			await expect(page.getByRole('heading', { name: /^Swap on/ })).toBeVisible();
			const places = [page.url()];
			await page.getByRole('link', { name: 'Only take it off' }).click();
			await expect(page.locator('#step-title')).toBeVisible();
			places.push(page.url());
			await open(page, `${demo.url}/care?where=coil`);
			places.push(page.url(), new URL('/care/plan?as=week', page.url()).href);
			places.push(
				new URL((await page.locator('a[href^="/label/coil"]').first().getAttribute('href'))!, page.url()).href
			);
			for (const place of places) {
				await open(page, place);
				const { violations } = await new AxeBuilder({ page }).analyze();
				expect(violations.map(({ id, nodes }) => [id, place, nodes[0]?.html])).toEqual([]);
				const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
				expect(overflow, place).toBeLessThanOrEqual(0);
			}
		});
