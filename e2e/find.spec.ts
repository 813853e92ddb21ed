import { takeIn } from './orders-page';
import { encode } from 'uqr';
import { expect, open, test } from './server';
import { shelve } from './stock-page';

test('a label warns of an address that leads nowhere, and each has a code that Find understands', async ({
	page,
	demo
}) => {
	await takeIn(page, demo.url, 'WF5F on the Loan box, junior, 20 lb', { who: 'Peg 4' });
	await page.getByRole('link', { name: 'Print the ticket' }).click();
	const warning = page.getByText('on a phone it leads nowhere');
	await expect(warning).toBeVisible();
	const words = await page
		.getByRole('img', { name: /^Ticket/ })
		.locator('text')
		.allTextContents();
	const code = words.at(-1)!;
	expect(code).toMatch(/^[0-9A-Z]{5}$/);
	const before = await page.locator('[data-qr]').getAttribute('d');

	await page.getByRole('link', { name: 'Your data' }).click();
	const field = page.getByLabel('Address that people use');
	await field.fill('not an address');
	await page.getByRole('button', { name: 'Save the address' }).click();
	await expect(page.getByText('Give an address as a browser shows it')).toBeVisible();
	await expect(field).toHaveValue('not an address');
	await field.fill('kit-room.local:4173');
	await page.getByRole('button', { name: 'Save the address' }).click();
	await expect(page.locator('[data-origin]')).toHaveText('http://kit-room.local:4173');
	await page.goBack();
	await expect(page.locator('[data-label]')).toBeVisible();
	await expect(warning).toHaveCount(0);
	expect(await page.locator('[data-qr]').getAttribute('d')).not.toBe(before);

	// Typed as it is read aloud: in small letters, with a space.
	await page.getByRole('link', { name: 'Find', exact: true }).click();
	await page
		.getByLabel('Code or name')
		.fill(`${code.slice(0, 2).toLowerCase()} ${code.slice(2).toLowerCase()}`);
	await page.getByRole('button', { name: 'Find it' }).click();
	await expect(page.getByRole('heading', { name: 'Order 1, Peg 4' })).toBeVisible();

	await page.getByRole('link', { name: 'Find', exact: true }).click();
	await page.getByLabel('Code or name').fill('beck reel');
	await page.getByLabel('Code or name').press('Enter');
	await expect(page.locator('[data-found] > li')).toHaveCount(2);
	const spool = page.locator('[data-found] > li').filter({ hasText: 'Beck reel, grayling' });
	const spoolCode = /[0-9A-Z]{5}$/.exec((await spool.innerText()).trim())![0];
	await page.getByLabel('Code or name').fill(spoolCode);
	await page.getByLabel('Code or name').press('Enter');
	await expect(page.getByRole('heading', { level: 1, name: 'Beck reel, grayling' })).toBeVisible();
	// The code that Find knows is the one on the spool's label.
	await page.getByRole('link', { name: 'Print its label' }).click();
	await expect(page.locator('[data-label]').first()).toContainText(spoolCode);

	await open(page, `${demo.url}/find?q=nothing+of+the+kind`);
	await expect(page.getByText('Nothing has the code or the name')).toBeVisible();
	await open(page, `${demo.url}/data`);
	await page.getByLabel('Address that people use').fill('');
	await page.getByRole('button', { name: 'Save the address' }).click();
	await expect(page.locator('[data-origin]')).toHaveText(demo.url);
	await page.getByRole('button', { name: 'Undo the last change' }).click();
	await expect(page.locator('[data-origin]')).toHaveText('http://kit-room.local:4173');
});

test('a code that the camera sees opens its page, by the decoder that Wendle ships', async ({
	page,
	demo
}) => {
	const id = await shelve(page, demo.url, { name: 'orange', length: '600 m' });
	// A stranger's code first, then the one of a label that was printed under another address.
	const codes = ['https://example.org/', `http://kit-room.local:4173/stock/${id}`].map(
		(address) => encode(address, { ecc: 'M', border: 4 }).data
	);
	await page.addInitScript((pictures) => {
		let shown = 0;
		Object.assign(window, { showNext: () => (shown = 1) });
		delete (window as { BarcodeDetector?: unknown }).BarcodeDetector;
		const canvas = document.createElement('canvas');
		Object.assign(canvas, { width: 640, height: 480 });
		const draw = (): void => {
			const squares = pictures[shown]!;
			const side = Math.floor(440 / squares.length);
			const context = canvas.getContext('2d')!;
			context.fillStyle = '#fff';
			context.fillRect(0, 0, 640, 480);
			context.fillStyle = '#000';
			squares.forEach((row, y) =>
				row.forEach((dark, x) => dark && context.fillRect(100 + x * side, 20 + y * side, side, side))
			);
			requestAnimationFrame(draw);
		};
		draw();
		navigator.mediaDevices.getUserMedia = async () => canvas.captureStream(15);
	}, codes);
	await open(page, `${demo.url}/find`);
	await page.getByRole('button', { name: 'Scan a code' }).click();
	await expect(page.getByText("This code isn't one of Wendle's")).toBeVisible();
	await page.evaluate(() => (window as unknown as { showNext: () => void }).showNext());
	await expect(page.getByRole('heading', { name: 'orange' })).toBeVisible();
	expect(new URL(page.url()).pathname).toBe(`/stock/${id}`);
});

test('without a camera it says so, and the short code still works', async ({ page, demo }) => {
	const id = await shelve(page, demo.url, { name: 'orange', length: '600 m' });
	await page.addInitScript(() => {
		navigator.mediaDevices.getUserMedia = () => Promise.reject(new Error('none'));
	});
	await open(page, `${demo.url}/find?q=orange`);
	await expect(page.locator('[data-found]')).toContainText('Stock');
	const code = (await page.locator('[data-found] a').last().textContent())!.trim().slice(-5);
	await page.getByRole('button', { name: 'Scan a code' }).click();
	await expect(page.getByRole('alert')).toContainText('There is no camera');
	await page.getByLabel('Code or name').fill(code);
	await page.getByRole('button', { name: 'Find it' }).click();
	await expect(page.getByRole('heading', { name: 'orange' })).toBeVisible();
	expect(new URL(page.url()).pathname).toBe(`/stock/${id}`);
});
