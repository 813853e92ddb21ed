import { readFileSync } from 'node:fs';
import { PDFDocument } from '@cantoo/pdf-lib';
import { expect, open, test, toBench } from './server';

test('the job sheet prints on one page, and the label true to size', async ({ page, demo }) => {
	expect(demo.url).toBeTruthy();
	const mm = 72 / 25.4;
	const sizeOf = async (bytes: Uint8Array): Promise<{ pages: number; width: number; height: number }> => {
		const pdf = await PDFDocument.load(bytes);
		const { width, height } = pdf.getPage(0).getSize();
		return { pages: pdf.getPageCount(), width: Math.round(width / mm), height: Math.round(height / mm) };
	};
	const A4 = { pages: 1, width: 210, height: 297 };
	// The longest jobs of the kit room still go on one page of either paper.
	for (const [spool, job] of [
		['Tarn reel B, sinker', 'wind'],
		['Long rod, sea-run char', 'wind'],
		['Long rod, sea-run char', 'reverse.spools'],
		['Long rod, sea-run char', 'reverse.twin'],
		['Beck reel, grayling', 'repair.front-loop']
	] as const) {
		const bench = await toBench(page, spool);
		await open(page, `${bench}/sheet?job=${job}`);
		await expect(page.locator('[data-sheet]')).toContainText('Stop at');
		for (const [format, height] of [
			['A4', 297],
			['Letter', 279]
		] as const)
			expect(await sizeOf(await page.pdf({ format })), `${spool} ${job} ${format}`).toMatchObject({
				pages: 1,
				height
			});
		const [saved] = await Promise.all([
			page.waitForEvent('download'),
			page.getByRole('button', { name: 'Save as PDF' }).click()
		]);
		expect(await sizeOf(readFileSync(await saved.path()))).toEqual(A4);
	}
	const bench = await toBench(page, 'Beck reel, grayling');
	await open(page, `${bench}/past`);
	await page.getByRole('link', { name: 'Print its label' }).first().click();
	await page.getByText('90 × 38 mm').click();
	const label = page.locator('[data-label]');
	await expect(label).toContainText('Beck reel, grayling');
	expect(await sizeOf(await page.pdf({ preferCSSPageSize: true }))).toEqual({
		pages: 1,
		width: 90,
		height: 38
	});
	await page.emulateMedia({ media: 'print' });
	const box = (await label.boundingBox())!;
	expect(box.width / 96).toBeCloseTo(90 / 25.4, 2);
	expect(box.height / 96).toBeCloseTo(38 / 25.4, 2);
});
