import type { ChosenTechniques, Day } from '$lib/core';
import {
	BENCH_FORM_COOKIE,
	TECHNIQUES_COOKIE,
	THEME_COOKIE,
	WINDER_COOKIE,
	ZONE_COOKIE,
	type BenchForm,
	type Theme
} from './cookies';
import { UNITS_COOKIE, type UnitSystem } from '$lib/wording/units';
import { CalendarDate } from '@internationalized/date';
import { getContext, setContext } from 'svelte';

const KEY = Symbol('preferences');
const YEAR_S = 365 * 24 * 3600;

const remember = (name: string, value: string): void => {
	document.cookie = `${name}=${value}; path=/; max-age=${YEAR_S}; samesite=lax`;
};

/** How the bench shows a winding, for the next page that the server makes. */
export const rememberBenchForm = (form: BenchForm): void => remember(BENCH_FORM_COOKIE, form);

/** Tells the server in which time zone the person is, for the next page it makes. */
export const rememberZone = (): void =>
	remember(ZONE_COOKIE, Intl.DateTimeFormat().resolvedOptions().timeZone);

/** The day it is in this browser. */
export function todayHere(): Day {
	// A moment that is looked at once: nothing follows it.
	// eslint-disable-next-line svelte/prefer-svelte-reactivity
	const now = new Date();
	return new CalendarDate(now.getFullYear(), now.getMonth() + 1, now.getDate());
}

/** Units, theme and a person's own ways, switched everywhere at once and remembered for the next page the server makes. */
export class Preferences {
	#units = $state<UnitSystem>('yd-mm');
	#theme = $state<Theme>('system');
	#schools = $state.raw<ChosenTechniques>({});
	#winder = $state('');

	/** How the person writes English: for days. */
	readonly locale: string;

	/** The day it is where the person is: as the server knew it, until this browser says otherwise. */
	today = $state.raw() as Day;

	constructor(
		units: UnitSystem,
		theme: Theme,
		schools: ChosenTechniques,
		winder: string,
		locale: string,
		today: Day
	) {
		this.locale = locale;
		this.today = today;
		this.#units = units;
		this.#theme = theme;
		this.#schools = schools;
		this.#winder = winder;
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

	/** Who winds at this device: their hand is what the next plan starts from. */
	get winder(): string {
		return this.#winder;
	}
	set winder(name: string) {
		this.#winder = name;
		remember(WINDER_COOKIE, encodeURIComponent(name));
	}

	/** How this person does it where people differ, in every set-up that has no way of its own. */
	get schools(): ChosenTechniques {
		return this.#schools;
	}
	set schools(schools: ChosenTechniques) {
		this.#schools = schools;
		remember(
			TECHNIQUES_COOKIE,
			encodeURIComponent(new URLSearchParams(schools as Record<string, string>).toString())
		);
	}
}

export const providePreferences = (...given: ConstructorParameters<typeof Preferences>): Preferences =>
	setContext(KEY, new Preferences(...given));

export const usePreferences = (): Preferences => getContext<Preferences>(KEY);
