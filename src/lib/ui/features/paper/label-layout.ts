import type { Label, LabelSize } from '$lib/bench/label';
import { codeAt, fittingSize, type CardLayout } from './card-layout';

/** Where everything stands on a label, mm from its top left. */
export interface LabelLayout extends CardLayout {
	readonly thread: {
		readonly x: number;
		readonly y: number;
		readonly width: number;
		readonly height: number;
	};
}

const MARGIN = 2;
/** How high the short code is, mm. */
const CODE_MM = 2.4;
/** Most lines that still fit under the name, by the room there is. */
const LINE_SHARE = 0.105;

/** @param code the short code, under the one that is scanned */
export function labelLayout(
	label: Label,
	{ widthMm, heightMm }: LabelSize,
	address: string,
	code: string
): LabelLayout {
	const qrSide = Math.min(heightMm - 2 * MARGIN - CODE_MM, 0.36 * widthMm);
	const [qrX, qrY] = [widthMm - MARGIN - qrSide, (heightMm - qrSide - CODE_MM) / 2];
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
		size: fittingSize(words, size, width),
		bold,
		text: words
	});
	return {
		widthMm,
		heightMm,
		texts: [
			text(label.name, top, nameSize, true),
			...lines.map((line, i) => text(line, first + i * 1.15 * lineSize, lineSize)),
			text(label.foot, foot, lineSize, true),
			{ ...text(code, qrY + qrSide + CODE_MM, CODE_MM, true), x: qrX + qrSide / 4, size: CODE_MM }
		],
		qr: codeAt(address, qrX, qrY, qrSide),
		thread: { x: MARGIN, y: threadY, width, height: threadHeight }
	};
}
