import type { Page } from '@playwright/test';
import { open } from './server';

/** A new set-up on a measured spool. */
export async function measured(page: Page, [rim, arbor, width] = ['84 mm', '38 mm', '21 mm']): Promise<void> {
	await open(page, '/fit/new');
	await page.getByRole('radio', { name: 'Measured' }).click();
	await page.getByLabel('Across the rims').fill(rim!);
	await page.getByLabel('Across the arbor').fill(arbor!);
	await page.getByLabel('Between the flanges').fill(width!);
}
/** Unfolds what is rarely changed: of the spool, or of the reel and the winding. */
export const unfold = (page: Page, label: 'More about the spool' | 'Reel and winding') =>
	page.locator('summary', { hasText: label }).click();
/** Opens the editor of a strand, from the sentence. */
export const more = (page: Page, role: string) =>
	page.getByRole('button', { name: `More about the ${role}`, exact: true }).click();
/** Opens one of the panels under the drawing. */
export const tab = (page: Page, name: string) => page.getByRole('tab', { name }).click();
