import type { Knex } from 'knex';

/** Columns are named in snake_case in the file and in camelCase in the code; this is the one place where they meet. */

/** There are few names, and each is met in every row. */
function once(rename: (name: string) => string): (name: string) => string {
	const known = new Map<string, string>();
	return (name) => {
		const before = known.get(name);
		if (before !== undefined) return before;
		const now = rename(name);
		known.set(name, now);
		return now;
	};
}
const snake = once((name) => name.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`));
const camel = once((name) => name.replace(/_([a-z])/g, (_, letter: string) => letter.toUpperCase()));

const isRow = (value: unknown): value is Record<string, unknown> =>
	typeof value === 'object' && value !== null && Object.getPrototypeOf(value) === Object.prototype;

function renamed(answer: unknown): unknown {
	if (Array.isArray(answer)) return answer.map(renamed);
	if (!isRow(answer)) return answer;
	const row: Record<string, unknown> = {};
	for (const name in answer) row[camel(name)] = answer[name];
	return row;
}

export const COLUMN_NAMES: Pick<Knex.Config, 'wrapIdentifier' | 'postProcessResponse'> = {
	wrapIdentifier: (name, wrap) => wrap(snake(name)),
	postProcessResponse: renamed
};
