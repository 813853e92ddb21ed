import type { Page } from '@playwright/test';
import { measured } from './fit-page';
import { expect, saved, test } from './server';

/**
 * A true reel behind the screen: the spool as it is described, a backing that takes a tenth more room than thought, and a line
 * that takes what was thought. All of it by volumes of a straight spool, known to this test only.
 */
class TrueReel {
	turns = 0;
	readonly #rim: number;
	readonly #arbor: number;
	readonly #perTurn: number;
	readonly #line: number;
	readonly #width = 21;

	constructor(stopMm: number, turns: number, gapMm: number) {
		[this.#rim, this.#arbor] = [42, 19];
		this.#perTurn = (1.1 * this.#width * (this.#rim - stopMm - this.#arbor)) / turns;
		this.#line = this.#volume(this.#rim - gapMm) - this.#volume(this.#rim - stopMm);
	}
	#volume(radius: number): number {
		return Math.PI * this.#width * (radius ** 2 - this.#arbor ** 2);
	}
	get #radius(): number {
		return this.#arbor + (this.turns * this.#perTurn) / this.#width;
	}
	/** As a rule reads it: to a tenth. */
	get depth(): string {
		return `${(this.#rim - this.#radius).toFixed(1)} mm`;
	}
	get gapMm(): number {
		const filled = this.#volume(this.#radius) + this.#line;
		return this.#rim - Math.sqrt(filled / (Math.PI * this.#width) + this.#arbor ** 2);
	}
}

/** The bench of a new set-up, at the step that winds the backing. */
async function toBacking(page: Page): Promise<void> {
	await measured(page);
	await saved(page);
	await page.goto(page.url().replace('/fit/', '/bench/'));
	await page.locator('[data-ready]').waitFor();
	await page.getByRole('button', { name: 'Wind the backing' }).last().click();
	await expect(page.getByRole('heading', { name: 'Wind the backing' })).toBeVisible();
}

const number = async (page: Page, of: string): Promise<number> =>
	Number(/-?[\d.]+/.exec(await page.locator(of).innerText())![0]);

test('a count is lost with a wet thumb, and the job still ends at the gap that was wanted', async ({
	page
}) => {
	await toBacking(page);
	const wanted = await number(page, '[data-gap]');
	const reel = new TrueReel(await number(page, '[data-stop]'), await number(page, '[data-left]'), wanted);
	const tap = async (times: number): Promise<void> => {
		for (let i = 0; i < times; i++) await page.keyboard.press('t');
	};
	const read = async (): Promise<void> => {
		await page.getByLabel('Depth now, from the rim down').fill(reel.depth);
		await page.getByRole('button', { name: 'Save reading', exact: true }).click();
	};

	await tap(30);
	reel.turns = 300;
	// The thumb slips: so many taps that nobody turned, and a hundred turns that nobody tapped.
	await tap(50);
	reel.turns += 100;
	await expect(page.locator('[data-turns]')).toHaveText('800');
	await read();
	await expect(page.locator('[data-surprise]')).toContainText('after 800 turns');
	await page.getByRole('button', { name: 'I lost count', exact: true }).first().click();
	await expect(page.locator('[data-surprise]')).toHaveCount(0);
	await expect.poll(() => number(page, '[data-turns]')).toBeGreaterThan(380);
	expect(await number(page, '[data-turns]')).toBeLessThan(490);

	// On to a last pause before the end, and then to it.
	for (let i = 0; i < 30 && (await number(page, '[data-left]')) > 110; i++) {
		await tap(1);
		reel.turns += 10;
	}
	await read();
	await expect(page.locator('[data-readings] li')).toHaveCount(2);
	await expect(page.locator('[data-surprise]')).toHaveCount(0);
	for (let i = 0; i < 30 && (await number(page, '[data-left]')) >= 10; i++) {
		await tap(1);
		reel.turns += 10;
	}
	expect(Math.abs(reel.gapMm - wanted)).toBeLessThan(1);
	// Had the count been believed, far too little would be on: the gap would be wider by more than that.
	reel.turns -= 150;
	expect(Math.abs(reel.gapMm - wanted)).toBeGreaterThan(1);
});

test('losing count can be said at any time, and the count can be set by hand', async ({ page }) => {
	await toBacking(page);
	for (let i = 0; i < 5; i++) await page.keyboard.press('t');
	await page.keyboard.press('x');
	await expect(page.locator('[data-turns]')).toHaveText('?');
	await expect(page.locator('[data-lost]')).toContainText('Read the depth');
	await page.getByLabel('Turns that are on').fill('230');
	await page.getByRole('button', { name: 'Set the count' }).click();
	await expect(page.locator('[data-turns]')).toHaveText('230');
	await expect(page.locator('[data-lost]')).toHaveCount(0);
	await page.getByLabel('Depth now, from the rim down').fill('20 mm');
	await page.getByRole('button', { name: 'Save reading', exact: true }).click();
	await expect(page.locator('[data-readings]')).toContainText('20.0 mm');
	await page.getByRole('button', { name: 'Take out the reading of 20.0 mm' }).click();
	await expect(page.locator('[data-readings]')).toHaveCount(0);
});
