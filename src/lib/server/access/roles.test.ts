import { describe, expect, it } from 'vitest';
import { covers, neededFor, reaches } from './roles';

const ROUTES = import.meta.glob<Record<string, unknown>>('/src/routes/**/+server.ts', { eager: true });
const asked = Object.entries(ROUTES)
	.flatMap(([file, handlers]) =>
		Object.keys(handlers).map((method) => [
			method,
			file.replace(/^\/src\/routes|\/\+server\.ts$/g, '').replace(/\[\w+\]/g, 'x')
		])
	)
	.map(([method, path]) => `${method} ${path}`)
	.sort();
const neededBy = (one: string): string => neededFor(...(one.split(' ') as [string, string])) ?? 'anybody';

describe('who may do what', () => {
	it('is said of every route that writes, so that a new one is thought about', () => {
		const writes = asked.filter((one) => !one.startsWith('GET '));
		const by = Map.groupBy
			? Map.groupBy(writes, neededBy)
			: writes.reduce(
					(map, one) => map.set(neededBy(one), [...(map.get(neededBy(one)) ?? []), one]),
					new Map<string, string[]>()
				);
		expect(Object.fromEntries(by)).toMatchSnapshot();
	});

	it('reading is for viewers, but for what only the owner may read', () => {
		const reads = asked.filter((one) => one.startsWith('GET '));
		expect(reads.filter((one) => neededBy(one) === 'owner')).toMatchSnapshot();
		expect(reads.filter((one) => neededBy(one) === 'anybody')).toEqual([
			'GET /api/session',
			'GET /authority.crt',
			'GET /healthz',
			'GET /readyz'
		]);
	});

	it('pages follow the same rules', () => {
		expect(neededFor('GET', '/data/people')).toBe('owner');
		expect(neededFor('GET', '/access')).toBe('owner');
		expect(neededFor('GET', '/fit/new')).toBe('viewer');
		expect(neededFor('GET', '/sign-in')).toBeUndefined();
		// What nobody thought of is not open.
		expect(neededFor('POST', '/api/tomorrow')).toBe('bench');
		expect(neededFor('GET', '/sign-in/../data')).toBe('viewer');
	});

	it('a role covers those below it', () => {
		expect(covers('owner', 'bench')).toBe(true);
		expect(covers('viewer', 'bench')).toBe(false);
	});

	it('a token reaches what it is for and nothing else', () => {
		expect(reaches('counter', 'POST', '/api/runs/r1/events')).toBe(true);
		expect(reaches('counter', 'GET', '/api/orders')).toBe(false);
		expect(reaches('calendar', 'GET', '/calendar.ics')).toBe(true);
		expect(reaches('calendar', 'GET', '/api/care')).toBe(false);
		expect(reaches('command-line', 'PUT', '/api/access/passcodes/owner')).toBe(false);
		expect(reaches('metrics', 'GET', '/metrics')).toBe(true);
		expect(reaches('metrics', 'GET', '/')).toBe(false);
	});
});
