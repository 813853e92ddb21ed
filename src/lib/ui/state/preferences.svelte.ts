import { THEME_COOKIE, type Theme } from '$lib/schema/preferences';
import { UNITS_COOKIE, type UnitSystem } from '$lib/schema/units';
import { getContext, setContext } from 'svelte';

const KEY = Symbol('preferences');
const YEAR_S = 365 * 24 * 3600;

const remember = (name: string, value: string): void => {
	document.cookie = `${name}=${value}; path=/; max-age=${YEAR_S}; samesite=lax`;
};

/** Units and theme, switched everywhere at once and remembered for the next page the server makes. */
export class Preferences {
	#units = $state<UnitSystem>('yd-mm');
	#theme = $state<Theme>('system');

	constructor(units: UnitSystem, theme: Theme) {
		this.#units = units;
		this.#theme = theme;
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
}

export const providePreferences = (units: UnitSystem, theme: Theme): Preferences =>
	setContext(KEY, new Preferences(units, theme));

export const usePreferences = (): Preferences => getContext<Preferences>(KEY);
