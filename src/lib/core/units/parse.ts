import { fail, ok, type Result } from '../issues';
import { toGrams, toMm, type Grams, type LengthUnit, type MassUnit, type Millimetres } from './units';

const LENGTH_WORDS: Record<string, LengthUnit> = {
	mm: 'mm', millimetre: 'mm', millimetres: 'mm', millimeter: 'mm', millimeters: 'mm',
	cm: 'cm', centimetre: 'cm', centimetres: 'cm', centimeter: 'cm', centimeters: 'cm',
	m: 'm', metre: 'm', metres: 'm', meter: 'm', meters: 'm',
	in: 'in', inch: 'in', inches: 'in', '"': 'in',
	ft: 'ft', foot: 'ft', feet: 'ft', "'": 'ft',
	yd: 'yd', yds: 'yd', yard: 'yd', yards: 'yd'
}; // prettier-ignore

const MASS_WORDS: Record<string, MassUnit> = {
	g: 'g', gram: 'g', grams: 'g', gramme: 'g', grammes: 'g',
	kg: 'kg', mg: 'mg',
	gr: 'gr', grain: 'gr', grains: 'gr'
}; // prettier-ignore

/** A whole number with a fraction, a fraction, or a decimal; then the unit's word or sign, if any. */
const TERM = /\s*(?:(?:(\d+)(?:\s+|-))?(\d+)\s*\/\s*(\d+)|(\d*[.,]?\d+|\d+[.,]))\s*([a-z]+|["'])?\.?\s*/iy;

interface Term {
	value: number;
	word: string | undefined;
}

/** Typographic forms to plain ones: "3⅜″" becomes "3 3/8\"". */
function plain(typed: string): string {
	return typed
		.replace(/[¼-¾⅐-⅞]/g, (sign) => ' ' + sign.normalize('NFKD'))
		.replace(/⁄/g, '/')
		.replace(/[″”]|''/g, '"')
		.replace(/[′’]/g, "'")
		.trim();
}

/** The terms a text is made of, or undefined when any part of it is not one. */
function readTerms(text: string): Term[] | undefined {
	const terms: Term[] = [];
	TERM.lastIndex = 0;
	while (TERM.lastIndex < text.length) {
		const match = TERM.exec(text);
		if (!match) return undefined;
		const [, whole = '0', above, below, decimal, word] = match;
		const value = decimal ? Number(decimal.replace(',', '.')) : Number(whole) + Number(above) / Number(below);
		if (!Number.isFinite(value)) return undefined;
		terms.push({ value, word: word?.toLowerCase() });
	}
	return terms.length > 0 ? terms : undefined;
}

/**
 * Reads a typed quantity: "3 3/8 in", "85mm", "100 yd", "5 ft 6 in", "3⅜″", "2,5 cm", "7 grains".
 * A bare number takes `defaultUnit`. A comma is a decimal comma, except before exactly three digits,
 * where it could as well mean thousands: that is refused rather than guessed.
 *
 * @returns the value in the canonical unit of `factors`; issues `missing_value`,
 * `unreadable_quantity`, `ambiguous_comma` or `unknown_unit`
 */
function parseQuantity<U extends string>(
	typed: string,
	defaultUnit: U,
	words: Record<string, U>,
	toCanonical: (value: number, unit: U) => number
): Result<number> {
	const text = plain(typed);
	if (text === '') return fail({ code: 'missing_value' });
	const negative = /^[-−]/.test(text);
	const body = negative ? text.slice(1).trim() : text;
	if (/(^|\D)[1-9]\d{0,2},\d{3}(?!\d)/.test(body)) return fail({ code: 'ambiguous_comma', text: typed });
	const terms = readTerms(body);
	if (!terms) return fail({ code: 'unreadable_quantity', text: typed });

	let sum = 0;
	let previousSize = Infinity;
	for (const { value, word } of terms) {
		// "5 ft 6" leaves the 6 without a unit: only a lone number may take the default.
		if (word === undefined && terms.length > 1) return fail({ code: 'unreadable_quantity', text: typed });
		const unit = word === undefined ? defaultUnit : Object.hasOwn(words, word) ? words[word] : undefined;
		if (unit === undefined) return fail({ code: 'unknown_unit', unit: word!, known: unitsOf(words) });
		const size = toCanonical(1, unit);
		if (size >= previousSize) return fail({ code: 'unreadable_quantity', text: typed });
		previousSize = size;
		sum += toCanonical(value, unit);
	}
	return ok(negative ? -sum : sum);
}

const unitsOf = (words: Record<string, string>): string[] => [...new Set(Object.values(words))];

/** A typed length in millimetres. See {@link parseQuantity} for what is understood. */
export function parseLength(typed: string, defaultUnit: LengthUnit): Result<Millimetres> {
	return parseQuantity(typed, defaultUnit, LENGTH_WORDS, toMm) as Result<Millimetres>;
}

/** A typed mass in grams. See {@link parseQuantity} for what is understood. */
export function parseMass(typed: string, defaultUnit: MassUnit): Result<Grams> {
	return parseQuantity(typed, defaultUnit, MASS_WORDS, toGrams) as Result<Grams>;
}

/**
 * What was typed, with its unit made explicit: "84" in a millimetre field becomes "84 mm", so that
 * it still means the same after the shown units are switched. Anything else comes back untouched.
 */
export function withUnit(typed: string, defaultUnit: LengthUnit | MassUnit): string {
	const terms = readTerms(plain(typed));
	return terms?.length === 1 && terms[0]!.word === undefined ? `${typed.trim()} ${defaultUnit}` : typed;
}
