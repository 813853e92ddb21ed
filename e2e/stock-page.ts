import type { Page } from '@playwright/test';
import { newStock } from '../src/lib/stock/new-stock';
import type { StockForm } from '../src/lib/stock/stock';
import { expect } from './server';

/** Puts something on the shelf, as another program would; its id. */
export async function shelve(
	page: Page,
	base: string,
	form: Partial<StockForm> & Pick<StockForm, 'name'>
): Promise<string> {
	const reply = await page.request.post(`${base}/api/stock`, {
		data: { form: { ...newStock(form.kind ?? 'bulk'), ...form } }
	});
	expect(reply.status()).toBe(201);
	return ((await reply.json()) as { id: string }).id;
}
