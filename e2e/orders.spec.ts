import { PDFDocument } from '@cantoo/pdf-lib';
import type { Locator, Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { card, stateOf, takeIn } from './orders-page';
import { expect, open, test, through } from './server';

const MM = 72 / 25.4;

test('an order goes from its wish over the bench to the hand-over', async ({ page, demo }) => {
	await open(page, `${demo.url}/data`);
	// Nobody who winds for nobody else meets orders.
	await expect(page.getByRole('navigation', { name: 'Places' }).getByText('Orders')).toHaveCount(0);
	await page.getByRole('link', { name: 'Take in an order' }).click();
	await page.getByLabel('What is wanted').fill('WF5F on the Loan box, junior, 20 lb, by tomorrow, gold knot');
	const understood = page.locator('[data-understood]');
	await expect(understood).toContainText('WF5F');
	await expect(understood).toContainText('taken as 20 lb polyester');
	await expect(page.locator('[data-not-understood] mark')).toHaveText('gold knot');
	await expect(page.getByLabel('Which reel is it?')).toHaveValue(/./);
	await expect(page.getByLabel('Due on')).not.toHaveValue('');
	await page.getByLabel('Whose it is: a name or a number').fill('Peg 4');
	await page.getByRole('button', { name: 'Take the order in' }).click();
	await expect(page.getByRole('heading', { name: 'Order 1, Peg 4' })).toBeVisible();

	await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Orders' }).click();
	await expect(stateOf(page, 'taken-in').locator('[data-order]')).toHaveCount(1);
	await page.getByLabel('Order 1 stands in').selectOption('Ready to wind');
	await expect(stateOf(page, 'ready').locator('[data-order]')).toHaveCount(1);
	await page.getByRole('button', { name: 'Undo the last change' }).click();
	await expect(stateOf(page, 'taken-in').locator('[data-order]')).toHaveCount(1);
	await page.getByLabel('Order 1 stands in').selectOption('Ready to wind');

	await page.locator('[data-next]').click();
	await expect(page.getByRole('link', { name: 'Order 1, Peg 4' })).toBeVisible();
	await page.locator('[data-ready]').waitFor();
	await through(page);
	await page.getByRole('button', { name: 'Put it on the rack' }).click();
	await expect(page.getByRole('heading', { name: 'Order 1, Peg 4' })).toBeVisible();
	await expect(page.getByLabel('Stands in')).toHaveValue('done');
	await page.getByRole('link', { name: 'Print the slip' }).click();
	const slip = page.getByRole('img', { name: /^Slip: Order 1, Peg 4/ });
	await expect(slip).toContainText('Loan box, junior');
	await expect(slip).toContainText('Next: ');
	await page.getByRole('link', { name: 'Back to the order' }).click();
	await page.getByRole('button', { name: 'Hand over' }).click();
	await expect(page.getByLabel('Stands in')).toHaveValue('handed-over');
	await expect(page.getByRole('button', { name: 'Hand over' })).toHaveCount(0);
});

/** Drags a line by its handle to a state. */
async function drag(page: Page, line: Locator, to: Locator): Promise<void> {
	const handle = line.locator('[data-handle]');
	await handle.hover();
	// The code for dragging comes with the first move of a pointer.
	await expect(handle).toHaveAttribute('role', 'button');
	const from = (await handle.boundingBox())!;
	const x = from.x + from.width / 2;
	await page.mouse.down();
	await page.mouse.move(x, from.y + from.height, { steps: 4 });
	// States make room for what is held over them: whoever drags follows with the eye.
	await expect(async () => {
		const zone = (await to.locator('[data-zone]').boundingBox())!;
		await page.mouse.move(x, zone.y + zone.height / 2, { steps: 6 });
		await expect(to.locator('[data-is-dnd-shadow-item-internal]')).toHaveCount(1, { timeout: 500 });
	}).toPass();
	await page.mouse.up();
}

test('two people see one board: what is dragged or begun in one window shows in the other', async ({
	page,
	context,
	demo
}) => {
	await takeIn(page, demo.url, 'WF5F on the Loan box, junior, 20 lb', { who: 'Peg 1' });
	await takeIn(page, demo.url, 'WF4F on the Beck reel, grayling, 20 lb', { who: 'Peg 2' });
	await open(page, `${demo.url}/orders`);
	const other = await context.newPage();
	await open(other, `${demo.url}/orders`);
	await drag(page, card(page, 1), stateOf(page, 'ready'));
	await expect(stateOf(page, 'ready').locator('[data-order="1"]')).toBeVisible();
	await expect(stateOf(other, 'ready').locator('[data-order="1"]')).toBeVisible();
	// Dropped where it came from, or beside, it stays as it is.
	await drag(page, card(page, 2), stateOf(page, 'taken-in'));
	await expect(stateOf(page, 'taken-in').locator('[data-order="2"]')).toBeVisible();

	await page.locator('[data-next]').click();
	await page.locator('[data-ready]').waitFor();
	await page.getByRole('button', { name: /^Done, next/ }).click();
	await expect(stateOf(other, 'bench').locator('[data-order="1"]')).toBeVisible();
	// Somebody winds it: it is nobody else's next.
	await expect(other.locator('[data-next]')).toHaveCount(0);

	// What is typed while the order is moved elsewhere is saved all the same.
	await card(other, 2).getByRole('link', { name: 'Peg 2' }).click();
	await other.getByRole('button', { name: 'Change this order' }).click();
	await other.getByLabel('Notes').fill('Collects at four.');
	await open(page, `${demo.url}/orders`);
	await page.getByLabel('Order 2 stands in').selectOption('Waiting for stock');
	await expect(other.getByLabel('Stands in')).toHaveValue('waiting');
	await other.getByRole('button', { name: 'Save this order' }).click();
	await expect(other.getByText('Collects at four.')).toBeVisible();
	await expect(other.getByLabel('Stands in')).toHaveValue('waiting');

	await other.getByRole('button', { name: 'Take this order away' }).click();
	await expect(card(other, 2)).toHaveCount(0);
	await expect(card(page, 2)).toHaveCount(0);
	await other.getByRole('button', { name: 'Undo the last change' }).click();
	await expect(card(page, 2)).toBeVisible();
});

test('the board finds its way back after the server was away', async ({ page, context, demo }) => {
	await takeIn(page, demo.url, 'WF5F on the Loan box, junior, 20 lb');
	await open(page, `${demo.url}/orders`);
	const other = await context.newPage();
	await open(other, `${demo.url}/orders`);
	await demo.stop();
	await page.getByLabel('Order 1 stands in').selectOption('Done');
	await expect(page.getByText("The server doesn't answer.")).toBeVisible();
	await expect(stateOf(page, 'taken-in').locator('[data-order="1"]')).toBeVisible();
	await demo.start();
	await expect(async () => {
		await page.getByLabel('Order 1 stands in').selectOption('Done');
		await expect(stateOf(page, 'done').locator('[data-order="1"]')).toBeVisible({ timeout: 2000 });
	}).toPass();
	await expect(stateOf(other, 'done').locator('[data-order="1"]')).toBeVisible();
});

test('tickets and many labels on a sheet come out true to size, on paper and as files', async ({
	page,
	demo
}) => {
	const sizesOf = async (bytes: Uint8Array): Promise<string[]> =>
		(await PDFDocument.load(bytes))
			.getPages()
			.map((one) => `${Math.round(one.getWidth() / MM)}x${Math.round(one.getHeight() / MM)}`);
	const saved = async (): Promise<string[]> => {
		const [download] = await Promise.all([
			page.waitForEvent('download'),
			page.getByRole('button', { name: 'Save as PDF' }).click()
		]);
		return sizesOf(readFileSync(await download.path()));
	};
	await takeIn(page, demo.url, 'WF5F on the Loan box, junior, 20 lb', { who: 'Łódź, 3rd peg' });
	await page.getByRole('link', { name: 'Print the ticket' }).click();
	await expect(page.getByRole('img', { name: /^Ticket: Order 1, Łódź, 3rd peg/ })).toBeVisible();
	expect(await sizesOf(await page.pdf({ preferCSSPageSize: true }))).toEqual(['105x74']);
	expect(await saved()).toEqual(['105x74']);

	await open(page, demo.url);
	await page.getByRole('button', { name: 'Choose several' }).click();
	for (const name of ['Beck reel, grayling', 'Loan box, junior', 'Tarn reel A, char'])
		await page.getByRole('checkbox', { name: `Choose ${name}` }).check();
	await page.getByRole('link', { name: 'Print 3 labels' }).click();
	expect(await saved()).toEqual(['62x29', '62x29', '62x29']);
	await page.getByText('A4 sheet').click();
	await expect(page.locator('[data-page]')).toHaveCount(1);
	// The sheet was begun: the last two places of it are free.
	await page.getByLabel('First free place').fill('26');
	await expect(page.locator('[data-page]')).toHaveCount(2);
	expect(await sizesOf(await page.pdf({ preferCSSPageSize: true }))).toEqual(['210x297', '210x297']);
	expect(await saved()).toEqual(['210x297', '210x297']);
	await page.emulateMedia({ media: 'print' });
	const [sheet, label] = [
		(await page.locator('[data-page]').first().boundingBox())!,
		(await page.locator('[data-label]').first().boundingBox())!
	];
	expect(label.width / 96).toBeCloseTo(62 / 25.4, 2);
	// In the middle of three columns, in the last of nine rows.
	expect((label.x - sheet.x) / 96).toBeCloseTo(74 / 25.4, 1);
	await page.emulateMedia({ media: null });
	await page.getByText('US Letter sheet').click();
	expect(await saved()).toEqual(['216x279', '216x279']);
});
