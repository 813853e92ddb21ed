import type { Page } from '@playwright/test';
import { readdirSync } from 'node:fs';
import { open } from './server';

/** The routes that have a page, as the folders name them. */
export const routes = readdirSync('src/routes', { recursive: true, encoding: 'utf8' })
	.filter((file) => file.endsWith('+page.svelte'))
	.map((file) => `/${file.replace(/\/?\+page\.svelte$/, '')}`);

/** An address of each route, on the demo's rack. */
export async function addresses(page: Page, url: string): Promise<Record<string, string>> {
	await open(page, url);
	const idOf = (name: string) => page.locator(`[data-spool="${name}"]`).getAttribute('data-setup');
	const [begun, wound] = [await idOf('Tarn reel B, sinker'), await idOf('Beck reel, grayling')];
	const spool = await page.locator('[data-spool="Beck reel, grayling"] a').first().getAttribute('href');
	await open(page, url + spool!);
	const label = await page.getByRole('link', { name: 'Print its label' }).getAttribute('href');
	await open(page, `${url}/care?where=coil`);
	const reply = await page.request.get(`${url}/api/orders?most=200`);
	const { things } = (await reply.json()) as { things: { id: string; number: number }[] };
	// Two reels on the bench, one of them wound.
	const order = `/orders/${things.find(({ number }) => number === 16)!.id}`;
	const coil = await page.getByRole('link', { name: 'Print its label' }).first().getAttribute('href');
	const stock = await page.request.get(`${url}/api/stock`);
	const shelf = (await stock.json()) as { things: { id: string; spool: object | null }[] };
	return {
		'/': '/',
		'/access': '/access',
		'/bench': '/bench',
		'/bench/[id]': `/bench/${begun}`,
		'/bench/[id]/past': `/bench/${wound}/past`,
		'/bench/[id]/sheet': `/bench/${begun}/sheet`,
		'/care': '/care?add=1',
		'/care/plan': '/care/plan',
		'/data': '/data',
		'/data/list': '/data/list',
		'/data/people': '/data/people',
		'/find': '/find?q=reel',
		'/fit/[id]': `/fit/${begun}`,
		'/help/[[page]]': '/help/words',
		'/knots': '/knots',
		'/knots/[slug]': '/knots/albright',
		'/knots/practise': '/knots/practise',
		'/label': `/label?of=${label!.split('/').at(-1)}`,
		'/label/[id]': label!,
		'/label/coil': coil!,
		'/learnt': '/learnt',
		'/match': '/match',
		'/orders': '/orders',
		'/orders/[id]': order,
		'/orders/[id]/slip': `${order}/slip`,
		'/orders/[id]/ticket': `${order}/ticket`,
		'/orders/new': '/orders/new',
		'/spool/[id]': spool!,
		'/stock': '/stock',
		'/stock/[id]': `/stock/${shelf.things.find(({ spool }) => spool)!.id}`,
		'/stock/[id]/label': `/stock/${shelf.things.find(({ spool }) => spool)!.id}/label`,
		'/stock/new': '/stock/new',
		'/swap': `/swap?spool=${spool!.split('/').at(-1)}`,
		'/twist': '/twist'
	};
}

/** What a page shows last, where that comes after it answers to what is done with it. */
export const SETTLED: Readonly<Record<string, string>> = {
	'/bench/[id]': '[data-ready]',
	'/fit/[id]': '[role=tabpanel]',
	'/match': '[data-matrix] td button'
};
