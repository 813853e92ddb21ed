import { BACKING_MATERIALS, ROLES } from '$lib/core';
import fc from 'fast-check';
import { z } from 'zod';
import type { openApiDocument } from './openapi';

/** Requests made from the description of the API, some like a reel, some as far out as it lets them be. */

interface Schema {
	readonly $ref?: string;
	readonly type?: string;
	readonly enum?: readonly unknown[];
	readonly const?: unknown;
	readonly anyOf?: readonly Schema[];
	readonly oneOf?: readonly Schema[];
	readonly properties?: Readonly<Record<string, Schema>>;
	readonly required?: readonly string[];
	readonly items?: Schema;
	readonly prefixItems?: readonly Schema[];
	readonly minItems?: number;
	readonly maxItems?: number;
	readonly minimum?: number;
	readonly maximum?: number;
	readonly exclusiveMinimum?: number;
	readonly maxLength?: number;
	readonly pattern?: string;
}
type Document = ReturnType<typeof openApiDocument>;

/** What stands in an ordinary request, by the name of its field. */
const LIKE_A_REEL: Readonly<Record<string, readonly unknown[]>> = {
	rimDiameterMm: [70, 84, 102],
	arborDiameterMm: [24, 38, 56],
	widthMm: [16, 21, 33],
	frameDiameterMm: [85, 88, 104],
	gapMm: [0, 3, 4, 6],
	leastGapMm: [3, 4],
	lineDepthMm: [6, 9, 14],
	depthMm: [5, 11, 15],
	diameterMm: [0.3, 0.48, 1.1],
	startDiameterMm: [0.6, 1.0, 1.4],
	endDiameterMm: [0.6, 0.9, 1.4],
	layEfficiency: [0.8, 0.88, 0.9, 1],
	lineClass: ['WF6F', 'DT4F', 'WF8I', 'WF5S'],
	material: BACKING_MATERIALS.map(({ slug }) => slug),
	backing: BACKING_MATERIALS.map(({ slug }) => slug),
	role: ROLES,
	turns: [200, 700, 1100],
	lengthM: [20, 27, 100, 180],
	massG: [12, 20, 35],
	count: [1, 5, 20],
	component: [0, 1]
};
/** What is told in one of several ways is told in one of them mostly: told in all it is refused, and nothing else is seen. */
const WAYS = [
	{
		of: 'makersAllowance',
		ways: [
			['rimDiameterMm', 'arborDiameterMm', 'widthMm'],
			['rimDiameterMm', 'profile'],
			['ratings'],
			['ratings', 'rimDiameterMm', 'widthMm'],
			['fill', 'rimDiameterMm', 'widthMm']
		],
		usual: 1,
		beside: ['frameDiameterMm'],
		besideUsually: []
	},
	{
		of: 'wraps',
		ways: [
			['diameterMm'],
			['material'],
			['lineClass'],
			['sections'],
			['wraps'],
			['weighed', 'densityGPerCm3'],
			['lineClass', 'massG']
		],
		usual: 3,
		beside: ['lengthM', 'layEfficiency', 'layShare'],
		besideUsually: ['lengthM', 'layEfficiency']
	}
] as const satisfies readonly {
	readonly of: string;
	readonly ways: readonly (readonly string[])[];
	/** How many of them are the usual ones. */
	readonly usual: number;
	readonly beside: readonly string[];
	readonly besideUsually: readonly string[];
}[];
/** Fields of these names stay small: how long an answer takes is another matter. */
const SMALL: Readonly<Record<string, number>> = { trials: 100 };
/** Entries of a list that are tried; how much there may be is another matter. */
const MOST_ENTRIES = 4;

const sideOf = (schema: Schema): readonly [number, number] => [
	schema.minimum ??
		(schema.exclusiveMinimum === undefined ? -1e9 : schema.exclusiveMinimum + Number.MIN_VALUE),
	schema.maximum ?? 1e9
];

/** The ends of what is allowed, and anything between, as likely small as large. */
function numbers(schema: Schema, name: string): fc.Arbitrary<number> {
	const [least, top] = sideOf(schema);
	const most = Math.min(top, SMALL[name] ?? Infinity);
	if (schema.type === 'integer') {
		const [from, to] = [Math.ceil(least), Math.max(Math.floor(most), Math.ceil(least))];
		return fc.oneof(fc.constantFrom(from, to), fc.integer({ min: from, max: to }));
	}
	const from = Math.max(least, 1e-300);
	return fc.oneof(
		fc.constantFrom(least, most),
		fc.double({ min: least, max: most, noNaN: true }),
		fc
			.double({ min: Math.log(from), max: Math.log(Math.max(most, from)), noNaN: true })
			.map((log) => Math.min(Math.max(Math.exp(log), least), most))
	);
}

/** Makes values of the shapes of a document. */
export function valuesOf(document: Document): (schema: Schema) => fc.Arbitrary<unknown> {
	const named = (document.components?.schemas ?? {}) as Readonly<Record<string, Schema>>;
	const resolved = (schema: Schema): Schema =>
		schema.$ref === undefined ? schema : resolved(named[schema.$ref.split('/').at(-1)!]!);

	/** @param like whether it is like a reel wherever that can be said */
	function arbitrary(of: Schema, name: string, like: boolean): fc.Arbitrary<unknown> {
		const schema = resolved(of);
		if (schema.const !== undefined) return fc.constant(schema.const);
		const any = anything(schema, name, like);
		const usual = (LIKE_A_REEL[name] ?? []).filter((value) => typeof value === typeOf(schema));
		if (usual.length === 0) return any;
		const ordinary = fc.constantFrom(...usual);
		return like ? ordinary : fc.oneof({ weight: 3, arbitrary: ordinary }, any);
	}
	const typeOf = ({ type }: Schema): string | undefined => (type === 'integer' ? 'number' : type);

	function anything(schema: Schema, name: string, like: boolean): fc.Arbitrary<unknown> {
		const choices = schema.anyOf ?? schema.oneOf;
		if (choices) return fc.oneof(...choices.map((one) => arbitrary(one, name, like)));
		if (schema.enum) return fc.constantFrom(...schema.enum);
		switch (schema.type) {
			case 'number':
			case 'integer':
				return numbers(schema, name);
			case 'boolean':
				return fc.boolean();
			case 'null':
				return fc.constant(null);
			case 'array':
				return list(schema, name, like);
			case 'object':
				return record(schema, like);
			case 'string':
				return schema.pattern === undefined
					? fc.string({ maxLength: Math.min(schema.maxLength ?? 40, 40) })
					: fc.stringMatching(new RegExp(schema.pattern));
			default:
				return fc.constant(undefined);
		}
	}
	function list(schema: Schema, name: string, like: boolean): fc.Arbitrary<unknown> {
		if (schema.prefixItems) return fc.tuple(...schema.prefixItems.map((item) => arbitrary(item, name, like)));
		const least = schema.minItems ?? 0;
		return fc.array(arbitrary(schema.items ?? {}, name, like), {
			minLength: least,
			maxLength: Math.max(least, Math.min(schema.maxItems ?? MOST_ENTRIES, MOST_ENTRIES))
		});
	}
	function record(schema: Schema, like: boolean): fc.Arbitrary<unknown> {
		const properties = schema.properties ?? {};
		/** Each of `always`, and what is required; of `perhaps` some. */
		const given = (always: readonly string[], perhaps: readonly string[]): fc.Arbitrary<unknown> =>
			fc.record(
				Object.fromEntries(
					Object.entries(properties).flatMap(([key, inner]) => {
						const value = arbitrary(inner, key, like);
						if (always.includes(key) || schema.required?.includes(key) || key in SMALL) return [[key, value]];
						return perhaps.includes(key) ? [[key, fc.option(value, { nil: undefined, freq: 2 })]] : [];
					})
				)
			);
		const all = given([], Object.keys(properties));
		const ways = WAYS.find(({ of }) => of in properties);
		if (!ways) return all;
		const told = ways.ways.map((way) => given(way, ways.beside));
		const usual = ways.ways.slice(0, ways.usual).map((way) => given(way, ways.besideUsually));
		return like ? fc.oneof(...usual) : fc.oneof(all, ...told);
	}
	return (schema) => fc.oneof(arbitrary(schema, '', true), arbitrary(schema, '', false));
}

/** The schema as one that stands alone, for a check. */
export const checkOf = (document: Document, schema: object): z.ZodType =>
	z.fromJSONSchema(
		JSON.parse(
			JSON.stringify({ ...schema, $defs: document.components?.schemas ?? {} }).replaceAll(
				'#/components/schemas/',
				'#/$defs/'
			)
		) as Parameters<typeof z.fromJSONSchema>[0]
	);
