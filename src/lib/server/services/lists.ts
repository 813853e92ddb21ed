import { dayOf, formatLineClass, type Day } from '$lib/core';
import type { BringList, BroughtList, LineRow, ReelRow } from '$lib/inventory/list/rows';
import { componentOfRow, issuesOfRow, lineKey, spoolOfRow, type There } from '$lib/inventory/list/read-list';
import { newSetup } from '$lib/setup/presets';
import { settleSetup } from '$lib/setup/settle';
import type { UnitSystem } from '$lib/wording/units';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { write, type WriteId, type Writing } from '../db/write';
import { done, refused, type Outcome } from '../outcome';
import { deleteBrought, listBrought } from '../repositories/care';
import { insertSetup } from '../repositories/setups';
import { insertSpool, listSpools, markSpoolDeleted } from '../repositories/spools';
import { listWindings } from '../repositories/windings';
import { putOnCoil } from './care';

/** Lists of reels or lines that somebody kept elsewhere. */

/** What is here already, to tell what comes twice. */
export async function listedHere(db: Knex): Promise<There> {
	return {
		spools: (await listSpools(db)).map(({ form }) => form.name),
		lines: (await listBrought(db)).flatMap(({ component: { made, note } }) =>
			made.way === 'class' ? [lineKey(formatLineClass(made.class), note)] : []
		)
	};
}

async function bringReel(trx: Writing, row: ReelRow, units: UnitSystem, now: string): Promise<string> {
	const fresh = newSetup(undefined, units);
	const { spool, fill } = settleSetup({ ...fresh, spool: spoolOfRow(row) }, units);
	const id = randomUUID();
	await insertSpool(trx, id, spool, now);
	await insertSetup(trx, { id: randomUUID(), spoolId: id, fill }, now);
	return id;
}

async function bringLine(trx: Writing, row: LineRow, today: Day, at: number): Promise<string> {
	const id = randomUUID();
	const used = row.days ? { days: row.days, water: 'fresh' as const } : undefined;
	const told = { came: dayOf(row.came), label: row.coil, used, at };
	await putOnCoil(trx, { id, component: componentOfRow(row) }, told, today);
	return id;
}

/** Brings a whole list in, or nothing of it. */
export const bringList = (
	db: Knex,
	asked: WriteId,
	list: BringList,
	units: UnitSystem,
	today: Day
): Promise<Outcome<BroughtList>> =>
	write(db, asked, async (trx, now) => {
		const issues = list.rows.flatMap((row, i) =>
			issuesOfRow(list.kind, row, units).map(({ field, message }) => ({
				code: 'unreadable_cell',
				path: ['rows', i, field] as (string | number)[],
				message
			}))
		);
		if (issues.length > 0) return refused({ kind: 'bad', issues });
		const brought: { spools: string[]; lines: string[] } = { spools: [], lines: [] };
		if (list.kind === 'reels')
			// The rack shows what came first at first: they come one after another, as they stand in the list.
			for (const [i, row] of list.rows.entries())
				brought.spools.push(await bringReel(trx, row, units, new Date(Date.parse(now) + i).toISOString()));
		else
			for (const [i, row] of list.rows.entries())
				brought.lines.push(await bringLine(trx, row, today, Date.parse(now) + 3 * i));
		return done(brought);
	});

/** Undoes a list: its spools leave the rack unless they were wound, its lines go unless something happened to them since. */
export const undoList = (db: Knex, asked: WriteId, { spools, lines }: BroughtList): Promise<Outcome<null>> =>
	write(db, asked, async (trx, now) => {
		const wound = new Set((await listWindings(trx)).map(({ spoolId }) => spoolId));
		for (const id of spools) if (!wound.has(id)) await markSpoolDeleted(trx, id, now);
		for (const id of lines) await deleteBrought(trx, id);
		return done(null);
	});
