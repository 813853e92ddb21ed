import { isKnown, spoolOf, type MatchLine, type Spool } from '$lib/core';
import { Reader } from './read-text';
import { newComponent } from './presets';
import { readParts } from './read-strands';
import type { ComponentForm, SetupForm, SpoolForm } from './form';
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
const swapped = ({ fill }: SetupForm): ComponentForm[] =>
	fill.swaps.flatMap(({ id, of, made, length, note }) => {
		const role = fill.stack.find((component) => component.id === of)?.role;
		return role ? [{ ...newComponent(id, role, made), length, note }] : [];
	});

/** Every line and head in these set-ups, each once. */
export function ownLines(forms: readonly SetupForm[], units: UnitSystem): OwnLine[] {
	const lines = new Map<string, OwnLine>();
	for (const form of forms)
		for (const component of [...form.fill.stack, ...swapped(form)].filter(isLine)) {
			const { made, length, note, role } = component;
			const key = JSON.stringify([role, made, length, note]);
			if (lines.has(key)) continue;
			const reader = new Reader();
			const [part] = readParts({ ...form.fill, stack: [{ ...component, solve: false }] }, units, reader);
			if (reader.issues.length > 0 || !part || !isKnown(part.component)) continue;
			const { sections, layEfficiency } = part.component;
			lines.set(key, { key, label: part.label, short: part.short, sections, layEfficiency, form: component });
		}
	return [...lines.values()].sort((a, b) => a.short.localeCompare(b.short, 'en', { numeric: true }));
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
