import { expect, open, test } from './server';

const csv = (text: string) => ({ name: 'reels.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });

test('a list of reels is matched, shown with what is wrong, brought in, and undone whole', async ({
	page,
	demo
}) => {
	await open(page, `${demo.url}/data`);
	await page.getByRole('link', { name: 'Bring in a list' }).click();
	const file = page.getByLabel('List (a CSV file with headings in its first row)');
	await file.setInputFiles(csv('nothing'));
	await expect(page.getByRole('alert')).toContainText('There is no list in this file');
	await file.setInputFiles(
		csv(
			[
				'Model,Outside (in),Hub,Between,Which hand',
				'"Łomna, old 6",3 3/8,38 mm,21,R',
				'"Beck reel, grayling",,,,',
				'Bad one,3.3,wide,21,L'
			].join('\n')
		)
	);
	const summary = page.locator('[data-summary]');
	await expect(summary).toContainText('0 reels of 3; 2 with something to put right, left out');
	// What nobody could guess is chosen by hand.
	await expect(page.getByLabel('Between the flanges')).toHaveValue('-1');
	await expect(page.locator('[data-row="2"]')).toContainText('Łomna, old 6');
	await page.getByLabel('Between the flanges').selectOption('Between');
	await expect(summary).toContainText(
		'1 reel of 3; 1 with something to put right, left out; 1 here already, left out'
	);
	await expect(page.locator('[data-row="4"]')).toContainText(`"wide" isn't a measure`);
	await page.getByRole('button', { name: 'Bring in 1 reel', exact: true }).click();
	const spool = page.locator('[data-spool="Łomna, old 6"]');
	await expect(spool).toBeVisible();
	await page.locator('[data-undo]').click();
	await expect(spool).toHaveCount(0);
	await expect(page.locator('[data-spool="Beck reel, grayling"]')).toHaveCount(1);
});
