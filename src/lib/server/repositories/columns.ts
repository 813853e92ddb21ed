import { toJson } from '$lib/inventory/json';
import { wordShape, type WordedIssue } from '$lib/wording/issues';
import type { Knex } from 'knex';
import { LRUCache } from 'lru-cache';
import { z } from 'zod';
import { Unkeepable } from '../db/unkeepable';
import { rootOf } from '../db/write';

/** How much text of a column is remembered with what it read as, characters. */
const MOST_REMEMBERED = 2_000_000;

/** Nothing in it can be changed: whoever reads the same text is given the same object. */
function frozen<T>(value: T): T {
	if (typeof value === 'object' && value !== null && !Object.isFrozen(value)) {
		Object.freeze(value);
		for (const part of Object.values(value)) frozen(part);
	}
	return value;
}

/**
 * A text column that holds JSON of a known shape. A text that was read before is not read again: pages ask for the same rows
 * over and over.
 */
export function json<S extends z.ZodType>(
	shape: S
): z.ZodPipe<z.ZodString, z.ZodTransform<z.output<S>, string>> {
	const read = new LRUCache<string, { readonly value: z.output<S> }>({
		maxSize: MOST_REMEMBERED,
		sizeCalculation: (_, text) => text.length + 1
	});
	return z.string().transform((text, context): z.output<S> => {
		const before = read.get(text);
		if (before) return before.value;
		let parsed: unknown;
		try {
			parsed = JSON.parse(text);
		} catch {
			context.addIssue({ code: 'custom', message: "The text isn't JSON." });
			return z.NEVER;
		}
		const now = shape.safeParse(parsed);
		if (now.success) {
			read.set(text, { value: frozen(now.data) });
			return now.data;
		}
		for (const issue of now.error.issues)
			context.issues.push({ ...issue, path: [...issue.path], input: text } as z.core.$ZodRawIssue);
		return z.NEVER;
	});
}

/** SQLite has no booleans: 1 is true. */
export const flag = z.union([z.literal(0), z.literal(1)]).transform((value) => value === 1);

/**
 * The text of a JSON column. What is written is first read with the shape that reads it later, so that nothing gets in
 * that does not come out.
 *
 * @param path where this stands in what was sent
 * @throws Unkeepable for what would not read back
 */
export function jsonText(shape: z.ZodType, value: unknown, ...path: string[]): string {
	const text = toJson(value);
	const read = shape.safeParse(JSON.parse(text));
	if (!read.success) throw new Unkeepable(read.error, path);
	return text;
}

/** A row that does not read: where it is, and why. */
export interface UnreadableRow {
	readonly table: string;
	readonly id: string;
	readonly issues: readonly WordedIssue[];
}

const unreadable = new WeakMap<Knex, Map<string, UnreadableRow>>();

/** The rows that were come upon and did not read. */
export const unreadableRows = (db: Knex): readonly UnreadableRow[] => [
	...(unreadable.get(rootOf(db))?.values() ?? [])
];

/** A row that reads again, or was taken off. */
export const forgetUnreadable = (db: Knex, table: string, id: string): void =>
	void unreadable.get(rootOf(db))?.delete(`${table}/${id}`);

/** Notes that a row does not read. */
export function noteUnreadable(db: Knex, row: UnreadableRow): void {
	const known = unreadable.get(rootOf(db)) ?? new Map<string, UnreadableRow>();
	unreadable.set(rootOf(db), known.set(`${row.table}/${row.id}`, row));
}

/** One row; undefined where there is none, or where it does not read: that is noted. */
export function readRow<S extends z.ZodType>(
	db: Knex,
	table: string,
	shape: S,
	row: unknown,
	key = 'id'
): z.output<S> | undefined {
	if (row === undefined) return undefined;
	const read = shape.safeParse(row);
	if (read.success) return read.data;
	const id = String((row as Record<string, unknown>)[key]);
	noteUnreadable(db, { table, id, issues: wordShape(read.error) });
	return undefined;
}

/** The rows that read. One that does not is noted, and hides none of the others. */
export const readRows = <S extends z.ZodType>(
	db: Knex,
	table: string,
	shape: S,
	rows: readonly unknown[],
	key = 'id'
): z.output<S>[] => rows.flatMap((row) => readRow(db, table, shape, row, key) ?? []);
