import { formatLength, withUnit, type LengthUnit, type Role } from '$lib/core';
import { newComponent, type Preset } from '$lib/setup/presets';
import type { SetupForm } from '$lib/setup/form';
import type { LearntHere } from '$lib/setup/learnt-here';
import { smallUnit, type UnitSystem } from '$lib/wording/units';
import { wordIssue, type WordedIssue } from '$lib/wording/issues';
import { workOut, type Workout } from '$lib/setup/evaluate-form';

const keyOf = (path: readonly (string | number)[]): string => path.join('.');

/** Parts of the form that stand under the drawing, one panel at a time. */
const IN_PANELS = new Set(['halfFit', 'reverseTurns', 'spreads', 'swaps']);

/** What a set-up that is being edited needs to know of the page around it. */
interface Around {
	readonly units: () => UnitSystem;
	readonly onchange: () => void;
	/** What the server says is wrong with a field; its paths begin at the body that was sent. */
	readonly refused: () => readonly WordedIssue[];
	/** The spool it is for; none before it is saved. */
	readonly spoolId: () => string | undefined;
	/** What earlier windings have taught of its spool, strands and winder. */
	readonly learnt: () => LearntHere | undefined;
}

/** What the form was before a change, and when that was made. */
interface Before {
	readonly form: SetupForm;
	readonly at: number;
	/** The field that was changed, as far as the page knows: what is typed in one field is one change. */
	readonly within: unknown;
}
/** Changes that can be undone, and how soon after each other they are one, ms. */
const MOST_BEFORE = 100;
const ONE_CHANGE_MS = 1500;

/** A set-up being edited, and what it amounts to at this moment. */
export class FitState {
	form = $state() as SetupForm;
	/** The strand whose editor is open; none to begin with: the sentence says it all. */
	selected = $state<string>();
	/** The knots of joints are shown beside their editors. */
	showsKnots = $state(false);
	/** Chance that the line rubs, stopped by the depth, once enough spools were tried; of these answers, not of earlier ones. */
	rubs = $state<number>();
	/** What is set once about the reel and the winding is unfolded. */
	showsWinding = $state(false);
	readonly #around: Around;
	/** What can be undone, the last one last. */
	#before = $state.raw<readonly Before[]>([]);
	#lastGood: Workout | undefined;

	readonly result = $derived.by(() =>
		workOut($state.snapshot(this.form), this.#around.units(), this.#around.learnt())
	);
	/** The newest answers there were: while a number is half typed the last ones stay, dimmed. */
	readonly workout = $derived.by(() => {
		if (this.result.ok) this.#lastGood = this.result.value;
		return this.#lastGood;
	});
	readonly stale = $derived(!this.result.ok);
	readonly issues = $derived.by(() =>
		this.result.ok ? [] : this.result.issues.map((issue) => wordIssue(issue, this.#around.units()))
	);

	constructor(form: SetupForm, around: Around) {
		this.form = form;
		this.#around = around;
	}

	/** The spool it is for, among all of them: spools may have one name, or none. */
	get spoolId(): string | undefined {
		return this.#around.spoolId();
	}

	/** What is wrong with a field. An empty field is not wrong, only not there yet. */
	error(...path: (string | number)[]): string | undefined {
		const key = keyOf(path);
		const issue = this.issues.find((issue) => keyOf(issue.path) === key);
		if (issue && issue.code !== 'missing_value') return issue.message;
		return this.#around.refused().find((refused) => keyOf(refused.path.slice(1)) === key)?.message;
	}

	/** Fields that still need something before there can be an answer. */
	readonly missing = $derived<WordedIssue[]>(this.issues.filter((issue) => issue.code === 'missing_value'));

	/** Why the answers are those from before, where the field that is wrong may stand in a panel or an editor that is closed. */
	readonly reason = $derived(
		this.issues.find(({ code, path: [, list, index] }) =>
			list === 'stack'
				? this.form.fill.stack[Number(index)]?.id !== this.selected
				: code !== 'missing_value' && IN_PANELS.has(String(list))
		)?.message
	);

	/** Changes the form by `edit`, and says so. */
	change(edit: (form: SetupForm) => void): void {
		this.#remember();
		edit(this.form);
		this.rubs = undefined;
		this.#around.onchange();
	}

	#remember(): void {
		const now = Date.now();
		const within = document.activeElement;
		const last = this.#before.at(-1);
		this.#before =
			last?.within === within && now - last.at < ONE_CHANGE_MS
				? [...this.#before.slice(0, -1), { ...last, at: now }]
				: [...this.#before, { form: $state.snapshot(this.form), at: now, within }].slice(-MOST_BEFORE);
	}

	/** The last change that can be undone here. */
	get lastChange(): { readonly said: string; readonly at: number } | undefined {
		const last = this.#before.at(-1);
		return last && { said: 'the last change of this set-up', at: last.at };
	}

	/** Undoes the last change. */
	undo(): void {
		const last = this.#before.at(-1);
		if (!last) return;
		this.#before = this.#before.slice(0, -1);
		this.form = last.form;
		this.rubs = undefined;
		this.#around.onchange();
	}

	/** Another window's changes are in the form now: what it was before is no longer what it should go back to. */
	forgetChanges(): void {
		this.#before = [];
	}

	/** A finished entry: a bare number gets the unit it was typed in. */
	settled(value: string, unit: LengthUnit | 'g'): string {
		return withUnit(value, unit);
	}

	/** A new part at the outer end; its id. */
	addComponent(role: Role): string {
		const taken = this.form.fill.stack.map(({ id }) => id);
		let id: string = role;
		for (let n = 2; taken.includes(id); n++) id = `${role}-${n}`;
		this.change(({ fill }) => fill.stack.push(newComponent(id, role)));
		return id;
	}

	removeComponent(id: string): void {
		this.change(({ fill }) => {
			fill.stack = fill.stack.filter((component) => component.id !== id);
			fill.swaps = fill.swaps.filter((swap) => swap.of !== id);
		});
	}

	/** The same parts in another order. */
	order(ids: readonly string[]): void {
		this.change(({ fill }) => {
			fill.stack = ids.flatMap((id) => fill.stack.find((component) => component.id === id) ?? []);
		});
	}

	/** A stack to begin with in the place of this one; the id of the part that is looked for. */
	beginWith({ stack, leader }: Preset): string {
		const fresh = stack();
		this.change(({ fill }) =>
			Object.assign(fill, { stack: fresh, swaps: [], leader, halfFit: '', reverseTurns: '' })
		);
		return fresh.find(({ solve }) => solve)!.id;
	}

	setGapMm(gapMm: number): void {
		this.change((form) => (form.fill.gap = formatLength(gapMm, smallUnit(this.#around.units()))));
	}
}
