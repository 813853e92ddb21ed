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

/** Charts on the pages: a tab of Fit that has one, and a bulk spool. */
async function chartOf(page: Page, tab: string): Promise<string> {
	await page.getByRole('tab', { name: tab }).click();
	const [file] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('button', { name: 'Save this chart as SVG' }).click()
	]);
	return readFileSync(await file.path(), 'utf8');
}

test('charts and bulk spools leave as plain files as well', async ({ page, demo }) => {
	await open(page, await fitOf(page, 'Tarn reel B, sinker'));
	for (const tab of ['How sure?', 'With a fish on']) {
		const svg = await chartOf(page, tab);
		expect(NOT_PLAIN.exec(svg)?.[0], tab).toBeUndefined();
		expect(svg.match(/<path /g)!.length, tab).toBeGreaterThan(5);
	}
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
		const paths = [];
		for (const spool of ['Tarn reel B, sinker', 'Long rod, sea-run char', 'Beck reel, grayling'])
			paths.push(await fitOf(page, spool));
		for (const path of [...paths, ...knots]) {
			const svg = await drawingOf(page, path);
			const [file, png] = [join(folder, 'drawing.svg'), join(folder, 'drawing.png')];
			writeFileSync(file, svg);
			execFileSync('rsvg-convert', ['--zoom', '2', '-o', png, file]);
			const url = (type: string, bytes: Buffer): string => `data:${type};base64,${bytes.toString('base64')}`;
			const pictures = [url('image/svg+xml', Buffer.from(svg)), url('image/png', readFileSync(png))];
			const share = await page.evaluate(
				([how, both]) => (eval(`(${how as string})`) as (of: unknown) => Promise<number>)(both),
				[DIFFERING, pictures] as const
			);
			expect(share, `${demo.url}${path}`).toBeLessThan(0.02);
		}
	} finally {
		rmSync(folder, { recursive: true, force: true });
	}
});
