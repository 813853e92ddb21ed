import { Paper } from '../../charts/pdf';
import type { CardLayout } from './card-layout';

/** A page of a PDF, and the cards that stand on it, mm from its top left. */
export interface CardsPage {
	readonly widthMm: number;
	readonly heightMm: number;
	readonly cards: readonly { readonly layout: CardLayout; readonly xMm: number; readonly yMm: number }[];
}

/** Each card on a page of its own. */
export const pageEach = (layouts: readonly CardLayout[]): CardsPage[] =>
	layouts.map((layout) => ({
		widthMm: layout.widthMm,
		heightMm: layout.heightMm,
		cards: [{ layout, xMm: 0, yMm: 0 }]
	}));

/** Cards as a PDF, true to size, in the shipped font. */
export async function cardsPdf(title: string, pages: readonly CardsPage[]): Promise<Blob> {
	const paper = await Paper.open(title);
	for (const { widthMm, heightMm, cards } of pages) {
		paper.page(widthMm, heightMm);
		for (const { layout, xMm, yMm } of cards) {
			for (const { x, y, size, bold, text } of layout.texts)
				paper.text(text, xMm + x, yMm + y, size, bold ? 'bold' : 'plain');
			const { side, squares } = layout.qr;
			for (const [x, y] of squares) paper.fill(xMm + x, yMm + y, side, side);
		}
	}
	return paper.blob();
}
