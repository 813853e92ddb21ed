import { JOB_NAMES, type CareRule } from '$lib/core';
import { merge } from '$lib/setup/merge';

/** Rules as a list whose entries have ids: by what is done to what, counted where it is there twice. */
function keyed(rules: readonly CareRule[]): (CareRule & { readonly id: string })[] {
	const seen = new Map<string, number>();
	return rules.map((rule) => {
		const key = `${rule.job}/${rule.kinds.join(' ')}`;
		const nth = (seen.get(key) ?? 0) + 1;
		seen.set(key, nth);
		return { id: `${key}/${nth}`, ...rule };
	});
}

/** Two edits of the rules put together; `clash` says in words where both changed the same field. */
export function mergedRules(
	base: readonly CareRule[],
	mine: readonly CareRule[],
	theirs: readonly CareRule[]
): { readonly rules: readonly CareRule[]; readonly clash: string | undefined } {
	const { value, clashes } = merge(keyed(base), keyed(mine), keyed(theirs));
	const [first] = clashes;
	const rules = value.map(({ id: _, ...rule }) => rule);
	if (!first) return { rules, clash: undefined };
	const job = JOB_NAMES[first.path[0]!.split('/')[0] as keyof typeof JOB_NAMES];
	const said = (some: unknown): string =>
		some === undefined ? 'nothing' : typeof some === 'object' ? 'another rule' : JSON.stringify(some);
	return { rules, clash: `${job}: ${said(first.theirs)} there, ${said(first.mine)} here.` };
}
