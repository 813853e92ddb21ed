import type { Knex } from 'knex';

/** Columns are named in snake_case in the file and in camelCase in the code; this is the one place where they meet. */

const snake = (name: string): string => name.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
const camel = (name: string): string =>
	name.replace(/_([a-z])/g, (_, letter: string) => letter.toUpperCase());

const isRow = (value: unknown): value is Record<string, unknown> =>
	typeof value === 'object' && value !== null && Object.getPrototypeOf(value) === Object.prototype;

function renamed(answer: unknown): unknown {
	if (Array.isArray(answer)) return answer.map(renamed);
	if (!isRow(answer)) return answer;
	return Object.fromEntries(Object.entries(answer).map(([name, value]) => [camel(name), value]));
}

export const COLUMN_NAMES: Pick<Knex.Config, 'wrapIdentifier' | 'postProcessResponse'> = {
	wrapIdentifier: (name, wrap) => wrap(snake(name)),
	postProcessResponse: renamed
};
