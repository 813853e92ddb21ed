import { formatLength, withUnit, type LengthUnit } from '$lib/core';
import type { SetupForm } from '$lib/schema/setup';
import { smallUnit, type UnitSystem } from '$lib/schema/units';
import { wordIssue, type WordedIssue } from '$lib/schema/words';
import { workOut, type Workout } from '$lib/schema/workout';

const keyOf = (path: readonly (string | number)[]): string => path.join('.');

/** A set-up being edited, and what it amounts to at this moment. */
export class FitState {
	form = $state() as SetupForm;
	readonly #units: () => UnitSystem;
	readonly #onchange: () => void;
	#lastGood: Workout | undefined;

	readonly result = $derived.by(() => workOut($state.snapshot(this.form), this.#units()));
	/** The newest answers there were: while a number is half typed the last ones stay, dimmed. */
	readonly workout = $derived.by(() => {
		if (this.result.ok) this.#lastGood = this.result.value;
		return this.#lastGood;
	});
	readonly stale = $derived(!this.result.ok);
	readonly issues = $derived.by(() => (this.result.ok ? [] : this.result.issues.map(wordIssue)));

	constructor(form: SetupForm, units: () => UnitSystem, onchange: () => void) {
		this.form = form;
		this.#units = units;
		this.#onchange = onchange;
	}

	/** What is wrong with a field. An empty field is not wrong, only not there yet. */
	error(...path: (string | number)[]): string | undefined {
		const key = keyOf(path);
		const issue = this.issues.find((issue) => keyOf(issue.path) === key);
		return issue && issue.code !== 'missing_value' ? issue.message : undefined;
	}

	/** Fields that still need something before there can be an answer. */
	readonly missing = $derived<WordedIssue[]>(this.issues.filter((issue) => issue.code === 'missing_value'));

	/** Changes the form by `edit`, and says so. */
	change(edit: (form: SetupForm) => void): void {
		edit(this.form);
		this.#onchange();
	}

	/** A finished entry: a bare number gets the unit it was typed in. */
	settled(value: string, unit: LengthUnit): string {
		return withUnit(value, unit);
	}

	setGapMm(gapMm: number): void {
		this.change((form) => (form.fill.gap = formatLength(gapMm, smallUnit(this.#units()))));
	}
}
