import { SCHOOL_KEYS, SCHOOLS, type ChosenSchools } from '$lib/core';
import { DEFAULT_UNITS, UNIT_SYSTEMS, type UnitSystem } from './units';

/** How a person likes to see things: kept in cookies, so that the server's first page is already right. */
export const THEMES = ['system', 'light', 'dark'] as const;
export type Theme = (typeof THEMES)[number];
export const THEME_COOKIE = 'wendle-theme';

export const readTheme = (cookie: string | undefined): Theme =>
	THEMES.find((theme) => theme === cookie) ?? 'system';
export const readUnits = (cookie: string | undefined): UnitSystem =>
	UNIT_SYSTEMS.find((units) => units === cookie) ?? DEFAULT_UNITS;

export const SCHOOLS_COOKIE = 'wendle-schools';

/** A person's own ways, as a cookie holds them: `tag=leave&mount=drill`. What is not known is left out. */
export function readSchools(cookie: string | undefined): ChosenSchools {
	const read = new URLSearchParams(cookie ?? '');
	const chosen = SCHOOL_KEYS.flatMap((key) => {
		const way = read.get(key);
		return way !== null && Object.hasOwn(SCHOOLS[key].ways, way) ? [[key, way]] : [];
	});
	return Object.fromEntries(chosen) as ChosenSchools;
}

export const writeSchools = (chosen: ChosenSchools): string =>
	new URLSearchParams(
		SCHOOL_KEYS.flatMap((key) => (chosen[key] === undefined ? [] : [[key, chosen[key]]]))
	).toString();
