import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, open, stepDone, test, toBench } from './server';

const title = (page: Page) => page.locator('#step-title');
const turnsOn = async (page: Page): Promise<number> =>
	Number(await page.locator('[data-turns]').textContent());
const showStep = (page: Page, name: string) =>
	page.getByRole('list', { name: 'Steps of the job' }).getByRole('button', { name, exact: true }).click();

test('the whole job with keys alone, from the first step to the label', async ({ page, demo }) => {
	expect(demo.url).toBeTruthy();
	await toBench(page, 'Tarn reel A, char');
	await expect(title(page)).toHaveText('Lay everything out');
	// Tick what is there: Tab to the first thing, Space.
	await page.getByRole('checkbox', { name: /Reel and spool/ }).focus();
	await page.keyboard.press(' ');
	await expect(page.getByText(/not there yet/)).toBeVisible();
	await page.keyboard.press('PageDown');
	await expect(title(page)).toContainText('-hand wind');
	for (let i = 0; i < 5; i++) await page.keyboard.press(' ');
	await expect(title(page)).toHaveText('Wind the backing');

	const left = async (): Promise<number> => Number(await page.locator('[data-left]').textContent());
	const planned = await left();
	while ((await left()) > 30) await page.keyboard.press('t');
	await expect(page.locator('[data-stage="on"]')).toBeVisible();
	await page.keyboard.press('t');
	await expect(page.locator('[data-stage="near"]')).toBeVisible();
	for (let i = 0; i < 3; i++) await page.keyboard.press('t');
	await expect(page.locator('[data-stage="stop"]')).toContainText('Stop and measure');
	expect(await turnsOn(page)).toBeGreaterThanOrEqual(planned);
	const counted = await turnsOn(page);

	for (let i = 0; i < 3; i++) await page.keyboard.press(' ');
	await expect(title(page)).toHaveText('Wind the line');
	await page.keyboard.press(' ');
	await expect(title(page)).toHaveText('Look at the gap');
	await page.getByLabel('Gap that you measure').focus();
	await page.keyboard.type('4.2 mm');
	await page.keyboard.press('Enter');
	await expect(page.locator('[data-correction]')).toContainText("That's right.");
	await page.keyboard.press('Tab');
	await page.getByRole('heading', { name: 'Look at the gap' }).focus();
	for (let i = 0; i < 4; i++) await page.keyboard.press(' ');
	await expect(page.locator('#record-title')).toBeVisible();
	await expect(page.getByLabel('Turns of backing')).toHaveValue(String(counted));
	await expect(page.getByLabel('Gap with the line on')).toHaveValue('4.2 mm');
	await page.getByLabel('Wound by').focus();
	await page.keyboard.type('the night porter');
	await page.keyboard.press('Enter');
	await expect(page).toHaveURL(/\/$/);
	await page.getByRole('button', { name: 'Print its label' }).click();
	await expect(page.locator('[data-label]')).toContainText('gap 4.2 mm');

	// What it came to stands against the plan, and the next job begins at nothing.
	await page.goBack();
	const bench = await toBench(page, 'Tarn reel A, char');
	await expect(title(page)).toHaveText('Lay everything out');
	await open(page, `${bench}/past`);
	await expect(page.locator('[data-past]')).toContainText('the night porter');
	await expect(page.locator('[data-past]')).toContainText(String(counted));
});

test('by thumb at 390 pixels: every step from the foot of the screen', async ({ browser, demo }) => {
	const context = await browser.newContext({
		viewport: { width: 390, height: 844 },
		hasTouch: true,
		isMobile: true,
		baseURL: demo.url
	});
	const page = await context.newPage();
	await toBench(page);
	await expect(title(page)).toHaveText('Wind the backing');
	const thumb = async (name: string | RegExp): Promise<void> => {
		const button = page.getByRole('button', { name, exact: true });
		const box = (await button.boundingBox())!;
		expect(box.y + box.height / 2, String(name)).toBeGreaterThan(844 / 2);
		expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(44);
		await button.tap();
	};
	for (let i = 0; i < 12; i++) await thumb('10 turns of backing');
	await expect.poll(() => turnsOn(page)).toBe(120);
	const seen: string[] = [];
	for (let i = 0; i < 8; i++) {
		seen.push(await title(page).innerText());
		expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
		await thumb(/Done, next/);
		if (i === 0) await page.getByRole('button', { name: 'Yes, go to the next step' }).tap();
	}
	expect(seen).toEqual([
		'Wind the backing',
		"Find the line's rear end",
		'Join backing and line: nail knot',
		'Wind the line',
		'Look at the gap',
		'Put on the leader',
		'Last look',
		'Label the spool'
	]);
	await expect(page.locator('#record-title')).toBeVisible();
	await thumb('Back');
	await expect(title(page)).toHaveText('Label the spool');
	await context.close();
});

test('wound for the wrong hand: off it comes, back to the hand, and on from there', async ({
	page,
	context,
	demo
}) => {
	expect(demo.url).toBeTruthy();
	const bench = await toBench(page);
	for (let i = 0; i < 30; i++) await page.keyboard.press('t');
	await expect.poll(() => turnsOn(page)).toBe(300);
	await expect(page.locator('[data-sync="saved"]')).toBeVisible();
	const phone = await context.newPage();
	await open(phone, bench);
	await expect.poll(() => turnsOn(phone)).toBe(300);

	await page.bringToFront();
	await page.keyboard.press('w');
	await page.getByLabel('It is set, or wound, for the wrong hand').check();
	await expect(page.locator('[data-trouble]')).toContainText(
		'Wendle then starts counting the backing again.'
	);
	await page.getByRole('button', { name: 'Go on from there' }).click();
	await expect(title(page)).toHaveText('Set the reel for right-hand wind');
	// The other window is taken along.
	await expect(title(phone)).toHaveText('Set the reel for right-hand wind');
	const box = (name: string) => page.getByRole('checkbox', { name });
	await expect(box('Lay everything out')).toBeChecked();
	for (const name of ['Set the reel for right-hand wind', 'Mount the reel', 'Tie the backing to the arbor'])
		await expect(box(name)).not.toBeChecked();
	for (let i = 0; i < 5; i++) await page.keyboard.press(' ');
	await expect(title(page)).toHaveText('Wind the backing');
	expect(await turnsOn(page)).toBe(0);
	await page.keyboard.press('t');

	// Going back by mistake can itself be undone.
	await page.getByText(/Everything you noted so far/).click();
	await page.getByRole('button', { name: /^Undo: It is set, or wound, for the wrong hand/ }).click();
	await expect.poll(() => turnsOn(page)).toBe(310);
});

test('ways are chosen once, for this set-up or for all, and the steps follow', async ({ page, demo }) => {
	expect(demo.url).toBeTruthy();
	await toBench(page);
	await showStep(page, 'Tie the backing to the arbor');
	await expect(page.getByText('stopper overhand in the tag')).toBeVisible();
	await page.getByRole('button', { name: 'How you do it' }).click();
	const sheet = page.getByRole('dialog', { name: 'How you do it' });
	await sheet.getByRole('radio', { name: /^Uni type/ }).check();
	await sheet
		.getByRole('group', { name: /Turns round the arbor/ })
		.getByText('3')
		.click();
	await sheet.getByRole('group', { name: 'Joint of backing and line' }).getByText('Albright').click();
	await sheet.getByText('all of mine').click();
	await sheet.getByRole('radio', { name: /^Drill and cup/ }).check();
	await page.keyboard.press('Escape');
	await expect(page.getByText('Round the arbor three times. Lay the tag back')).toBeVisible();
	await showStep(page, 'Join backing and line: Albright');
	// A sinking line takes more wraps.
	await expect(page.getByText('10–12 wraps')).toBeVisible();
	await page.reload();
	await page.locator('[data-ready]').waitFor();
	await showStep(page, 'Mount the reel');
	await expect(page.getByText('rubber cup')).toBeVisible();
	await expect(page.getByText('use low speed and light tension')).toBeVisible();
	// Another set-up: the drill is the person's, the knot was that set-up's own.
	await toBench(page, 'Tarn reel A, char');
	await showStep(page, 'Mount the reel');
	await expect(page.getByText('rubber cup')).toBeVisible();
	await showStep(page, 'Tie the backing to the arbor');
	await expect(page.getByText('stopper overhand in the tag')).toBeVisible();
});

test('turns by a pace, by weight, and no count at all, mixed in one run', async ({ page, demo }) => {
	expect(demo.url).toBeTruthy();
	await toBench(page);
	await page.keyboard.press('t');
	const way = (name: string) => page.getByRole('group', { name: 'Way of counting' }).getByText(name).click();
	await way('Pace');
	await page.getByLabel('turns a minute').fill('600');
	await page.getByLabel('turns a minute').blur();
	await page.getByRole('button', { name: 'Start' }).click();
	// Ten turns a second: twenty are soon on, and what has run is kept although the page goes.
	await expect.poll(() => turnsOn(page)).toBeGreaterThan(30);
	await page.getByRole('button', { name: 'Stop', exact: true }).click();
	const paced = await turnsOn(page);
	await way('Scale');
	await page.getByLabel('Supply spool before').fill('120');
	await page.getByLabel('Supply spool now').fill('130');
	await page.getByLabel('Supply spool now').blur();
	await expect(page.getByText('The spool weighs no less than before')).toBeVisible();
	await page.getByLabel('Supply spool now').fill('110 g');
	await expect(page.locator('[data-weighed]')).toContainText(/\d+ yd has gone on, give or take\s+\d+ yd/);
	await page.getByRole('button', { name: /^Set the count to/ }).click();
	// 10 g of 0.48 mm at 0.9 g/cm³ are 61 m: some 400 turns at first.
	await expect.poll(() => turnsOn(page)).toBeGreaterThan(350);
	expect(await turnsOn(page)).toBeGreaterThan(paced);
	await way('No count');
	await expect(page.locator('[data-figure]')).toHaveText('10.1');
	await page.getByText(/Everything you noted so far/).click();
	await expect(page.locator('[data-log]')).toContainText('turns on the backing, at a pace');
	await expect(page.locator('[data-log]')).toContainText('turns on the backing, weighed');
});

test('hands busy: read aloud, kept awake, the whole screen, big contrast', async ({ page, demo }) => {
	expect(demo.url).toBeTruthy();
	await page.addInitScript(() => {
		const said: string[] = [];
		Object.assign(window, { said });
		Object.defineProperty(window, 'speechSynthesis', {
			value: { cancel: () => undefined, speak: ({ text }: SpeechSynthesisUtterance) => said.push(text) }
		});
		Object.defineProperty(navigator, 'wakeLock', {
			value: {
				request: (kind: string) => {
					said.push(`awake: ${kind}`);
					return Promise.resolve({ released: false, release: () => Promise.resolve() });
				}
			}
		});
	});
	await toBench(page);
	const said = () => page.evaluate(() => (window as unknown as { said: string[] }).said);
	expect(await said()).toContain('awake: screen');
	await page.getByRole('button', { name: 'Read aloud' }).click();
	await expect.poll(said).toContainEqual(expect.stringContaining('Wind the backing. Stop at this depth'));
	await stepDone(page);
	await expect.poll(said).toContainEqual(expect.stringContaining("Find the line's rear end"));
	await page.keyboard.press('ArrowLeft');
	for (let i = 0; i < 103; i++) await page.keyboard.press('t');
	await expect.poll(said).toContainEqual(expect.stringMatching(/^\d+ turns to go\.$/));
	await page.getByRole('button', { name: 'Big contrast' }).click();
	expect(await page.evaluate(() => getComputedStyle(document.body).color)).toMatch(
		/^rgb\((0, 0, 0|255, 255, 255)\)$/
	);
	await page.keyboard.press('f');
	await expect(page.locator('[data-whole]')).toBeVisible();
	await expect(page.getByRole('navigation', { name: 'Places' })).toBeHidden();
	const done = (await page.getByRole('button', { name: /Done, next/ }).boundingBox())!;
	expect(done.height).toBeGreaterThanOrEqual(72);
	await page.keyboard.press('f');
	await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible();
	// What was switched on is still on when the page comes back.
	await page.reload();
	await expect(page.locator('html[data-contrast="more"]')).toBeAttached();
});

/** A JPEG of the page's making, 60 wide and 40 high, said to have been held upright: EXIF orientation 6. */
const sidewaysJpeg = (page: Page): Promise<number[]> =>
	page.evaluate(async () => {
		const canvas = document.createElement('canvas');
		[canvas.width, canvas.height] = [60, 40];
		canvas.getContext('2d')!.fillRect(0, 0, 20, 20);
		const blob = await new Promise<Blob>((done) => canvas.toBlob((made) => done(made!), 'image/jpeg'));
		const jpeg = [...new Uint8Array(await blob.arrayBuffer())];
		const exif = [
			0xff, 0xe1, 0, 34, 0x45, 0x78, 0x69, 0x66, 0, 0, 0x4d, 0x4d, 0, 42, 0, 0, 0, 8,
			0, 1, 0x01, 0x12, 0, 3, 0, 0, 0, 1, 0, 6, 0, 0, 0, 0, 0, 0
		]; // prettier-ignore
		return [...jpeg.slice(0, 2), ...exif, ...jpeg.slice(2)];
	});

test('a photo and a remark stay with their step, taken while the server is away', async ({ page, demo }) => {
	await toBench(page);
	await demo.stop();
	await page.getByLabel('Remark on this step').fill('Lies a little high on the left.');
	await page.getByRole('button', { name: 'Note it' }).click();
	await page.getByLabel('Photo of this step').setInputFiles({
		name: 'spool.jpg',
		mimeType: 'image/jpeg',
		buffer: Buffer.from(await sidewaysJpeg(page))
	});
	const photo = page.locator('[data-photo]');
	await expect(photo).toBeVisible();
	await expect(page.locator('[data-state="away"]')).toBeVisible();
	await page.getByLabel('Photo of this step').setInputFiles({
		name: 'notes.jpg',
		mimeType: 'image/jpeg',
		buffer: Buffer.from('not a picture')
	});
	await expect(page.getByText("This browser can't read that picture")).toBeVisible();
	await demo.start();
	await expect(page.locator('[data-state="saved"]')).toBeVisible();
	const kept = await fetch(`${demo.url}/api/photos/${await photo.getAttribute('data-photo')}`);
	expect(kept.headers.get('content-type')).toBe('image/jpeg');
	await page.reload();
	// Turned the way it was held: higher than wide.
	await expect
		.poll(() => photo.evaluate((img: HTMLImageElement) => [img.naturalWidth, img.naturalHeight]))
		.toEqual([40, 60]);
	await expect(page.getByText('“Lies a little high on the left.”')).toBeVisible();
	const put = (body: BodyInit) =>
		fetch(`${demo.url}/api/photos/x`, { method: 'PUT', headers: { 'content-type': 'image/jpeg' }, body });
	expect((await put('no picture')).status).toBe(422);
	expect((await put(new Uint8Array(500_000))).status).toBe(413);
});

for (const theme of ['light', 'dark'] as const)
	test(`every step is open to anyone: ${theme}`, async ({ page, context, demo }) => {
		await context.addCookies([{ name: 'wendle-theme', value: theme, url: demo.url }]);
		await toBench(page);
		const clean = async (where: string): Promise<void> => {
			const { violations } = await new AxeBuilder({ page })
				.withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
				.analyze();
			expect(violations.map(({ id, nodes }) => `${where} ${id}: ${nodes[0]?.html}`)).toEqual([]);
		};
		for (const way of ['Pace', 'Counter', 'Scale', 'No count']) {
			await page.getByRole('group', { name: 'Way of counting' }).getByText(way).click();
			await clean(way);
		}
		for (let i = 0; i < 120; i++) await page.keyboard.press('t');
		await expect(page.locator('[data-stage="stop"]')).toBeVisible();
		await page.keyboard.press('w');
		await page.locator('[data-trouble]').getByRole('radio').first().check();
		await clean('at the stop, something wrong');
		await showStep(page, 'Lay everything out');
		await clean('tools');
		await showStep(page, 'Look at the gap');
		await clean('gap');
		await page.getByRole('button', { name: 'How you do it' }).click();
		await page.getByRole('dialog').waitFor();
		await clean('ways');
	});
