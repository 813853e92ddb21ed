import type { StockEntry } from '$lib/stock/stock';
import { stockName } from '$lib/stock/words';
import { whatName } from '$lib/stock/what';
import { codeAt, fittingSize, wrapped, type CardLayout } from '../paper/card-layout';

/** It goes on a flange or a box, mm. */
const SIZE = { widthMm: 70, heightMm: 37 } as const;
const MARGIN = 3;
const CODE_MM = 25;

/** The label of something in the stock: what it is, what came on it, and the code that opens it. Nothing that changes with a cut. */
export function stockCard(entry: StockEntry, address: string, code: string): CardLayout {
	const { form, what } = entry;
	const width = SIZE.widthMm - 3 * MARGIN - CODE_MM;
	const name = stockName(entry);
	const kind = whatName(what);
	const lines = [
		...(kind === name ? [] : [kind]),
		...(form.kind !== 'boxed' && form.length ? [`${form.length} when new`] : []),
		...wrapped(form.where, 3.2, width)
	].slice(0, 5);
	const size = fittingSize(name, 5, width);
	return {
		...SIZE,
		texts: [
			{ x: MARGIN, y: MARGIN + 5, size, bold: true, text: name },
			...lines.map((text, i) => ({
				x: MARGIN,
				y: MARGIN + 11 + 4.4 * i,
				size: fittingSize(text, 3.2, width),
				bold: false,
				text
			})),
			{ x: SIZE.widthMm - MARGIN - CODE_MM + 2, y: MARGIN + CODE_MM + 4, size: 3.2, bold: true, text: code }
		],
		qr: codeAt(address, SIZE.widthMm - MARGIN - CODE_MM, MARGIN, CODE_MM)
	};
}
