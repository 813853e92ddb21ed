import type { Page } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, fitOf, open, test } from './server';
import { shelve } from './stock-page';

/** Another program's picture of each drawing is held against the browser's in `npm run check:long`, which installs it. */
const LONG = Boolean(process.env['WENDLE_LONG']);

async function drawingOf(page: Page, path: string): Promise<string> {
	await open(page, path);
	const [file] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('button', { name: /^(SVG|Save the drawing as SVG)/ }).click()
	]);
	return readFileSync(await file.path(), 'utf8');
}

/** What only a browser knows, or what leads out of the file. */
const NOT_PLAIN =
	/ style=| class=|var\(|color\(|color-mix|oklch|<text|<style|h0(?=[M"])|url\("|font-|href=|NaN|undefined/;

const knots = ['/knots/albright', '/knots/blood-knot', '/knots/nail-knot'];

async function fileOf(page: Page, button: string): Promise<string> {
	const [file] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('button', { name: button }).click()
	]);
	return readFileSync(await file.path(), 'utf8');
}
/** Charts on the pages: a tab of Fit that has one. */
async function chartOf(page: Page, tab: string): Promise<string> {
	await page.getByRole('tab', { name: tab }).click();
	return fileOf(page, 'Save this chart as SVG');
}
/** The thread and the time lines, which the page lays out of many small drawings and words. */
async function threadOf(page: Page, fit: string): Promise<string> {
	await open(page, fit);
	await page.getByText('Send this set-up to somebody').click();
	return fileOf(page, 'Save the thread as SVG');
}
async function timeLinesOf(page: Page, url: string): Promise<string> {
	await open(page, `${url}/care`);
	await page.locator('[data-bars]').first().waitFor({ state: 'attached' });
	return fileOf(page, 'Save these time lines as SVG');
}

test('charts and bulk spools leave as plain files as well', async ({ page, demo }) => {
	await open(page, await fitOf(page, 'Tarn reel B, sinker'));
	for (const tab of ['How sure?', 'With a fish on']) {
		const svg = await chartOf(page, tab);
		expect(NOT_PLAIN.exec(svg)?.[0], tab).toBeUndefined();
		expect(svg.match(/<path /g)!.length, tab).toBeGreaterThan(5);
	}
	const thread = await threadOf(page, await fitOf(page, 'Tarn reel B, sinker'));
	expect(NOT_PLAIN.exec(thread)?.[0]).toBeUndefined();
	expect(thread.match(/<g [^>]*clip-path/g)!.length).toBeGreaterThan(4);
	expect(thread).toContain('<pattern');
	const lives = await timeLinesOf(page, demo.url);
	expect(NOT_PLAIN.exec(lives)?.[0]).toBeUndefined();
	// A heading, a name and a life of every strand, one below the other, and nothing outside.
	const strands = await page.locator('[data-lane]').count();
	expect(lives.match(/<g [^>]*clip-path/g)!.length).toBeGreaterThanOrEqual(strands);
	const [, height] = /viewBox="0 0 [\d.]+ ([\d.]+)"/.exec(lives)!;
	expect(Number(height)).toBeGreaterThan(80 * strands);
	const id = await shelve(page, demo.url, {
		name: 'orange',
		length: '1000 m',
		rim: '104 mm',
		arbor: '40 mm',
		width: '40 mm'
	});
	const svg = await drawingOf(page, `${demo.url}/stock/${id}`);
	expect(NOT_PLAIN.exec(svg)?.[0]).toBeUndefined();
	expect(svg).toContain('<pattern');
});

test('a drawing leaves as a plain file: every turn a circle, words as outlines, on its own ground', async ({
	page,
	demo
}) => {
	expect(demo.url).toBeTruthy();
	for (const path of [await fitOf(page, 'Tarn reel B, sinker'), ...knots]) {
		const svg = await drawingOf(page, path);
		expect(NOT_PLAIN.exec(svg)?.[0], path).toBeUndefined();
		expect(svg, path).toMatch(/^<svg [^>]*viewBox="[^"]+"[^>]*><rect [^>]*fill="rgb\(\d+,\d+,\d+\)"/);
		if (path.startsWith('/fit'))
			// 1052 turns of backing and 125 of line.
			expect(svg.match(/<circle /g)!.length).toBeGreaterThanOrEqual(1052 + 125);
	}
});

/** How far two pictures of one size are from each other: the share of pixels that differ by more than a fifth. */
const DIFFERING = `async ([one, other]) => {
	const pixelsOf = async (url) => {
		const image = new Image();
		image.src = url;
		await image.decode();
		const canvas = Object.assign(document.createElement('canvas'), { width: 600, height: 450 });
		const pen = canvas.getContext('2d');
		pen.drawImage(image, 0, 0, 600, 450);
		return pen.getImageData(0, 0, 600, 450).data;
	};
	const [a, b] = [await pixelsOf(one), await pixelsOf(other)];
	let differing = 0;
	for (let i = 0; i < a.length; i += 4)
		if (Math.max(...[0, 1, 2].map((j) => Math.abs(a[i + j] - b[i + j]))) > 51) differing++;
	return differing / (a.length / 4);
}`;

test('another program draws the same from the file', async ({ page, demo }) => {
	test.skip(!LONG, 'needs librsvg2-bin, which check:long installs');
	const folder = mkdtempSync(join(tmpdir(), 'wendle-drawings-'));
	try {
		const paths: string[] = [];
		for (const spool of ['Tarn reel B, sinker', 'Long rod, sea-run char', 'Beck reel, grayling'])
			paths.push(await fitOf(page, spool));
		const drawings: [string, () => Promise<string>][] = [...paths, ...knots].map((path) => [
			path,
			() => drawingOf(page, path)
		]);
		for (const tab of ['How sure?', 'With a fish on'])
			drawings.push([
				tab,
				async () => {
					await open(page, paths[0]!);
					return chartOf(page, tab);
				}
			]);
		drawings.push(
			['the thread', () => threadOf(page, paths[0]!)],
			['the time lines', () => timeLinesOf(page, demo.url)]
		);
		for (const [name, draw] of drawings) {
			const svg = await draw();
			const [file, png] = [join(folder, 'drawing.svg'), join(folder, 'drawing.png')];
			writeFileSync(file, svg);
			execFileSync('rsvg-convert', ['--zoom', '2', '-o', png, file]);
			const url = (type: string, bytes: Buffer): string => `data:${type};base64,${bytes.toString('base64')}`;
			const pictures = [url('image/svg+xml', Buffer.from(svg)), url('image/png', readFileSync(png))];
			const share = await page.evaluate(
				([how, both]) => (eval(`(${how as string})`) as (of: unknown) => Promise<number>)(both),
				[DIFFERING, pictures] as const
			);
			expect(share, name).toBeLessThan(0.02);
		}
	} finally {
		rmSync(folder, { recursive: true, force: true });
	}
});
