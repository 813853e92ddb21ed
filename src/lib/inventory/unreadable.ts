import type { WordedIssue } from '$lib/wording/issues';

/** Where something is kept, by what it is. */
export const UNREADABLE_NAMES = {
	spools: 'A spool',
	setups: 'A set-up',
	records: 'A winding',
	brought: 'A line that you brought in on a coil',
	care_rules: 'The rules of what falls due',
	care_events: 'An entry in Care',
	run_events: 'An entry of a job at the bench',
	knot_cards: 'How well you know a knot',
	orders: 'An order',
	stock: 'Something in the stock',
	stock_events: 'An entry about the stock'
} as const;
export type UnreadableTable = keyof typeof UNREADABLE_NAMES;

export const isUnreadableTable = (table: string): table is UnreadableTable =>
	Object.hasOwn(UNREADABLE_NAMES, table);

/** Something that is kept and does not read: what it is, what it is called where that can be told, and what is wrong. */
export interface Unreadable {
	readonly table: UnreadableTable;
	readonly id: string;
	readonly name: string;
	readonly issues: readonly WordedIssue[];
	/** The set-up or the spool with a former version that reads. */
	readonly restorable: boolean;
}
