import { encode } from 'uqr';

/** Words on a card: where their base line begins, and how high they are, mm. */
export interface CardText {
	readonly x: number;
	readonly y: number;
	readonly size: number;
	readonly bold: boolean;
	readonly text: string;
}

/** A code to scan: where it stands, the side of its squares, and those that are dark, mm. */
export interface CardCode {
	readonly x: number;
	readonly y: number;
	readonly side: number;
	readonly squares: readonly (readonly [number, number])[];
}

/** A piece of paper that is printed true to size: where everything stands on it, mm from its top left. */
export interface CardLayout {
	readonly widthMm: number;
	readonly heightMm: number;
	readonly texts: readonly CardText[];
	readonly qr: CardCode;
}

/** Squares of white that a reader needs around a code. The card's margin is part of it. */
const QUIET = 1;
/** Mean width of a letter, em, and the smallest that is still read: a long text is set smaller, down to that. */
const LETTER_EM = 0.52;
const LEAST_SIZE_MM = 1.6;

/** The code of an address, as a square of this width. */
export function codeAt(address: string, x: number, y: number, widthMm: number): CardCode {
	const code = encode(address, { ecc: 'M', border: QUIET });
	const side = widthMm / code.size;
	return {
		x,
		y,
		side,
		squares: code.data.flatMap((row, j) =>
			row.flatMap((dark, i) => (dark ? [[x + i * side, y + j * side] as const] : []))
		)
	};
}

/** The size at which words fit into a width, mm: as asked, or smaller. */
export const fittingSize = (words: string, size: number, widthMm: number): number =>
	Math.max(Math.min(size, widthMm / (LETTER_EM * Math.max(1, words.length))), LEAST_SIZE_MM);

/** Words in lines that fit into a width at a size, mm; a word that is longer than a line is cut. */
export function wrapped(words: string, size: number, widthMm: number): string[] {
	const most = Math.max(1, Math.floor(widthMm / (LETTER_EM * size)));
	const lines: string[] = [];
	for (const word of words.split(/\s+/).filter(Boolean))
		for (let rest = word; rest !== ''; rest = rest.slice(most)) {
			const piece = rest.slice(0, most);
			const last = lines.at(-1);
			if (last !== undefined && last.length + 1 + piece.length <= most)
				lines[lines.length - 1] = `${last} ${piece}`;
			else lines.push(piece);
		}
	return lines;
}
