import type { Range } from '$lib/core';
import { z } from 'zod';

/**
 * The edge of the API: metres outside, millimetres inside, converted here and nowhere else. A key of a shape that ends in
 * `M` is a length in metres over the wire (`lengthM`) and one in millimetres inside (`lengthMm`).
 */
type KeyInMm<K> = K extends `${infer Name}M` ? `${Name}Mm` : K;

/** What a body of a shape reads as. */
export type InMm<T> = T extends readonly unknown[]
	? { [K in keyof T]: InMm<T[K]> }
	: T extends object
		? { [K in keyof T as KeyInMm<K>]: InMm<T[K]> }
		: T;

/** What an answer of a shape is made from: a range may be as the core has it, and more may be there than is answered. */
export type FromMm<T> = T extends [number, number]
	? Range | readonly [number, number]
	: T extends readonly (infer E)[]
		? readonly FromMm<E>[]
		: T extends object
			? { readonly [K in keyof T as KeyInMm<K>]: FromMm<T[K]> }
			: T;

const MM_IN_M = 1000;
const isMetres = (key: string): boolean => /[a-z\d]M$/.test(key);

function decode(value: unknown, scale = 1): unknown {
	if (typeof value === 'number') return value * scale;
	if (Array.isArray(value)) return value.map((entry) => decode(entry, scale));
	if (typeof value !== 'object' || value === null) return value;
	return Object.fromEntries(
		Object.entries(value).flatMap(([key, held]) => {
			if (held === undefined) return [];
			return [isMetres(key) ? [`${key}m`, decode(held, scale * MM_IN_M)] : [key, decode(held, scale)]];
		})
	);
}

/** Digits kept in an answer: more than any measure has, fewer than floating-point noise shows. */
const SIGNIFICANT = 8;
const rounded = (value: number): number => Number(value.toPrecision(SIGNIFICANT));

const isRange = (value: unknown): value is Range =>
	typeof value === 'object' && value !== null && 'low' in value && 'high' in value;

/** What an answer's shape takes of a value, rounded, in the units of the wire. */
function encode(shape: z.core.$ZodType, value: unknown, scale = 1): unknown {
	if (shape instanceof z.ZodOptional || shape instanceof z.ZodNullable)
		return value === null ? null : encode(shape.unwrap(), value, scale);
	if (typeof value === 'number') return rounded(value * scale);
	if (shape instanceof z.ZodTuple) {
		const entries = isRange(value) ? [value.low, value.high] : (value as unknown[]);
		return entries.map((entry, i) => encode(shape.def.items[i]!, entry, scale));
	}
	if (shape instanceof z.ZodArray)
		return (value as unknown[]).map((entry) => encode(shape.element, entry, scale));
	if (!(shape instanceof z.ZodObject)) return value;
	const held = value as Record<string, unknown>;
	return Object.fromEntries(
		Object.entries(shape.shape).flatMap(([key, inner]) => {
			const [from, factor] = isMetres(key) ? [`${key}m`, scale / MM_IN_M] : [key, scale];
			return held[from] === undefined ? [] : [[key, encode(inner, held[from], factor)]];
		})
	);
}

/** JSON in metres on one side, a value in millimetres on the other. */
const codec = <S extends z.ZodType, Inside>(shape: S) =>
	z.codec(shape, z.custom<Inside>(), {
		decode: (sent) => decode(sent) as Inside,
		encode: (inside) => encode(shape, inside) as z.output<S>
	});

/** A body of the API, as it is sent and as it is read. */
export const body = <S extends z.ZodType>(shape: S) => codec<S, InMm<z.output<S>>>(shape);
/** An answer of the API, as it is worked out and as it is sent: rounded, and checked as it leaves. */
export const answer = <S extends z.ZodType>(shape: S) => codec<S, FromMm<z.output<S>>>(shape);
