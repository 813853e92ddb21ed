import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { become, merge, same, withValue } from './merge';
import { newSetup } from './presets';
import type { SetupForm } from './form';

/** Edits of different places of a set-up, each with a value of its own. */
const EDITS: readonly ((form: SetupForm, text: string) => void)[] = [
	(form, text) => (form.spool.rim = text),
	(form, text) => (form.spool.name = text),
	(form, text) => (form.spool.filled.gap = text),
	(form, text) => (form.fill.gap = text),
	(form, text) => (form.fill.spreads.rim = text),
	(form, text) => (form.fill.stack.find(({ id }) => id === 'line')!.note = text),
	(form, text) => (form.fill.stack.find(({ id }) => id === 'backing')!.length = text),
	(form, text) =>
		void form.fill.stack.push({ ...form.fill.stack[1]!, id: `tip-${text}`, role: 'tip', note: text }),
	(form) => void form.fill.stack.reverse()
];
const edited = (which: readonly number[], text: string): SetupForm => {
	const form = structuredClone(newSetup());
	for (const i of which) EDITS[i]!(form, text);
	return form;
};
const someEdits = fc.uniqueArray(fc.nat(EDITS.length - 1));

describe('two edits put together', () => {
	it('are both there where they were made in different places, in whichever order they are merged', () => {
		fc.assert(
			fc.property(someEdits, someEdits, (a, b) => {
				const others = b.filter((i) => !a.includes(i));
				const [mine, theirs] = [edited(a, 'mine'), edited(others, 'theirs')];
				const { value, clashes } = merge(newSetup(), mine, theirs);
				expect(clashes).toEqual([]);
				const other = merge(newSetup(), theirs, mine).value;
				const byId = (form: SetupForm) => ({
					...form,
					fill: { ...form.fill, stack: form.fill.stack.toSorted((x, y) => x.id.localeCompare(y.id)) }
				});
				expect(byId(value)).toEqual(byId(other));
				for (const i of a) if (i < 7) expect(JSON.stringify(value)).toContain('"mine"');
				expect(value.fill.stack.map(({ id }) => id).toSorted()).toEqual(
					[...new Set([...mine.fill.stack, ...theirs.fill.stack].map(({ id }) => id))].toSorted()
				);
			})
		);
	});

	it('are the one where the other changed nothing', () => {
		fc.assert(
			fc.property(someEdits, (which) => {
				const form = edited(which, 'changed');
				expect(merge(newSetup(), form, newSetup())).toEqual({ value: form, clashes: [] });
				expect(merge(newSetup(), newSetup(), form)).toEqual({ value: form, clashes: [] });
				expect(merge(newSetup(), form, form)).toEqual({ value: form, clashes: [] });
			})
		);
	});

	it('clash where both changed one field, and nowhere else; either can be taken', () => {
		const { value, clashes } = merge(newSetup(), edited([0, 3], 'mine'), edited([0, 1], 'theirs'));
		expect(clashes).toEqual([{ path: ['spool', 'rim'], mine: 'mine', theirs: 'theirs' }]);
		expect(value.spool).toMatchObject({ rim: 'mine', name: 'theirs' });
		expect(value.fill.gap).toBe('mine');
		expect(withValue(value, ['spool', 'rim'], 'theirs').spool.rim).toBe('theirs');
		const inList = withValue(value, ['fill', 'stack', 'line', 'note'], 'theirs');
		expect(inList.fill.stack.find(({ id }) => id === 'line')!.note).toBe('theirs');
		expect(inList.spool).toBe(value.spool);
	});

	it('a part that one takes off stays off, unless the other changed it: that is asked', () => {
		const off = newSetup();
		off.fill.stack = off.fill.stack.slice(0, 1);
		expect(merge(newSetup(), off, newSetup()).value.fill.stack).toHaveLength(1);
		expect(merge(newSetup(), newSetup(), off).value.fill.stack).toHaveLength(1);
		const clash = merge(newSetup(), edited([5], 'mine'), off).clashes;
		expect(clash).toMatchObject([{ path: ['fill', 'stack', 'line'], theirs: undefined }]);
		expect(withValue(newSetup(), clash[0]!.path, undefined).fill.stack).toHaveLength(1);
	});

	it('a part that is described in another way is described as a whole', () => {
		const by = (way: SetupForm['fill']['stack'][number]['made']): SetupForm => {
			const form = newSetup();
			form.fill.stack[1]!.made = way;
			return form;
		};
		const level = by({ way: 'level', density: 'S', diameter: '1 mm' });
		const other = by({ way: 'class', class: { taper: 'WF', number: 9, density: 'F' } });
		const { clashes, value } = merge(newSetup(), level, other);
		expect(clashes.map(({ path }) => path.join('.'))).toEqual(['fill.stack.line.made']);
		expect(value.fill.stack[1]!.made).toEqual(level.fill.stack[1]!.made);
	});

	it('in which order its keys stand is no change', () => {
		const turned = (value: unknown): unknown =>
			Array.isArray(value)
				? value.map(turned)
				: typeof value === 'object' && value !== null
					? Object.fromEntries(
							Object.entries(value)
								.toReversed()
								.map(([key, held]) => [key, turned(held)])
						)
					: value;
		const theirs = turned(edited([0, 6], 'theirs')) as SetupForm;
		expect(same(theirs, edited([0, 6], 'theirs'))).toBe(true);
		expect(same(theirs, edited([0, 6], 'others'))).toBe(false);
		const { value, clashes } = merge(newSetup(), edited([3], 'mine'), theirs);
		expect(clashes).toEqual([]);
		expect(value).toEqual(merge(newSetup(), edited([3], 'mine'), edited([0, 6], 'theirs')).value);
	});

	it('go into a form that is being edited without touching what is alike', () => {
		const form = edited([0], 'mine');
		const [fill, spool] = [form.fill, form.spool];
		become(form, edited([0, 1, 7], 'mine'));
		expect(form).toEqual(edited([0, 1, 7], 'mine'));
		expect([form.fill, form.spool]).toEqual([fill, spool]);
		expect(form.spool).toBe(spool);
	});

	it('what was typed without its unit stays as it was typed', () => {
		const [base, mine, theirs] = [newSetup(), newSetup(), newSetup()];
		mine.spool.rim = '84 mm';
		theirs.spool.name = 'Tarn';
		const typed = structuredClone(mine);
		typed.spool.rim = '84';
		expect(merge(base, mine, theirs, typed).value.spool).toMatchObject({ rim: '84', name: 'Tarn' });
	});
});
