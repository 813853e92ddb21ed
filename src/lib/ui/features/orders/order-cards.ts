import type { Label } from '$lib/bench/label';
import type { BoardOrder } from '$lib/orders/board';
import { showDay, showWeekday } from '$lib/wording/dates';
import { codeAt, fittingSize, wrapped, type CardLayout, type CardText } from '../paper/card-layout';

/** A ticket is as large as a quarter of a sheet of A5, a slip as a quarter of A4, mm. */
const TICKET = { widthMm: 105, heightMm: 74 } as const;
const SLIP = { widthMm: 105, heightMm: 148 } as const;
const MARGIN = 5;
const CODE_MM = 27;
/** Base line to base line, as a share of the size. */
const LEADING = 1.35;

/** Words under one another down to the foot of a card. What does not fit is left to the code, and that is said. */
class Column {
	readonly texts: CardText[] = [];
	#y: number;
	#full = false;
	constructor(
		top: number,
		private readonly foot: number,
		/** How wide the words may be where their base line is, mm. */
		private readonly widthAt: (y: number) => number
	) {
		this.#y = top;
	}

	add(words: string, size: number, bold = false): this {
		for (let rest = words; rest !== '' && !this.#full;) {
			const y = this.#y + size * LEADING;
			const [line, ...more] = wrapped(rest, size, this.widthAt(y));
			// One line is always left to say that there is more.
			if (y + size * LEADING > this.foot) {
				this.#full = true;
				this.#put('and more: scan the code', size, false);
				return this;
			}
			this.#put(line ?? '', size, bold);
			rest = more.join(' ');
		}
		return this;
	}
	space(mm: number): this {
		this.#y += mm;
		return this;
	}
	#put(text: string, size: number, bold: boolean): void {
		this.#y += size * LEADING;
		this.texts.push({ x: MARGIN, y: this.#y, size, bold, text });
	}
}

/** Beside the code words are narrower than under it. */
const besideCode =
	(widthMm: number) =>
	(y: number): number =>
		widthMm - 2 * MARGIN - (y < MARGIN + CODE_MM + 4 ? CODE_MM + 3 : 0);

const headOf = (column: Column, { number, form }: BoardOrder, widthMm: number): Column => {
	const head = `Order ${number}`;
	column.add(head, fittingSize(head, 9, besideCode(widthMm)(0)), true);
	return form.who ? column.add(form.who, 5, true) : column;
};

/** The short code, under the one that is scanned. */
const codeText = (code: string, { widthMm }: { widthMm: number }): CardText => ({
	x: widthMm - MARGIN - CODE_MM + 2,
	y: MARGIN + CODE_MM + 3.2,
	size: 3.2,
	bold: true,
	text: code
});
const codeOf = (address: string, { widthMm }: { widthMm: number }): CardLayout['qr'] =>
	codeAt(address, widthMm - MARGIN - CODE_MM, MARGIN, CODE_MM);

/** The ticket that lies with the reels of an order until they are wound: whose, by when, what is wanted. */
export function ticketLayout(order: BoardOrder, address: string, code: string, locale: string): CardLayout {
	const column = new Column(MARGIN - 2, TICKET.heightMm - MARGIN, besideCode(TICKET.widthMm));
	headOf(column, order, TICKET.widthMm);
	const { due } = order;
	column.add(
		due ? `Due ${showWeekday(due, locale)}, ${showDay(due, locale)}` : 'No day was agreed',
		4.2,
		true
	);
	column.space(1.5);
	for (const { name, wish } of order.reels)
		column.add(wish.toLowerCase().includes(name.toLowerCase()) ? wish : `${name}: ${wish}`, 3.4);
	if (order.form.notes) column.space(1).add(order.form.notes, 3);
	return { ...TICKET, texts: [...column.texts, codeText(code, TICKET)], qr: codeOf(address, TICKET) };
}

/** A wound reel as its owner's slip tells it. */
export interface SlipReel {
	readonly label: Label;
	/** What is due next on it, in words; empty where nothing is known. */
	readonly care: readonly string[];
}

/** The slip that goes home with what was wound: what is on each reel, its gap, the day, and when to look after it. */
export function slipLayout(
	order: BoardOrder,
	reels: readonly SlipReel[],
	address: string,
	code: string
): CardLayout {
	const column = new Column(MARGIN - 2, SLIP.heightMm - MARGIN, besideCode(SLIP.widthMm));
	headOf(column, order, SLIP.widthMm);
	column.space(2);
	for (const { label, care } of reels) {
		column.space(2).add(label.name, 4.2, true);
		for (const line of label.lines) column.add(line, 3.4);
		column.add(label.foot, 3.4, true);
		for (const line of care) column.add(line, 3.2);
	}
	if (order.form.prices.length > 0) column.space(2);
	for (const { what, amount } of order.form.prices) column.add(`${what}: ${amount}`, 3.4);
	return { ...SLIP, texts: [...column.texts, codeText(code, SLIP)], qr: codeOf(address, SLIP) };
}
