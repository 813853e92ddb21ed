import type { ChosenSchools } from '$lib/core';
import { SCHOOLS_COOKIE, THEME_COOKIE, ZONE_COOKIE, type Theme } from '$lib/schema/preferences';
import { UNITS_COOKIE, type UnitSystem } from '$lib/schema/units';
import { getContext, setContext } from 'svelte';

const KEY = Symbol('preferences');
const YEAR_S = 365 * 24 * 3600;

const remember = (name: string, value: string): void => {
	document.cookie = `${name}=${value}; path=/; max-age=${YEAR_S}; samesite=lax`;
};

/** Tells the server in which time zone the person is, for the next page it makes. */
export const rememberZone = (): void =>
	remember(ZONE_COOKIE, Intl.DateTimeFormat().resolvedOptions().timeZone);

/** Units, theme and a person's own ways, switched everywhere at once and remembered for the next page the server makes. */
export class Preferences {
	#units = $state<UnitSystem>('yd-mm');
	#theme = $state<Theme>('system');
	#schools = $state.raw<ChosenSchools>({});

	constructor(units: UnitSystem, theme: Theme, schools: ChosenSchools) {
		this.#units = units;
		this.#theme = theme;
		this.#schools = schools;
	}

	get units(): UnitSystem {
		return this.#units;
	}
	set units(units: UnitSystem) {
		this.#units = units;
		remember(UNITS_COOKIE, units);
	}

	get theme(): Theme {
		return this.#theme;
	}
	set theme(theme: Theme) {
		this.#theme = theme;
		document.documentElement.dataset['theme'] = theme;
		remember(THEME_COOKIE, theme);
	}

	/** How this person does it where people differ, in every set-up that has no way of its own. */
	get schools(): ChosenSchools {
		return this.#schools;
	}
	set schools(schools: ChosenSchools) {
		this.#schools = schools;
		remember(
			SCHOOLS_COOKIE,
			encodeURIComponent(new URLSearchParams(schools as Record<string, string>).toString())
		);
	}
}

export const providePreferences = (units: UnitSystem, theme: Theme, schools: ChosenSchools): Preferences =>
	setContext(KEY, new Preferences(units, theme, schools));

export const usePreferences = (): Preferences => getContext<Preferences>(KEY);
