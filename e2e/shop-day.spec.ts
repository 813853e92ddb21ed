import type { Page } from '@playwright/test';
import { stateOf, takeIn } from './orders-page';
import { shelve } from './stock-page';
import { expect, open, saved, test, type Server } from './server';

const ORDERS = [
	['Peg 1', 'WF4F on the Beck reel, grayling, 20 lb'],
	['Peg 2', 'DT4F on the Beck reel, spare spool, gel-spun 30 lb'],
	['Peg 3', 'WF6F on the Tarn reel A, char, 20 lb'],
	['Peg 4', 'WF8I on the Estuary reel, sea-run char, gel-spun 50 lb'],
	['Peg 5', 'WF5F on the Loan box, junior, 20 lb, 5 mm gap'],
	['Peg 6', 'WF6F on my 6, right hand, 20 lb']
] as const;

/** Winds the reel that the bench has in hand on one screen, from the count to the hand-over. */
async function windOne(page: Page, during?: () => Promise<void>): Promise<string> {
	const form = page.getByRole('form', { name: 'Winding on one screen' });
	await expect(form.locator('[data-stop]')).toContainText(/\d/);
	await page.locator('[data-ready]').waitFor();
	const order = (await page.getByRole('link', { name: /^Order \d/ }).textContent())!.trim();
	const tap = form.getByRole('button', { name: /^\d+ turns?/ });
	await tap.click();
	const turns = Number(await form.locator('[data-turns]').textContent());
	expect(turns).toBeGreaterThan(0);
	await during?.();
	await tap.click();
	await expect(form.locator('[data-turns]')).toHaveText(String(2 * turns));
	// What was counted stands in the field until somebody types what is on.
	await expect(form.getByLabel('Turns of backing')).toHaveValue(String(2 * turns));
	await form.getByLabel('Turns of backing').fill('');
	await form.getByLabel('Gap with the line on').fill('4 mm');
	await form.getByLabel('Wound by').fill('the warden');
	await form.getByRole('button', { name: 'Put it on the rack' }).click();
	await expect(page.getByRole('heading', { name: order })).toBeVisible();
	await expect(page.getByLabel('Stands in')).toHaveValue('done');
	await expect(page.getByRole('link', { name: 'Print its label' })).toBeVisible();
	await page.getByRole('button', { name: 'Hand over' }).click();
	await expect(page.getByLabel('Stands in')).toHaveValue('handed-over');
	return order;
}

/** The server goes away in the middle of a count, which goes on, and comes back. */
const losing = (server: Server, page: Page) => async (): Promise<void> => {
	const tap = page.getByRole('button', { name: 'One turn more' });
	await server.stop();
	await tap.click();
	await page.getByRole('button', { name: 'One turn less' }).click();
	await server.start();
};

test('six orders go in a row from their wishes through two benches to the hand-over', async ({
	page,
	browser,
	demo
}) => {
	test.slow();
	const shelf = [
		['orange', 'polyester-20', '600 m'],
		['white', 'polyester-20', '500 m'],
		['thin', 'gel-spun-30', '1000 m'],
		['boat', 'gel-spun-50', '1000 m']
	] as const;
	for (const [name, material, length] of shelf) await shelve(page, demo.url, { name, material, length });
	for (const [who, wish] of ORDERS) await takeIn(page, demo.url, wish, { who });
	// The reel that is new to Wendle is described first.
	await page.getByRole('link', { name: 'Open its set-up' }).click();
	await page.locator('[data-ready]').waitFor();
	await page.getByRole('radio', { name: 'Measured' }).click();
	await page.getByLabel('Across the rims').fill('84 mm');
	await page.getByLabel('Across the arbor').fill('38 mm');
	await page.getByLabel('Between the flanges').fill('21 mm');
	await page.getByLabel('Between the flanges').press('Tab');
	await saved(page);
	await open(page, `${demo.url}/orders`);
	for (let number = 1; number <= ORDERS.length; number++) {
		await page.getByLabel(`Order ${number} stands in`).selectOption('Ready to wind');
		await expect(stateOf(page, 'ready').locator(`[data-order="${number}"]`)).toBeVisible();
	}
	await open(page, `${demo.url}/stock`);
	const plan = page.locator('[data-cut-plan]');
	await expect(plan.locator('[data-plan-says]')).toContainText('Every reel gets its backing in one piece');
	await expect(plan.locator('[data-piece]')).toHaveCount(ORDERS.length);
	await plan.getByRole('button', { name: 'Keep this plan' }).click();
	await expect(plan.getByText('You keep this plan.')).toBeVisible();
	await open(page, `${demo.url}/orders`);
	const other = await (await browser.newContext({ locale: 'en-GB' })).newPage();
	await open(other, `${demo.url}/orders`);
	const benches = [page, other];
	const handedOver: string[] = [];
	for (const [i, bench] of benches.entries()) {
		// Whoever goes to the bench has that order: the other bench gets the next one, of the same backing.
		await expect(bench.locator('[data-next]')).toContainText(`Wind the next: ${[1, 3][i]},`);
		await bench.locator('[data-next]').click();
		await bench.getByRole('button', { name: 'Wind on one screen' }).locator('visible=true').click();
		await expect(bench.locator('[data-turns]')).toHaveText('0');
	}
	for (let i = 0; i < ORDERS.length; i++) {
		const bench = benches[i % 2]!;
		handedOver.push(await windOne(bench, i === 2 ? losing(demo, bench) : undefined));
		if (i + 2 >= ORDERS.length) continue;
		await bench.locator('[data-next]').click();
		await expect(bench.getByRole('form', { name: 'Winding on one screen' })).toBeVisible();
	}
	expect(handedOver.toSorted()).toEqual(ORDERS.map(([who], i) => `Order ${i + 1}, ${who}`));
	await open(page, `${demo.url}/orders`);
	await expect(stateOf(page, 'handed-over').locator('[data-order]')).toHaveCount(5);
	await page.getByRole('button', { name: 'Show all 6' }).click();
	await expect(stateOf(page, 'handed-over').locator('[data-order]')).toHaveCount(6);
	// Every winding took its backing off the shelf, from where it was planned.
	const reply = await page.request.get(`${demo.url}/api/stock`);
	const { things } = (await reply.json()) as { things: { events: { kind: string }[] }[] };
	expect(things.flatMap(({ events }) => events.map(({ kind }) => kind))).toEqual(ORDERS.map(() => 'cut'));
	// Their owner took the new reel along; the kit room's own stay.
	await open(page, demo.url);
	await expect(page.locator('[data-spool="my 6"]')).toHaveCount(0);
	await expect(page.locator('[data-spool="Loan box, junior"]')).toBeVisible();
});

test('who goes step by step again has the same count, and every page remembers the form', async ({
	page,
	demo
}) => {
	await takeIn(page, demo.url, 'WF5F on the Loan box, junior, 20 lb');
	await page.getByRole('link', { name: 'Take it to the bench' }).click();
	await page.locator('[data-ready]').waitFor();
	await page.getByRole('button', { name: 'Wind on one screen' }).locator('visible=true').click();
	const form = page.getByRole('form', { name: 'Winding on one screen' });
	await form.getByRole('button', { name: 'One turn more' }).click();
	await page.keyboard.press('+');
	await expect(form.locator('[data-turns]')).toHaveText('2');
	await expect(
		page
			.getByText(/^Saved/)
			.locator('visible=true')
			.first()
	).toBeVisible();
	await page.reload();
	await expect(form.locator('[data-turns]')).toHaveText('2');
	await page.locator('[data-ready]').waitFor();
	// Space ends no step that nobody sees.
	await page.keyboard.press(' ');
	await page.getByRole('button', { name: 'Go step by step' }).locator('visible=true').click();
	await expect(form).toHaveCount(0);
	await expect(page.locator('#step-title')).toBeVisible();
	// The step's name, not the box beside it that ticks it.
	await page.getByText('Wind the backing', { exact: true }).click();
	await expect(page.locator('[data-turns]')).toHaveText('2');
});
