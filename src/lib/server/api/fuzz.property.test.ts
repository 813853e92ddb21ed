import fc from 'fast-check';
import { expect, it } from 'vitest';
import { checkOf, valuesOf } from './fuzz-testing';
import { openApiDocument } from './openapi';

const ROUTES = import.meta.glob<Record<string, unknown>>(
	['/src/routes/**/+server.ts', '!/src/routes/api/openapi.json/+server.ts'],
	{ eager: true }
);
const RUNS = process.env['WENDLE_LONG'] ? 3000 : 30;

interface Operation {
	readonly parameters?: readonly { readonly name: string }[];
	readonly requestBody?: { readonly content: { readonly 'application/json'?: { readonly schema: object } } };
	readonly responses: Readonly<
		Record<string, { readonly content?: { readonly 'application/json'?: { readonly schema: object } } }>
	>;
}
const document = openApiDocument(ROUTES);
/** What is asked and written down nowhere: a write has an id of its own, but for practice, whose entries have one each. */
const questions = Object.entries(document.paths ?? {}).flatMap(([path, methods]) => {
	const post = (methods as { post?: Operation }).post;
	const asked = post?.requestBody?.content['application/json'];
	const answer = post?.responses['200']?.content?.['application/json'];
	return asked && answer && !post.parameters?.length && path !== '/api/practice'
		? [{ path, asked: asked.schema, answer: answer.schema }]
		: [];
});
const handlerOf = (path: string): ((event: { request: Request }) => Promise<Response>) =>
	ROUTES[`/src/routes${path}/+server.ts`]!['POST'] as never;

/** No number about a reel is larger: the largest spool that is taken holds 5e7 mm³. */
const MOST = 1e9;
const numbersIn = (value: unknown): number[] =>
	typeof value === 'number'
		? [value]
		: typeof value === 'object' && value !== null
			? Object.values(value).flatMap(numbersIn)
			: [];

it('the description of the API has the questions', () => {
	expect(questions.map(({ path }) => path)).toEqual(expect.arrayContaining(['/api/fit', '/api/methods']));
	expect(questions.length).toBeGreaterThan(14);
});

it.each(questions)(
	'$path answers what it is asked, whatever that is, or says why not',
	async ({ path, asked, answer }) => {
		const [values, shape] = [valuesOf(document), checkOf(document, answer)];
		let answered = 0;
		await fc.assert(
			fc.asyncProperty(values(asked), async (sent) => {
				const request = new Request(`http://wendle.test${path}`, {
					method: 'POST',
					headers: { 'content-type': 'application/json' },
					body: JSON.stringify(sent)
				});
				const reply = await handlerOf(path)({ request });
				const body = (await reply.json()) as unknown;
				if (reply.status === 200) {
					answered++;
					const checked = shape.safeParse(body);
					expect(Math.max(0, ...numbersIn(body).map(Math.abs)), JSON.stringify([sent, body])).toBeLessThan(
						MOST
					);
					expect(checked.success ? undefined : checked.error.issues, JSON.stringify(body)).toBeUndefined();
				} else expect([400, 413, 422]).toContain(reply.status);
			}),
			{ numRuns: RUNS, seed: 20261201 }
		);
		// Not everything that is asked so is refused.
		expect(answered).toBeGreaterThan(0);
	}
);
