import type { SetupForm } from '$lib/setup/form';
import type { Knex } from 'knex';
import { findSetup, type SetupRow } from '../repositories/setups';
import { findSpool, type SpoolRow } from '../repositories/spools';

export interface SavedSetup {
	readonly id: string;
	readonly spoolId: string;
	/** Counts every change of the set-up and of its spool: as long as it is the same, nothing of either has changed. */
	readonly version: number;
	readonly form: SetupForm;
}

/** The two rows of a set-up. */
export interface SetupRows {
	readonly setup: SetupRow;
	readonly spool: SpoolRow;
}

export async function findRows(db: Knex, id: string): Promise<SetupRows | undefined> {
	const setup = await findSetup(db, id);
	const spool = setup && (await findSpool(db, setup.spoolId));
	return spool && { setup, spool };
}

export const savedOf = ({ setup, spool }: SetupRows): SavedSetup => ({
	id: setup.id,
	spoolId: spool.id,
	version: setup.version + spool.version,
	form: { spool: spool.form, fill: setup.fill }
});

/** A set-up with its spool, or undefined when there is none (any more). */
export async function loadSetup(db: Knex, id: string): Promise<SavedSetup | undefined> {
	const rows = await findRows(db, id);
	return rows && savedOf(rows);
}
