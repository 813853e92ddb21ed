import { byName } from '$lib/wording/by-name';
import { isKnown, spoolOf, type MatchLine, type Spool } from '$lib/core';
import { Reader } from './read-text';
import { newComponent, newSetup } from './presets';
import { readParts } from './read-strands';
import type { ComponentForm, FillForm, SpoolForm } from './form';
import { readSource } from './read-spool';
import type { UnitSystem } from '$lib/wording/units';

/** A line or head that the person has, wherever it is. */
export interface OwnLine extends MatchLine {
	readonly key: string;
	readonly label: string;
	readonly short: string;
	readonly form: ComponentForm;
}

/** A spool whose measures are known. */
export interface OwnSpool {
	readonly id: string;
	readonly name: string;
	readonly form: SpoolForm;
	readonly spool: Spool;
}

const isLine = ({ role }: ComponentForm): boolean => role === 'line' || role === 'head';

/** Swaps as parts of their own. */
const swapped = ({ stack, swaps }: FillForm): ComponentForm[] =>
	swaps.flatMap(({ id, of, made, length, note }) => {
		const role = stack.find((component) => component.id === of)?.role;
		return role ? [{ ...newComponent(id, role, made), length, note }] : [];
	});

const keyOf = ({ role, made, length, note }: ComponentForm): string =>
	JSON.stringify([role, made, length, note]);

/** Every line and head in these fills, each once. */
export function lineForms(fills: readonly FillForm[]): ComponentForm[] {
	const all = fills.flatMap((fill) => [...fill.stack, ...swapped(fill)]).filter(isLine);
	return [...new Map(all.map((form) => [keyOf(form), form])).values()];
}

/** The lines that are described well enough to be wound, by name. */
export function ownLines(forms: readonly ComponentForm[], units: UnitSystem): OwnLine[] {
	const { fill } = newSetup();
	const lines = forms.flatMap((form): OwnLine[] => {
		const reader = new Reader();
		const [part] = readParts({ ...fill, stack: [{ ...form, solve: false }] }, units, reader);
		if (reader.issues.length > 0 || !part || !isKnown(part.component)) return [];
		const { sections, layEfficiency } = part.component;
		return [{ key: keyOf(form), label: part.label, short: part.short, sections, layEfficiency, form }];
	});
	return lines.sort((a, b) => byName(a.short, b.short));
}

/** Every spool that is known well enough to be reckoned with. */
export const ownSpools = (
	spools: readonly { id: string; form: SpoolForm }[],
	units: UnitSystem
): OwnSpool[] =>
	spools.flatMap(({ id, form }) => {
		const reader = new Reader();
		const source = readSource(form, units, reader);
		const built = reader.issues.length === 0 ? spoolOf(source) : undefined;
		return built?.ok ? [{ id, name: form.name || 'Unnamed spool', form, spool: built.value.spool }] : [];
	});
