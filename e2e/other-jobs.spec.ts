import type { Page } from '@playwright/test';
import { measured, tab, unfold } from './fit-page';
import { answer, expect, open, test, through, toBench } from './server';

const figure = (page: Page) => page.locator('[data-figure]').first();
/** Sets the count of what is wound to what the step says it takes. */
async function countAll(page: Page): Promise<number> {
	const left = Number(/\d+/.exec(await page.locator('[data-left]').innerText())![0]);
	await page.getByLabel('Turns that are on').fill(String(left));
	await page.getByRole('button', { name: 'Set the count' }).click();
	return left;
}
async function readDepth(page: Page, text: string): Promise<void> {
	await page.getByLabel('Depth now, from the rim down').fill(text);
	await page.getByRole('button', { name: 'Save reading' }).click();
}
const technique = async (page: Page, group: string, way: RegExp): Promise<void> => {
	await page.getByRole('button', { name: 'How you do it' }).first().click();
	const sheet = page.getByRole('dialog', { name: 'How you do it' });
	await sheet.getByRole('group', { name: group }).getByRole('radio', { name: way }).check();
	await page.keyboard.press('Escape');
	await expect(sheet).toBeHidden();
};

test('a new line is stretched out, walked, and wound on without any twist', async ({ page, server }) => {
	await measured(page);
	expect(server.url).toBeTruthy();
	await page.getByRole('button', { name: /^Take it to the bench/ }).click();
	await technique(page, 'How a new line goes on', /^Stretched out/);
	const titles = await through(page, {
		'Wind the backing': async () => void (await countAll(page)),
		'Join backing': async () => {
			await expect(
				page.getByText('Take its front end off the anchor, draw the whole line through')
			).toBeVisible();
		},
		'while you walk': async () => void (await countAll(page))
	});
	const at = titles.indexOf("Find the line's rear end");
	expect(titles.slice(at, at + 7)).toEqual([
		"Find the line's rear end",
		'Find an empty stretch',
		'Lay the new line out straight',
		'Anchor the front end',
		'Pinch it and walk',
		'Join backing and line: loop to loop',
		'Wind it in while you walk to the anchor'
	]);
	await page.getByRole('button', { name: 'Put it on the rack' }).click();
	await expect(page.locator('[data-spool]')).toHaveCount(1);
	await open(page, `${server.url}/care`);
	const line = page.locator('[data-kept]').filter({ hasText: 'Weight-forward' });
	await expect(line).toHaveCount(1);
	await expect(line.getByRole('link', { name: 'Take the twist out' })).toHaveCount(0);
});

test('a reverse fill to its end: what is found by it is what is cut, and it is taken up where it was left', async ({
	page,
	server
}) => {
	await measured(page);
	await tab(page, 'Compare methods');
	const row = page.locator('[data-way="reverse-fill"]');
	await expect(row).toContainText('mm');
	await row.getByRole('button', { name: /^Take it to the bench/ }).click();
	await expect(page.locator('[data-doing="reverse"]')).toContainText('two storage spools');
	const titles = await through(page, {
		'Wind the line on first': async () => void (await countAll(page)),
		'Wind backing over it': async () => {
			// The line and the backing take more room than thought: the gap is right eighty turns early.
			const whole = Number(/\d+/.exec(await page.locator('[data-left]').innerText())![0]);
			await page.getByLabel('Turns that are on').fill(String(whole - 80));
			await page.getByRole('button', { name: 'Set the count' }).click();
			await readDepth(page, '4 mm');
			await expect(page.locator('[data-readings] li')).toHaveCount(1);
			// Left in the middle, it is there again.
			await page.reload();
			await page.locator('[data-ready]').waitFor();
			await expect(page.locator('[data-readings] li')).toHaveCount(1);
		},
		'on again, all of it': async () => {
			await expect(page.getByText('it was cut to the right length')).toBeVisible();
			await countAll(page);
		}
	});
	const at = titles.indexOf('Wind the line on first, rear end on the arbor');
	expect(titles.slice(at, at + 5)).toEqual([
		'Wind the line on first, rear end on the arbor',
		'Wind backing over it until the gap is right',
		'Cut the backing',
		'Take the backing off again',
		'Take the line off again'
	]);
	expect(titles.indexOf('Tie the backing to the arbor')).toBeGreaterThan(at + 4);
	await page.getByRole('button', { name: 'Put it on the rack' }).click();
	await expect(page.locator('[data-spool]')).toHaveCount(1);
	const { things: spools } = (await (await page.request.get(`${server.url}/api/spools`)).json()) as {
		things: unknown[];
	};
	expect(spools).toHaveLength(1);
});

test('a twin reel and the ground are jobs of their own, with the room that they take', async ({
	page,
	server
}) => {
	expect(server.url).toBeTruthy();
	await measured(page);
	await tab(page, 'Compare methods');
	await page.locator('[data-way="twin-reel"]').getByRole('button').click();
	await expect(page.locator('[data-doing="reverse"]')).toContainText('twin reel');
	await expect(page.getByText('A second reel of the same model')).toBeVisible();
	const bench = page.url();
	await open(page, bench.replace('reverse.twin', 'reverse.ground'));
	await expect(page.locator('[data-doing="reverse"]')).toContainText('run out on the ground');
	const list = page.getByRole('list', { name: 'Steps of the job' });
	await list.getByRole('button', { name: 'Run all of it out on the ground' }).click();
	await expect(page.getByText('Room to have')).toBeVisible();
	expect(Number(await figure(page).innerText())).toBeGreaterThan(100);
});

test('heads swapped twice on a spey reel, over the same two loops', async ({ page, demo }) => {
	const rod = page.locator('[data-spool="Long rod, sea-run char"]');
	expect(demo.url).toBeTruthy();
	await toBench(page, 'Long rod, sea-run char');
	await through(page);
	await page.getByRole('button', { name: 'Put it on the rack' }).click();
	for (const [head, came] of [
		['Spring head', 'Summer head'],
		['Summer head', 'Spring head']
	] as const) {
		await expect(rod).toContainText(came);
		await page.getByRole('link', { name: 'Swap what is on Long rod, sea-run char' }).click();
		const comesOff = page.getByLabel('From the outside in');
		const choice = await comesOff.locator('option', { hasText: came }).first().innerText();
		await comesOff.selectOption({ label: choice });
		await page.locator(`[data-candidate*="${head}"]`).first().getByRole('button').click();
		await page.getByRole('button', { name: 'Take it to the bench' }).click();
		const titles = await through(page, {
			'Take the head off': async () => {
				await expect(page.getByText('Both loops stay: they are used again.')).toBeVisible();
			},
			'Join running line and head': async () => {
				await expect(page.getByText(/Use the loop at the front|use it again/)).toBeVisible();
				await expect(page.getByText(/Tie a loop of/)).toHaveCount(0);
			}
		});
		expect(titles).toContain('Join running line and head: loop to loop');
		expect(titles).not.toContain('Tie the backing to the arbor');
		await page.getByRole('button', { name: 'Put it on the rack' }).click();
		await expect(rod).toContainText(head);
		await expect(rod).not.toContainText(came);
	}
});

test('on the water: ready for the first cast, and a broken loop mended', async ({ page, demo }) => {
	await open(page, demo.url);
	const reel = page.locator('[data-spool="Beck reel, grayling"]');
	await reel.getByRole('link').first().click();
	await page.getByRole('link', { name: 'Before the first cast' }).click();
	expect(await through(page)).toEqual([
		'Look the leader over',
		'Stretch the leader straight',
		'Lead the line through the guides',
		'One last look before the fly'
	]);
	await page.getByRole('button', { name: 'Save it' }).last().click();
	await reel.getByRole('link').first().click();
	await page.getByRole('link', { name: "The line's front loop broke" }).click();
	await expect(page.locator('[data-doing="repair"]')).toBeVisible();
	await technique(page, 'Nail knots tied with', /^Fingers only/);
	await through(page, {
		'Tie the leader': async () => {
			await expect(page.getByText(/so that it makes a hoop/)).toBeVisible();
			await expect(page.locator('[data-step-knot="nail-knot"]')).toHaveCount(0);
		}
	});
	await page.getByRole('button', { name: 'Save it' }).last().click();
	await expect(page.getByText('Written down.')).toBeVisible();
});

test('on a geared reel turns are those of the handle, and lengths are said in arm spans too', async ({
	page,
	server
}) => {
	expect(server.url).toBeTruthy();
	await measured(page);
	await unfold(page, 'Reel and winding');
	const plain = await answer(page, 'turns');
	const gear = page.getByLabel('Turns of the spool for one turn of the handle');
	await gear.fill('10 in 47');
	await gear.press('Tab');
	await expect(page.getByText(/isn't a ratio from 1 to 8/).first()).toBeVisible();
	await gear.fill('47 in 10');
	await expect.poll(() => answer(page, 'turns')).toBe(Math.round(plain / 4.7));
	const planned = await answer(page, 'turns');
	await page
		.getByRole('button', { name: /^Take it to the bench/ })
		.first()
		.click();
	const list = page.getByRole('list', { name: 'Steps of the job' });
	await list.getByRole('button', { name: 'Wind the backing' }).click();
	await expect(page.locator('[data-left]')).toHaveText(String(planned));
	await page.keyboard.press('t');
	await expect(page.locator('[data-turns]')).toHaveText('10');
	await expect(page.locator('[data-left]')).toHaveText(String(planned - 10));
	await page.getByLabel('Turns that are on').fill('100');
	await page.getByRole('button', { name: 'Set the count' }).click();
	const yards = Number(/[\d.]+/.exec(await page.locator('[data-length]').innerText())![0]);
	// 470 turns of an arbor of 38 mm, growing: some 66 yd.
	expect(yards).toBeGreaterThan(55);
	await page.getByRole('button', { name: 'How you do it' }).first().click();
	const span = page.getByLabel('Your arm span, fingertip to fingertip');
	await span.fill('9 in');
	await span.press('Tab');
	await expect(page.getByText('Type a length such as 5 ft 9 in, or 1.75 m.')).toBeVisible();
	await span.fill('6 ft');
	await span.press('Tab');
	await page.keyboard.press('Escape');
	const spans = Number(/\d+/.exec(await page.locator('[data-spans]').innerText())![0]);
	expect(Math.abs(spans - yards / 2)).toBeLessThanOrEqual(1);
});

test('a box that says a head, or plain nylon, is a figure like any other', async ({ page, server }) => {
	expect(server.url).toBeTruthy();
	await open(page, '/fit/new');
	await unfold(page, 'More about the spool');
	await page.getByLabel('Backing on the box').fill('120 yd');
	const line = await answer(page, 'length');
	await page.getByText('a head', { exact: true }).click();
	await page.getByLabel("Head's length on the box").fill('38 ft');
	await page.getByLabel('Or its two-handed class').selectOption({ label: '#8 short belly, 530 gr' });
	await expect(page.getByLabel('Weight on the box')).toHaveValue(/530 gr/);
	await expect.poll(() => answer(page, 'length')).not.toBe(line);
	const head = await answer(page, 'length');
	await page.getByText('nylon alone', { exact: true }).click();
	await page.getByLabel('Thickness of the nylon').fill('0.40 mm');
	await page.getByLabel('Nylon on the box').fill('300 m');
	await expect(page.getByText(/as much room as \d+ yd of 20 lb polyester/)).toBeVisible();
	await expect.poll(() => answer(page, 'length')).not.toBe(head);
	// Nine tenths of the nylon's volume, less that of the line: all of it has to come out of the figure.
	expect(await answer(page, 'length')).toBeGreaterThan(50);
});
