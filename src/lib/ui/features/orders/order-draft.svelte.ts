import type { BoardOrder } from '$lib/orders/board';
import type { CreateOrder, SaveOrder } from '$lib/orders/order';
import type { Wish } from '$lib/orders/wish';
import { v4 as uuid } from 'uuid';

/** A reel that is being taken in. */
interface DraftReel {
	readonly key: string;
	wish: string;
	/** Undefined: the reel that the wish names; null: a reel that is new to Wendle. */
	spoolId: string | null | undefined;
	read: Wish | undefined;
}

const emptyReel = (): DraftReel => ({ key: uuid(), wish: '', spoolId: undefined, read: undefined });

/** An order as it is being written down, or changed. */
export class OrderDraft {
	who = $state('');
	/** Undefined: the day that a wish says. */
	#due = $state<string>();
	notes = $state('');
	prices = $state<{ what: string; amount: string }[]>([]);
	/** Reels that are in the order already, and stay. */
	staying = $state<{ id: string; wish: string; name: string }[]>([]);
	reels = $state<DraftReel[]>([]);

	constructor(order?: BoardOrder) {
		if (!order) {
			this.reels = [emptyReel()];
			return;
		}
		const { who, due, notes, prices } = order.form;
		[this.who, this.#due, this.notes] = [who, due, notes];
		this.prices = prices.map((price) => ({ ...price }));
		this.staying = order.reels.map(({ id, wish, name }) => ({ id, wish, name }));
	}

	/** The day it is due: as it was typed, or else the earliest that a wish says. */
	get due(): string {
		const said = this.reels.flatMap(({ read }) => read?.said.due?.day.toString() ?? []);
		return this.#due ?? said.toSorted()[0] ?? '';
	}
	set due(day: string) {
		this.#due = day;
	}

	addReel(): void {
		this.reels.push(emptyReel());
	}
	addPrice(): void {
		this.prices.push({ what: '', amount: '' });
	}

	get #said() {
		return {
			who: this.who.trim(),
			due: this.due,
			notes: this.notes,
			prices: $state.snapshot(this.prices).filter(({ what, amount }) => (what + amount).trim() !== '')
		};
	}
	get #added(): CreateOrder['reels'] {
		return this.reels.map(({ wish, spoolId }) => ({
			wish: wish.trim(),
			...(spoolId !== undefined && { spoolId })
		}));
	}
	created = (): CreateOrder => ({ ...this.#said, reels: this.#added });
	saved = (version: number): SaveOrder => ({
		...this.#said,
		version,
		reels: [...this.staying.map(({ id, wish }) => ({ id, wish })), ...this.#added]
	});
}
