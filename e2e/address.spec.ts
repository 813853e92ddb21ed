import { expect, open, test } from './server';

test('choices made faster than pages come are all kept', async ({ page, demo }) => {
	await open(page, `${demo.url}/care`);
	// No page comes before everything was chosen.
	let come = (): void => undefined;
	const chosen = new Promise<void>((settle) => (come = settle));
	await page.route(/__data\.json/, async (route) => {
		await chosen;
		await route.continue();
	});
	const search = page.getByRole('search');
	await search.getByLabel('What', { exact: true }).selectOption({ label: 'line' });
	await search.getByLabel('Where').selectOption({ label: 'on a spool' });
	await search.getByLabel('only what is due').check();
	// Shown at once, before any page has come.
	await expect(search.getByLabel('What', { exact: true })).toHaveValue('line');
	come();
	await expect(page).toHaveURL(/kind=line&where=spool&due=1/);
	await expect(page.locator('[data-matching]')).toContainText(/^\d of 12\s+strands/);
	await expect(search.getByLabel('Where')).toHaveValue('spool');
});

test('with the server away, what it filters stays as it was, and says so', async ({ page, demo }) => {
	await open(page, `${demo.url}/care`);
	await demo.stop();
	const search = page.getByRole('search');
	await search.getByLabel('What', { exact: true }).selectOption({ label: 'line' });
	await expect(page.getByText("The server doesn't answer, so this page shows")).toBeVisible();
	await expect(search.getByLabel('What', { exact: true })).toHaveValue('all');
	await expect(page.locator('[data-matching]')).toContainText('12 strands');
	await demo.start();
	await search.getByLabel('What', { exact: true }).selectOption({ label: 'line' });
	await expect(page.locator('[data-matching]')).toContainText(/\d of 12\s+strands/);
});

test('twist, knots and the plan need no server to be asked something else', async ({ page, demo }) => {
	const away = async (path: string, act: () => Promise<void>): Promise<void> => {
		await open(page, demo.url + path);
		await demo.stop();
		await act();
		await demo.start();
	};
	await away('/twist', async () => {
		const one = page.getByRole('region', { name: 'One way' });
		await one.getByRole('radio', { name: 'anticlockwise' }).check();
		await one.getByLabel('Across the middle of its coils').fill('65 mm');
		await expect(one.locator('[data-turns-added]')).toHaveText('134');
		await expect(one).toContainText('left-handed');
	});
	await page.reload();
	await expect(page.getByRole('region', { name: 'One way' }).locator('[data-turns-added]')).toHaveText('134');
	await away('/knots', async () => {
		await page.getByLabel('Where').selectOption({ label: 'Backing to the line' });
		await expect(page).toHaveURL(/place=backing-line/);
	});
	await away('/care/plan', async () => {
		await page.getByText("a shop's week").click();
		await expect(page).toHaveURL(/as=week/);
		await expect(page.getByLabel(/Minutes/)).toBeVisible();
	});
});

test('a notice is shown although what shows notices never came', async ({ page, demo }) => {
	await page.route(/\.js$/, async (route) => {
		const response = await route.fetch().catch(() => undefined);
		const text = await response?.text();
		// The library of notices says so of itself in its markup.
		return !response || text?.includes('data-sonner-toaster')
			? route.abort()
			: route.fulfill({ response, body: text ?? '' });
	});
	await open(page, `${demo.url}/care`);
	await demo.stop();
	await page.getByRole('search').getByLabel('What', { exact: true }).selectOption({ label: 'line' });
	await expect(page.getByText("The server doesn't answer, so this page shows")).toBeVisible();
	await page.getByRole('button', { name: 'Close', exact: true }).click();
	await expect(page.getByText("The server doesn't answer")).toHaveCount(0);
	await demo.start();
});

test('while the server is away every page stays, and says so', async ({ page, demo }) => {
	await open(page, `${demo.url}/learnt`);
	const title = page.getByRole('heading', { name: 'What Wendle has learnt' });
	await demo.stop();
	for (const place of ['Rack', 'Fit', 'Bench', 'Knots', 'Twist', 'Care', 'Match', 'Help']) {
		await page.getByRole('link', { name: place, exact: true }).click();
		await expect(page.getByText("The server doesn't answer, so this page stays open.")).toBeVisible();
		await expect(title).toBeVisible();
	}
	await demo.start();
	await page.getByRole('link', { name: 'Care', exact: true }).click();
	await expect(page.getByRole('heading', { name: 'Care', exact: true })).toBeVisible();
});
