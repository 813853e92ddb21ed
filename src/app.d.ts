import type { ChosenTechniques, Day } from '$lib/core';
import type { Visitor } from '$lib/server/access';
import type { Place } from '$lib/inventory/place';
import type { Theme } from '$lib/ui/state/cookies';
import type { Early } from '$lib/ui/state/early';
import type { UnitSystem } from '$lib/wording/units';

declare global {
	interface Window {
		/** What was done before the page answered: see `app.html`. */
		early?: Early;
	}
	namespace App {
		interface Locals {
			units: UnitSystem;
			theme: Theme;
			/** The day it is where the person is. */
			today: Day;
			/** The time zone that is in; none when the browser never said. */
			zone: string | undefined;
			/** The person's own ways, where people differ. */
			schools: ChosenTechniques;
			/** How the person writes English: for days. */
			locale: string;
			/** Who winds at this device; empty while nobody said. */
			winder: string;
			/** Whose data the browser shows: the person's own, or the sample kit room's. */
			place: Place;
			/** Who asks, and as what. */
			visitor: Visitor;
			/** Stands in the log and on the page of an error. */
			requestId: string;
			/** What was written, for the list of who did what; nothing where nothing was. */
			did?: string;
		}
		interface Error {
			/** Finds what went wrong in the log. */
			request?: string;
			/** What is wrong with the data file, where it is that. */
			code?: string;
		}
		interface PageState {
			/** Address of a set-up that was saved for the first time while its page was open. */
			savedAs?: string;
		}
	}
}

/** What svelte-dnd-action says while and after dragging. */
declare module 'svelte/elements' {
	interface HTMLAttributes<T> {
		onconsider?: (event: CustomEvent<{ items: never[] }> & { currentTarget: T }) => void;
		onfinalize?: (event: CustomEvent<{ items: never[] }> & { currentTarget: T }) => void;
	}
}

export type {} from '@sveltejs/adapter-node';
