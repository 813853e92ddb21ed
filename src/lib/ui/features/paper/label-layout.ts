import type { Label, LabelSize } from '$lib/bench/label';
import { encode } from 'uqr';

/** Where everything stands on a label, mm from its top left. */
export interface LabelLayout {
	readonly widthMm: number;
	readonly heightMm: number;
	readonly texts: readonly {
		x: number;
		y: number;
		size: number;
		bold: boolean;
		text: string;
	}[];
	readonly qr: {
		readonly x: number;
		readonly y: number;
		readonly side: number;
		readonly squares: readonly (readonly [number, number])[];
	};
	readonly thread: {
		readonly x: number;
		readonly y: number;
		readonly width: number;
		readonly height: number;
	};
}

const MARGIN = 2;
/** Squares of white that a reader needs around a code. The label's margin is part of it. */
const QUIET = 1;
/** Mean width of a letter, em, and the smallest that is still read: a long text is set smaller, down to that. */
const LETTER_EM = 0.52;
const LEAST_SIZE_MM = 1.6;
/** Most lines that still fit under the name, by the room there is. */
const LINE_SHARE = 0.105;

export function labelLayout(label: Label, { widthMm, heightMm }: LabelSize, address: string): LabelLayout {
	const code = encode(address, { ecc: 'M', border: QUIET });
	const qrSide = Math.min(heightMm - 2 * MARGIN, 0.36 * widthMm);
	const side = qrSide / code.size;
	const [qrX, qrY] = [widthMm - MARGIN - qrSide, (heightMm - qrSide) / 2];
	const squares = code.data.flatMap((row, j) =>
		row.flatMap((dark, i) => (dark ? [[qrX + i * side, qrY + j * side] as const] : []))
	);
	const width = qrX - 2 * MARGIN;
	const [nameSize, lineSize] = [0.155 * heightMm, LINE_SHARE * heightMm];
	const top = MARGIN + nameSize;
	const threadY = top + 0.05 * heightMm;
	const threadHeight = 0.12 * heightMm;
	const first = threadY + threadHeight + 1.15 * lineSize;
	const foot = heightMm - MARGIN;
	const room = Math.max(1, Math.floor((foot - lineSize * 1.2 - first) / (lineSize * 1.15)) + 1);
	// The outermost is what one looks for: what does not fit is left to the code.
	const lines = label.lines.slice(0, room);
	const text = (words: string, y: number, size: number, bold = false) => ({
		x: MARGIN,
		y,
		size: Math.max(Math.min(size, width / (LETTER_EM * words.length)), LEAST_SIZE_MM),
		bold,
		text: words
	});
	return {
		widthMm,
		heightMm,
		texts: [
			text(label.name, top, nameSize, true),
			...lines.map((line, i) => text(line, first + i * 1.15 * lineSize, lineSize)),
			text(label.foot, foot, lineSize, true)
		],
		qr: { x: qrX, y: qrY, side, squares },
		thread: { x: MARGIN, y: threadY, width, height: threadHeight }
	};
}
