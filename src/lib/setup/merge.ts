/** A place in a form: keys, and ids of what stands in a list. */
export type MergePath = readonly string[];

/** A place that two people changed differently. */
export interface Clash {
	readonly path: MergePath;
	readonly mine: unknown;
	readonly theirs: unknown;
}

export interface Merged<T> {
	/** Everything that does not clash, from both; where it does, mine. */
	readonly value: T;
	readonly clashes: readonly Clash[];
}

type Dict = Readonly<Record<string, unknown>>;
const isDict = (value: unknown): value is Dict =>
	typeof value === 'object' && value !== null && !Array.isArray(value);

/** Whether two values of JSON say the same: in whichever order their keys stand, and with or without what is undefined. */
export function same(a: unknown, b: unknown): boolean {
	if (a === b) return true;
	if (Array.isArray(a) && Array.isArray(b))
		return a.length === b.length && a.every((entry, i) => same(entry, b[i]));
	if (!isDict(a) || !isDict(b)) return false;
	return [...new Set([...Object.keys(a), ...Object.keys(b)])].every((key) => same(a[key], b[key]));
}

/** A list whose entries each have an id of their own. */
const isKeyed = (value: unknown): value is readonly (Dict & { readonly id: string })[] =>
	Array.isArray(value) &&
	value.every((entry) => isDict(entry) && typeof entry['id'] === 'string') &&
	new Set(value.map((entry: Dict) => entry['id'])).size === value.length;

/** Nothing: an entry that is not there. */
const ABSENT = Symbol('absent');

/**
 * Two edits of one thing put together, field by field: what only one of them changed is as that one has it. Lists whose
 * entries have ids are merged entry by entry, in my order where I changed it, else in theirs; any other list is one field.
 *
 * @param base what both began from
 * @param typed mine as it was typed, where that is not what is compared: a number without its unit is the same as with it
 */
export function merge<T>(base: T, mine: T, theirs: T, typed: T = mine): Merged<T> {
	const clashes: Clash[] = [];

	const entries = (value: unknown): Dict =>
		isKeyed(value) ? Object.fromEntries(value.map((entry) => [entry.id, entry])) : (value as Dict);

	function dicts(b: Dict, m: Dict, t: Dict, kept: Dict, path: MergePath): Dict {
		const keys = new Set([...Object.keys(m), ...Object.keys(t)]);
		const of = (dict: Dict, key: string): unknown => (Object.hasOwn(dict, key) ? dict[key] : ABSENT);
		const merged = [...keys].map((key): [string, unknown] => [
			key,
			one(of(b, key), of(m, key), of(t, key), of(kept, key), [...path, key])
		]);
		return Object.fromEntries(merged.filter(([, value]) => value !== ABSENT));
	}

	function one(b: unknown, m: unknown, t: unknown, kept: unknown, path: MergePath): unknown {
		if (same(m, t) || same(b, t)) return kept;
		if (same(b, m)) return t;
		if (isDict(b) && isDict(m) && isDict(t) && sameKind(m, t)) return dicts(b, m, t, kept as Dict, path);
		if (isKeyed(b) && isKeyed(m) && isKeyed(t)) {
			const merged = dicts(entries(b), entries(m), entries(t), entries(kept), path);
			return inOrder(b, m, t).flatMap((id) => merged[id] ?? []);
		}
		const said = (value: unknown): unknown => (value === ABSENT ? undefined : value);
		clashes.push({ path, mine: said(kept), theirs: said(t) });
		return kept;
	}

	const value = one(base, mine, theirs, typed, []) as T;
	return { value, clashes };
}

/** What is described in another way, by other fields, is another thing as a whole: a diameter means nothing in a class. */
const sameKind = (a: Dict, b: Dict): boolean =>
	a['way'] === b['way'] || same(Object.keys(a).toSorted(), Object.keys(b).toSorted());

type Keyed = readonly { readonly id: string }[];

/** The ids of two lists in one order: mine where I changed it, with what is new of theirs behind what it stands behind there. */
function inOrder(base: Keyed, mine: Keyed, theirs: Keyed): string[] {
	const ids = (list: Keyed): string[] => list.map(({ id }) => id);
	const both = (list: Keyed, other: Keyed): string[] => ids(list).filter((id) => ids(other).includes(id));
	const moved = !same(both(mine, base), both(base, mine));
	const [first, second] = moved ? [ids(mine), ids(theirs)] : [ids(theirs), ids(mine)];
	const order = [...first];
	second.forEach((id, i) => {
		if (!order.includes(id)) order.splice(i === 0 ? 0 : order.indexOf(second[i - 1]!) + 1, 0, id);
	});
	return order;
}

/** A form with another value at a place. */
export function withValue<T>(value: T, [key, ...rest]: MergePath, put: unknown): T {
	if (key === undefined) return put as T;
	if (isKeyed(value)) {
		const at = value.findIndex(({ id }) => id === key);
		if (put === undefined && rest.length === 0) return value.filter((_, i) => i !== at) as T;
		return value.map((entry, i) => (i === at ? withValue(entry, rest, put) : entry)) as T;
	}
	return { ...value, [key]: withValue((value as Dict)[key], rest, put) } as T;
}

/** Makes a form that somebody edits like another one: only what is different changes, so that whoever types is not disturbed. */
export function become(shown: object, wanted: object): void {
	const [to, from] = [shown as Record<string, unknown>, wanted as Record<string, unknown>];
	for (const key of Object.keys(to)) if (!Object.hasOwn(from, key)) Reflect.deleteProperty(to, key);
	for (const [key, value] of Object.entries(from)) {
		const before = to[key];
		if (same(before, value)) continue;
		if (isDict(before) && isDict(value)) become(before, value);
		else to[key] = value;
	}
}
