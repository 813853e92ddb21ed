import type { Locator, Page } from '@playwright/test';
import { answer, expect, open, test, through } from './server';

/** What somebody thinks who has never seen Wendle, and what they then do; what they do is counted. */
class Newcomer {
	inputs = 0;
	constructor(readonly page: Page) {}

	async thinks(_thought: string, does: () => Promise<unknown>): Promise<void> {
		this.inputs += 1;
		await does();
	}
	/** Looking costs nothing. */
	async sees(_what: string, looks: () => Promise<unknown>): Promise<void> {
		await looks();
	}
}

test('a newcomer finds the answer in four inputs at most, and finishes the job', async ({ page, server }) => {
	const newcomer = new Newcomer(page);
	await page.goto(server.url);
	await newcomer.sees('It tells me what this is for.', () =>
		expect(page.getByText('how much backing goes under your fly line')).toBeVisible()
	);
	await newcomer.thinks(
		'I have a new reel and its box. It asks what the box says, so that is my way in.',
		() => page.getByRole('link', { name: /What does the box say/ }).click()
	);
	await newcomer.sees('It waits for the figure from the box, and says so.', () =>
		expect(page.getByText('Type the figure from the box.')).toBeVisible()
	);
	await newcomer.thinks('The box says "WF5F and 100 yd of 20 lb backing". WF5F stands there already.', () =>
		page.getByLabel('Backing on the box').fill('100')
	);
	await newcomer.thinks('My own line is a WF6F.', async () => {
		const line = page.getByRole('textbox', { name: /^Line/ }).last();
		await line.fill('WF6F');
		await line.press('Tab');
	});
	await newcomer.sees(
		'The four answers are there. It is less than on the box, since my line is thicker.',
		async () => {
			expect(await answer(page, 'length')).toBeLessThan(100);
			expect(await answer(page, 'turns')).toBeGreaterThan(100);
			await expect(page.getByRole('button', { name: /Take it to the bench/ })).toBeInViewport();
		}
	);
	expect(newcomer.inputs).toBeLessThanOrEqual(4);

	const turns = await answer(page, 'turns');
	await newcomer.thinks('"Take it to the bench": I want to begin.', () =>
		page.getByRole('button', { name: /Take it to the bench/ }).click()
	);
	const titles = await through(page, {
		'Wind the backing': async () => {
			await newcomer.sees('It says how many turns are to go.', () =>
				expect(page.locator('[data-left]')).toHaveText(String(turns))
			);
			await newcomer.thinks('I counted by myself: I type how many are on.', async () => {
				await page.getByLabel('Turns that are on').fill(String(turns));
				await page.getByRole('button', { name: 'Set the count' }).click();
			});
			await expect(page.locator('[data-turns]')).toHaveText(String(turns));
		}
	});
	expect(titles[0]).toBe('Lay everything out');
	expect(titles.at(-1)).toBe('Label the spool');
	await newcomer.thinks('I measured nothing else: I leave the rest blank.', () =>
		page.getByRole('button', { name: 'Put it on the rack' }).click()
	);
	await newcomer.sees('There is my reel.', () => expect(page.locator('[data-spool]')).toContainText('WF6F'));
});

test("a screen reader's tree makes sense: Fit, Bench, Match, Care", async ({ page, demo }) => {
	await page.goto(demo.url);
	const setup = await page.locator('[data-spool="Tarn reel B, sinker"]').getAttribute('data-setup');
	await page.goto(`${demo.url}/fit/${setup}`);
	const main = page.getByRole('main');
	await expect(main).toMatchAriaSnapshot(`
    - main:
      - heading "Name of the spool Tarn reel B, sinker" [level=1]
      - group "The thread, from arbor to fly"
      - region "Spool":
        - heading "Spool" [level=2]
        - group "How the spool is known":
          - radio "From the box"
          - radio "What is on it"
          - radio "Measured" [checked]
        - group "Measures of the spool":
          - text: My spool measures
          - textbox "Across the rims"
          - textbox "Across the arbor"
          - textbox "Between the flanges"
      - region "On the spool":
        - heading "On the spool" [level=2]
        - text: I'm putting on
        - textbox "Line"
      - button /Take it to the bench/
  `);
	await page.goto(`${demo.url}/bench/${setup}`);
	await page.locator('[data-ready]').waitFor();
	await expect(main).toMatchAriaSnapshot(`
    - main:
      - heading "Tarn reel B, sinker" [level=1]
      - list "Steps of the job":
        - listitem:
          - checkbox "Lay everything out" [checked]
      - group "While your hands are busy"
      - button "Something is wrong"
      - button "Back"
      - button /Done, next/
      - article "Wind the backing":
        - heading "Wind the backing" [level=2]
        - region "Counter of the backing":
          - paragraph: turns to go
          - paragraph: /\\d+/
  `);
	await page.goto(`${demo.url}/match`);
	await expect(main).toMatchAriaSnapshot(`
    - main:
      - heading /\\d+ spools, \\d+ lines/ [level=1]
      - text: Over this backing
      - combobox "Over this backing"
      - table
  `);
	await page.goto(`${demo.url}/care`);
	await expect(main).toMatchAriaSnapshot(`
    - main:
      - heading "Care" [level=1]
      - form "Days out"
      - search
      - heading "Estuary reel, sea-run char" [level=2]
      - list:
        - listitem:
          - heading "Weight-forward 8, intermediate" [level=3]
          - list:
            - listitem:
              - button "Cleaned"
  `);
});

/** Presses Tab until something has the focus, as somebody does who has no mouse. */
async function tabTo(page: Page, target: Locator): Promise<void> {
	const reached = (): Promise<boolean> =>
		target.evaluate(
			(element) => element === document.activeElement || element.contains(document.activeElement)
		);
	for (let presses = 0; presses < 120; presses++) {
		if ((await target.count()) > 0 && (await reached())) return;
		await page.keyboard.press('Tab');
	}
	throw new Error(`Tab does not get to ${String(target)}`);
}

test('the whole job with keys alone: from an empty rack to a wound reel', async ({ page, server }) => {
	await open(page, server.url);
	const { keyboard } = page;
	const field = (name: string): Locator => page.getByRole('textbox', { name, exact: true });
	await tabTo(page, page.getByRole('link', { name: /I have calipers/ }));
	await keyboard.press('Enter');
	await page.locator('[data-ready]').waitFor();
	for (const [name, text] of [
		['Name of the spool', 'Alder 6'],
		['Across the rims', '84'],
		['Across the arbor', '38'],
		['Between the flanges', '21']
	] as const) {
		await tabTo(page, field(name));
		await keyboard.type(text);
	}
	const handle = page.getByRole('slider', { name: 'Gap to leave' });
	await tabTo(page, handle);
	await keyboard.press('PageDown');
	expect(await answer(page, 'gap')).toBe(5);
	const turns = await answer(page, 'turns');
	await tabTo(page, page.getByRole('button', { name: /Take it to the bench/ }));
	await keyboard.press('Enter');
	const title = page.locator('#step-title');
	await expect(title).toHaveText('Lay everything out');
	await page.locator('[data-ready]').waitFor();
	while ((await title.count()) > 0) {
		const now = (await title.textContent())!;
		if (now === 'Wind the backing') {
			await tabTo(page, page.getByLabel('Turns that are on'));
			await keyboard.type(String(turns));
			await keyboard.press('Enter');
			await expect(page.locator('[data-turns]')).toHaveText(String(turns));
			// The step's own keys are heard again once the field is left.
			await tabTo(page, page.getByRole('button', { name: /^Done, next/ }));
			await keyboard.press('Enter');
		} else await keyboard.press('PageDown');
		const yes = page.getByRole('button', { name: 'Yes, go to the next step' });
		await expect(
			page.locator('#step-title, #record-title').filter({ hasNotText: now }).or(yes)
		).toBeVisible();
		if (await yes.isVisible()) {
			await tabTo(page, yes);
			await keyboard.press('Enter');
			await expect(page.locator('#step-title, #record-title')).not.toHaveText(now);
		}
	}
	await tabTo(page, page.getByLabel('Gap with the line on'));
	await keyboard.type('4.8');
	await tabTo(page, page.getByRole('button', { name: 'Put it on the rack' }));
	await keyboard.press('Enter');
	await expect(page.locator('[data-spool="Alder 6"]')).toContainText('gap 4.8 mm');
});
