import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { DESCRIPTIONS } from '../src/lib/ui/state/descriptions';
import { addresses, routes, SETTLED } from './pages';
import { expect, test } from './server';

/** Every page, in both themes, at three widths: all of them in `npm run check:long`, a seeded few each time. */
const LONG = Boolean(process.env['WENDLE_LONG']);
const FEW = 9;
const SEED = 20261128;
const THEMES = ['light', 'dark'] as const;
const SIZES = [
	{ width: 1280, height: 800 },
	{ width: 844, height: 390 },
	{ width: 390, height: 844 }
] as const;
/** Nothing is set smaller than this, px. */
const SMALLEST_TEXT = 11;

/** What moved by itself while the page settled, as the browsers count it: 0 is nothing. */
const SHIFTS = `new Promise((settle) => {
	let sum = 0;
	new PerformanceObserver((list) => {
		for (const shift of list.getEntries()) if (!shift.hadRecentInput) sum += shift.value;
	}).observe({ type: 'layout-shift', buffered: true });
	requestAnimationFrame(() => requestAnimationFrame(() => settle(sum)));
})`;

const smallTexts = (page: Page): Promise<string[]> =>
	page.evaluate((smallest) => {
		const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
		const found: string[] = [];
		for (let node = walker.nextNode(); node; node = walker.nextNode()) {
			const element = node.parentElement!;
			const text = node.textContent!.trim();
			if (text === '' || element.closest('script, style, option, [data-label]')) continue;
			const box = element.getBoundingClientRect();
			if (box.width < 2 || box.height < 2) continue;
			const svg = element.closest('svg');
			const matrix = element instanceof SVGGraphicsElement ? element.getScreenCTM() : undefined;
			const scale = svg && matrix ? Math.hypot(matrix.a, matrix.b) : 1;
			const size = parseFloat(getComputedStyle(element).fontSize) * scale;
			if (size < smallest - 0.05) found.push(`${size.toFixed(1)} px: ${text.slice(0, 40)}`);
		}
		return found;
	}, SMALLEST_TEXT);

const all = routes
	.filter((route) => route in DESCRIPTIONS && !/^\/(unreadable|sign-in|trust)\b/.test(route))
	.flatMap((route) =>
		THEMES.flatMap((theme) =>
			SIZES.map((size) => ({ route, theme, size, of: `${route}, ${theme}, ${size.width}` }))
		)
	);
const some = (): typeof all => {
	const random = xoroshiro128plus(SEED);
	return Array.from({ length: FEW }, () => all[uniformInt(random, 0, all.length - 1)]!);
};

test('every page says what it is for', () => {
	expect(Object.keys(DESCRIPTIONS).sort()).toEqual([...routes].sort());
	const texts = Object.values(DESCRIPTIONS);
	expect(new Set(texts).size).toBe(texts.length);
});

test('pages and answers come compressed to whoever takes that, and whole to everyone', async ({ demo }) => {
	const get = async (path: string, encoding: string) => {
		const reply = await fetch(demo.url + path, { headers: { 'accept-encoding': encoding } });
		return { packed: reply.headers.get('content-encoding'), text: await reply.text() };
	};
	for (const path of ['/', '/api/openapi.json', '/calendar.ics']) {
		const [packed, plain] = [await get(path, 'gzip, br'), await get(path, 'identity')];
		expect(packed.packed, path).toMatch(/^(br|gzip)$/);
		expect(plain.packed, path).toBeNull();
		if (path !== '/') expect(packed.text).toBe(plain.text);
		else expect(packed.text).toContain('Beck reel, grayling');
	}
});

test('no page has a barrier, a sideways scroll, a jump or small print', async ({ page, context, demo }) => {
	test.slow();
	await demo.fillOrders();
	const at = await addresses(page, demo.url);
	const wrong: string[] = [];
	for (const { route, theme, size, of } of LONG ? all : some()) {
		await context.addCookies([{ name: 'wendle-theme', value: theme, url: demo.url }]);
		await page.setViewportSize(size);
		await page.goto(demo.url + at[route]!);
		await page
			.locator(SETTLED[route] ?? 'html[data-alive]')
			.first()
			.waitFor();
		await page.evaluate(() => document.fonts.ready);
		const { violations } = await new AxeBuilder({ page })
			.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'])
			.analyze();
		wrong.push(...violations.map(({ id, nodes }) => `${of}: ${id}: ${nodes.length} × ${nodes[0]?.html}`));
		const wide = await page.evaluate(() => document.documentElement.scrollWidth);
		if (wide > size.width) wrong.push(`${of}: ${wide} px wide`);
		const shift = (await page.evaluate(SHIFTS)) as number;
		if (shift > 0.01) wrong.push(`${of}: moves by ${shift.toFixed(3)}`);
		wrong.push(...(await smallTexts(page)).slice(0, 3).map((text) => `${of}: ${text}`));
		if ((await page.title()) === '') wrong.push(`${of}: no title`);
	}
	expect(wrong).toEqual([]);
});

test('a browser that keeps nothing for a page shows every page all the same', async ({ page, demo }) => {
	await demo.fillOrders();
	const at = await addresses(page, demo.url);
	const wrong: string[] = [];
	page.on('pageerror', (error) => wrong.push(`${page.url()}: ${error.message}`));
	await page.addInitScript(() => {
		const denied = (): never => {
			throw new DOMException('Access is denied for this document.', 'SecurityError');
		};
		for (const store of ['localStorage', 'sessionStorage', 'indexedDB', 'caches'])
			Object.defineProperty(window, store, { get: denied });
	});
	for (const [route, path] of Object.entries(at)) {
		await page.goto(demo.url + path);
		await page
			.locator(SETTLED[route] ?? 'html[data-alive]')
			.first()
			.waitFor();
	}
	expect(wrong).toEqual([]);
});
