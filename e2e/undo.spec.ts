import { measured } from './fit-page';
import { expect, hold, open, test, toBench } from './server';

const undo = { name: 'Undo the last change' } as const;

test('one button and Ctrl+Z undo the last change, whatever it was', async ({ page, demo }) => {
	await open(page, demo.url);
	const button = page.getByRole('button', undo);
	await expect(button).toBeDisabled();
	// A spool is taken off the rack, and a rule of care is changed.
	await page.getByRole('button', { name: 'Take Beck reel, grayling off the rack' }).click();
	await expect(page.locator('[data-spool="Beck reel, grayling"]')).toHaveCount(0);
	await page.getByRole('link', { name: 'Care', exact: true }).click();
	await page.getByText('What falls due, and when').click();
	const days = page.locator('[data-rules] input').first();
	const before = await days.inputValue();
	await days.fill('77');
	await days.blur();
	await expect(page.getByRole('status').filter({ hasText: 'due' })).toBeVisible();
	await expect(button).toHaveAttribute('title', 'Undo: The rules are saved.');
	// The last one first, with the key; then the one before, with the button, from another page than where it was made.
	await page.getByRole('heading', { name: 'Care', exact: true }).click();
	await page.keyboard.press('Control+z');
	await expect(days).toHaveValue(before);
	await page.getByRole('link', { name: 'Knots', exact: true }).click();
	await expect(button).toHaveAttribute('title', 'Undo: Beck reel, grayling is off the rack.');
	await button.click();
	await expect(button).toBeDisabled();
	await page.getByRole('link', { name: 'Rack', exact: true }).click();
	await expect(page.locator('[data-spool="Beck reel, grayling"]')).toBeVisible();
});

test('fields of a set-up go back change by change, and a visit as a whole', async ({ page, server }) => {
	await page.goto(server.url);
	await measured(page);
	await page.getByLabel('Name of the spool').fill('Alder 6');
	const rim = page.getByLabel('Across the rims');
	await rim.fill('85 mm');
	await page.getByLabel('Between the flanges').fill('22 mm');
	await page.getByLabel('Between the flanges').blur();
	const button = page.getByRole('button', undo);
	await button.click();
	await expect(page.getByLabel('Between the flanges')).toHaveValue('21 mm');
	await expect(rim).toHaveValue('85 mm');
	await button.click();
	await expect(rim).toHaveValue('84 mm');
	// What the page shows is what was saved.
	await expect(page.getByText('Saved', { exact: true })).toBeVisible();
	await page.reload();
	await expect(rim).toHaveValue('84 mm');
	// A later visit that changes several things is undone in one go, from wherever one is.
	await rim.fill('90 mm');
	await page.getByLabel('Across the arbor').fill('30 mm');
	await page.getByRole('link', { name: 'Rack', exact: true }).click();
	await expect(button).toHaveAttribute('title', 'Undo: Alder 6 was changed.');
	await button.click();
	await page.locator('[data-spool="Alder 6"] a').first().click();
	await expect(rim).toHaveValue('84 mm');
	await expect(page.getByLabel('Across the arbor')).toHaveValue('38 mm');
});

for (const late of ['the undo', 'the page'] as const)
	test(`a link that is pressed while an undo is on its way is followed, and shows what was undone: ${late} comes last`, async ({
		page,
		server
	}) => {
		await page.goto(server.url);
		await measured(page);
		await page.getByLabel('Name of the spool').fill('Alder 6');
		const rim = page.getByLabel('Across the rims');
		await expect(page.getByText('Saved', { exact: true })).toBeVisible();
		await page.reload();
		await rim.fill('90 mm');
		await page.getByRole('link', { name: 'Rack', exact: true }).click();
		const button = page.getByRole('button', undo);
		await expect(button).toHaveAttribute('title', 'Undo: Alder 6 was changed.');

		const answerUndo = await hold(page, '**/api/setups/*');
		const answerPage = await hold(page, '**/fit/*/__data.json*');
		const [asked, undone] = [
			page.waitForRequest(/\/fit\/.*__data\.json/),
			page.waitForResponse((reply) => reply.request().method() === 'PUT')
		];
		await button.click();
		await page.locator('[data-spool="Alder 6"] a').first().click();
		await asked;
		if (late === 'the undo') {
			answerPage();
			await expect(rim).toHaveValue('90 mm');
			answerUndo();
		} else {
			answerUndo();
			await undone;
			// What its answer sets going has begun once another answer is here.
			await page.evaluate(() => fetch('/wendle.svg').then((reply) => reply.text()));
			answerPage();
		}
		await expect(rim).toHaveValue('84 mm');
	});

test('what was only tried out leaves no spool without a name, unless it is kept', async ({
	page,
	server
}) => {
	await page.goto(server.url);
	await measured(page);
	await expect(page.getByText('Saved', { exact: true })).toBeVisible();
	await page.getByRole('link', { name: 'Rack', exact: true }).click();
	const notice = page
		.getByRole('listitem')
		.filter({ hasText: "The set-up had no name, so it isn't on the rack." });
	await expect(notice).toBeVisible();
	await expect(page.locator('[data-spool]')).toHaveCount(0);
	await notice.getByRole('button', { name: 'Keep it' }).click();
	await expect(page.locator('[data-spool="Unnamed spool"]')).toBeVisible();
});

test('at the bench the newest of all changes goes first', async ({ page, demo }) => {
	await open(page, demo.url);
	await toBench(page, 'Beck reel, grayling');
	const button = page.getByRole('button', undo);
	await page.getByRole('button', { name: /^Done, next/ }).click();
	await expect(button).toHaveAttribute('title', 'Undo: the last thing at the bench');
	const first = page.getByRole('list', { name: 'Steps of the job' }).getByRole('checkbox').first();
	await expect(first).toBeChecked();
	await button.click();
	await expect(button).toBeDisabled();
	await expect(first).not.toBeChecked();
});
