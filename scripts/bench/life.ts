import { dayOf, type CareEvent } from '../../src/lib/core';
import { DEFAULT_UNITS } from '../../src/lib/wording/units';
import { newSetup } from '../../src/lib/setup/presets';
import { openDatabase } from '../../src/lib/server/db/open';
import { strandsNow } from '../../src/lib/server/services/inventory';
import { recordWinding } from '../../src/lib/server/services/windings';
import { asked, create } from '../../src/lib/server/testing';

const YEARS = 10;
type Part<E> = E extends CareEvent ? Omit<E, 'id' | 'at' | 'day'> : never;

/** What happens to a line in a year: so many times out, now and then cleaned, tested, walked. */
const YEAR: readonly (readonly [dayOfYear: number, what: Part<CareEvent>])[] = [
	...Array.from(
		{ length: 14 },
		(_, i) => [80 + 14 * i, { kind: 'fished', days: 1 + (i % 3), water: 'fresh' }] as const
	),
	...Array.from({ length: 6 }, (_, i) => [85 + 30 * i, { kind: 'cleaned' }] as const),
	[150, { kind: 'loop-test', bightMm: 2000, spins: 1 }],
	[270, { kind: 'loop-test', bightMm: 2000, spins: 2 }],
	[280, { kind: 'let-out', share: 0.9, shareSd: 0.08 }],
	[281, { kind: 'dressed' }],
	[282, { kind: 'respooled', turns: { mean: 0, sd: 0 } }]
];

/** So many lines, each over backing on a spool of its own, with ten years of events. How many events that is. */
export async function fillLife(directory: string, lines: number, todayText: string): Promise<number> {
	const db = await openDatabase(directory);
	const began = dayOf(todayText).add({ days: -365 * YEARS });
	try {
		for (let i = 0; i < lines; i++) {
			const form = newSetup();
			Object.assign(form.spool, {
				name: `Spool ${i}`,
				way: 'measured',
				rim: '84 mm',
				arbor: '38 mm',
				width: '21 mm'
			});
			const { id } = await create(db, form, DEFAULT_UNITS);
			const typed = { woundOn: began.toString(), turns: '', depth: '', gap: '', note: '', who: '' };
			await recordWinding(db, asked(), id, typed, DEFAULT_UNITS);
		}
		const { kept } = await strandsNow(db);
		let count = 0;
		for (const { id, kind } of kept) {
			if (kind === 'backing') continue;
			const rows = Array.from({ length: YEARS }, (_, year) =>
				YEAR.map(([dayOfYear, what]) => {
					const day = began.add({ days: 365 * year + dayOfYear });
					const event = { id: `event-${(count += 1)}`, day: day.toString(), at: count, ...what };
					return { id: event.id, kept_id: id, event: JSON.stringify(event) };
				})
			).flat();
			await db.batchInsert('care_events', rows, 200);
		}
		return count;
	} finally {
		await db.destroy();
	}
}

/** What a shop is made of, and how each of its columns reads in a copy of it: `?` is what the copy's ids end with. */
const COPIED: Readonly<Record<string, Readonly<Record<string, string>>>> = {
	spools: { id: 'id || ?' },
	setups: { id: 'id || ?', spool_id: 'spool_id || ?' },
	records: { id: 'id || ?', setup_id: 'setup_id || ?', spool_id: 'spool_id || ?' },
	care_events: {
		id: 'id || ?',
		kept_id: "replace(kept_id, ':', ? || ':')",
		event: "json_set(event, '$.id', id || ?)"
	}
};

/** A chain of shops that keep everything in one place: one that came about as shops do, and copies of it. Entries in Care in all. */
export async function fillChain(
	directory: string,
	shops: number,
	lines: number,
	todayText: string
): Promise<number> {
	const events = await fillLife(directory, lines, todayText);
	const db = await openDatabase(directory);
	try {
		for (let shop = 1; shop < shops; shop++)
			for (const [table, changed] of Object.entries(COPIED)) {
				const columns = ((await db.raw(`pragma table_info(${table})`)) as { name: string }[])
					.map(({ name }) => name)
					.filter((name) => name !== 'arrival');
				const values = columns.map((name) => changed[name] ?? name);
				await db.raw(
					`insert into ${table} (${columns.join()}) select ${values.join()} from ${table} where id not like '%+%'`,
					Array<string>(Object.keys(changed).length).fill(`+${shop}`)
				);
			}
		return events * shops;
	} finally {
		await db.destroy();
	}
}
