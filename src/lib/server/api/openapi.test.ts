import { describe, expect, it } from 'vitest';
import { openApiDocument } from './openapi';

const ROUTES = import.meta.glob<Record<string, unknown>>(
	['/src/routes/**/+server.ts', '!/src/routes/api/openapi.json/+server.ts'],
	{ eager: true }
);
const METHODS = ['GET', 'POST', 'PUT', 'PATCH', 'DELETE'];

describe('the description of the API', () => {
	const { paths = {}, components } = openApiDocument(ROUTES);

	it('has every method of every route', () => {
		const handled = Object.values(ROUTES).flatMap((handlers) =>
			Object.keys(handlers).filter((name) => METHODS.includes(name))
		);
		const described = Object.values(paths).flatMap((path) => Object.keys(path as object));
		expect(handled.length).toBeGreaterThan(40);
		expect(described).toHaveLength(handled.length);
	});

	it('says what is asked and answered by the shapes that check it', () => {
		expect(paths['/api/fit']).toMatchObject({
			post: {
				requestBody: {
					content: { 'application/json': { schema: { $ref: '#/components/schemas/FitRequest' } } }
				},
				responses: { '200': {}, '422': {} }
			}
		});
		expect(Object.keys(components?.schemas ?? {})).toEqual(
			expect.arrayContaining(['FitRequest', 'FitResponse', 'CareEvent', 'RunEvent', 'HandSummary'])
		);
	});

	it('names what stands in an address, and the id of a write where it has none of its own', () => {
		const parameters = (path: string, method: string): string[] => {
			const operation = (paths[path] as Record<string, { parameters?: { name: string }[] }>)[method]!;
			return (operation.parameters ?? []).map(({ name }) => name).sort();
		};
		expect(parameters('/api/setups/{id}', 'put')).toEqual(['Idempotency-Key', 'id']);
		expect(parameters('/api/runs/{id}/events', 'post')).toEqual(['id']);
		expect(parameters('/api/unreadable/{table}/{id}', 'get')).toEqual(['id', 'table']);
	});
});
