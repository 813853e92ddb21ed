import type { Locator, Page } from '@playwright/test';
import { expect, open } from './server';

/** An order on the board. */
export const card = (page: Page, number: number): Locator => page.locator(`[data-order="${number}"]`);
/** The orders that stand in a state, on the board. */
export const stateOf = (page: Page, state: string): Locator => page.locator(`[data-state="${state}"]`);

/** Takes an order in, and ends on its page. */
export async function takeIn(
	page: Page,
	base: string,
	wish: string,
	{ who = '' }: { who?: string } = {}
): Promise<void> {
	await open(page, `${base}/orders/new`);
	await page.getByLabel('What is wanted').fill(wish);
	await page.getByLabel('Whose it is: a name or a number').fill(who);
	await page.getByRole('button', { name: 'Take the order in' }).click();
	await expect(page.getByRole('heading', { name: /^Order \d+/ })).toBeVisible();
}
