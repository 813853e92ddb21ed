import { DEFAULT_UNITS, UNIT_SYSTEMS, type UnitSystem } from '$lib/wording/units';

/** How a person likes to see things: kept in cookies, so that the server's first page is already right. */
export const THEMES = ['system', 'light', 'dark'] as const;
export type Theme = (typeof THEMES)[number];
export const THEME_COOKIE = 'wendle-theme';

/** How the bench shows a winding: step by step, or on one screen for people who wind every day. */
export const BENCH_FORMS = ['steps', 'short'] as const;
export type BenchForm = (typeof BENCH_FORMS)[number];
export const BENCH_FORM_COOKIE = 'wendle-bench-form';
export const readBenchForm = (cookie: string | undefined): BenchForm =>
	BENCH_FORMS.find((form) => form === cookie) ?? 'steps';

/** Where the person is, as a time zone: the server then knows what day it is there. */
export const ZONE_COOKIE = 'wendle-zone';

export const readTheme = (cookie: string | undefined): Theme =>
	THEMES.find((theme) => theme === cookie) ?? 'system';
export const readUnits = (cookie: string | undefined): UnitSystem =>
	UNIT_SYSTEMS.find((units) => units === cookie) ?? DEFAULT_UNITS;

/** Who winds at this device: a name, encoded as it stands in a cookie. */
export const WINDER_COOKIE = 'wendle-winder';
/** Longest name of who winds. */
export const MOST_NAME = 60;

/** A person's own ways where people differ, as `tag=leave&mount=drill`; read by `schools-cookie.ts`, on the server. */
export const TECHNIQUES_COOKIE = 'wendle-schools';
