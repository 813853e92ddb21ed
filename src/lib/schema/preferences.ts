import { z } from 'zod';
import { DEFAULT_UNITS, UnitSystem } from './units';

/** How a person likes to see things: kept in cookies, so that the server's first page is already right. */
export const Theme = z.enum(['system', 'light', 'dark']);
export type Theme = z.infer<typeof Theme>;
export const THEME_COOKIE = 'wendle-theme';

export const readTheme = (cookie: string | undefined): Theme => Theme.catch('system').parse(cookie);
export const readUnits = (cookie: string | undefined): UnitSystem =>
	UnitSystem.catch(DEFAULT_UNITS).parse(cookie);
