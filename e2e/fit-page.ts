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
/** Opens one of the panels under the drawing. */
export const tab = (page: Page, name: string) => page.getByRole('tab', { name }).click();
