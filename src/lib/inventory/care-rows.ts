import {
	dayNumber,
	type CareEvent,
	type CareKind,
	type CareState,
	type Due,
	type Strand,
	type StrandKind,
	type Turns
} from '$lib/core';
import type { StrandEntry } from './strands';

/** Which things are shown, as it stands in the address. */
export interface CareFilter {
	/** Part of a name or of a place. */
	readonly sought: string;
	readonly kind: StrandKind | 'all';
	readonly where: 'kept' | 'spool' | 'coil' | 'retired' | 'all';
	/** Only what something is due for. */
	readonly due: boolean;
	/** What is on one spool, or on several: their ids with commas between. */
	readonly spool: string | null;
	/** One thing. */
	readonly thing: string | null;
	readonly show: number;
}

const ROWS_AT_FIRST = 20;

/** Everything that is not retired. */
export const USUAL_FILTER: CareFilter = {
	sought: '',
	kind: 'all',
	where: 'kept',
	due: false,
	spool: null,
	thing: null,
	show: ROWS_AT_FIRST
};

/** Whether a thing is shown. */
export function isShown({ kept, where, spoolId, state, dues }: StrandEntry, filter: CareFilter): boolean {
	if (filter.thing !== null) return kept.id === filter.thing;
	if (filter.spool !== null) return spoolId !== null && filter.spool.split(',').includes(spoolId);
	const at = state.whereabouts?.on;
	if (filter.where === 'kept' ? at === 'retired' : filter.where !== 'all' && at !== filter.where)
		return false;
	if (filter.kind !== 'all' && kept.kind !== filter.kind) return false;
	if (filter.due && !dues.some(({ overdue }) => overdue)) return false;
	return `${kept.label} ${where}`.toLowerCase().includes(filter.sought.trim().toLowerCase());
}

/** What happened to a thing at one moment, as its time line draws it. */
export interface Moment {
	/** Days since 1970. */
	readonly day: number;
	readonly kind: CareKind;
	/** Turns a metre from then on, without their hand. */
	readonly twist: number;
	/** Days fished, and whether in salt water. */
	readonly days?: number;
	readonly salt?: boolean;
	/** Where it went: a spool, a coil, nowhere; and how that is called. */
	readonly on?: 'spool' | 'coil' | 'retired';
	readonly place?: string;
	readonly gapMm?: number;
}

/** A thing as its row on the care page needs it: its history written small. */
export interface CareRow {
	readonly kept: Strand;
	readonly where: string;
	readonly spoolId: string | null;
	readonly retired: boolean;
	readonly state: Pick<CareState, 'lengthMm' | 'daysOut' | 'saltDays' | 'tug' | 'gapMm'>;
	readonly perMetre: Turns;
	readonly dues: readonly Due[];
	/** {@link Moment}s as text: they are many. */
	readonly history: string;
}

const ON = ['spool', 'coil', 'retired'] as const;
type Written = [day: number, kind: CareKind, twist: number, ...(string | number)[]];

function write(event: CareEvent, twist: Turns, nameOf: (spoolId: string) => string): Written {
	const common: Written = [dayNumber(event.day), event.kind, Math.round(100 * Math.abs(twist.mean))];
	if (event.kind === 'fished') return [...common, event.days, event.water === 'salt' ? 1 : 0];
	if (event.kind !== 'moved') return common;
	const { to, gapMm } = event;
	const place = to.on === 'spool' ? nameOf(to.spoolId) : to.on === 'coil' ? to.label : '';
	return [...common, ON.indexOf(to.on), place, ...(gapMm === undefined ? [] : [gapMm])];
}

/** A row of an entry. */
export const careRow = (
	{ kept, where, spoolId, state, dues }: StrandEntry,
	nameOf: (spoolId: string) => string
): CareRow => ({
	kept,
	where,
	spoolId,
	retired: state.whereabouts?.on === 'retired',
	state: {
		lengthMm: state.lengthMm,
		daysOut: state.daysOut,
		saltDays: state.saltDays,
		tug: state.tug,
		gapMm: state.gapMm
	},
	perMetre: state.twist.perMetre,
	dues,
	history: JSON.stringify(state.events.map((event, i) => write(event, state.twistAfter[i]!, nameOf)))
});

/** The moments of a history, oldest first. */
export const momentsOf = (history: string): Moment[] =>
	(JSON.parse(history) as Written[]).map(([day, kind, twist, a, b, c]): Moment => {
		const common = { day, kind, twist: twist / 100 };
		if (kind === 'fished') return { ...common, days: Number(a), salt: b === 1 };
		if (kind !== 'moved') return common;
		return {
			...common,
			on: ON[Number(a)] ?? 'coil',
			place: String(b),
			...(typeof c === 'number' && { gapMm: c })
		};
	});

/** The care page. */
export interface CarePage {
	readonly filter: CareFilter;
	/** How many things there are in all, how many the filter lets through, how many of them are due. */
	readonly total: number;
	readonly matching: number;
	readonly overdue: number;
	readonly rows: readonly CareRow[];
	/** What goes out together: a spool and everything on it. */
	readonly spools: readonly {
		readonly id: string;
		readonly name: string;
		readonly things: readonly string[];
	}[];
}
