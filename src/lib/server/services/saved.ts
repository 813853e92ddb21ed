import type { SetupForm } from '$lib/schema/setup';
import type { Knex } from 'knex';
import { findSetup } from '../repositories/setups';
import { findSpool } from '../repositories/spools';

export interface SavedSetup {
	readonly id: string;
	readonly spoolId: string;
	readonly version: number;
	readonly form: SetupForm;
}

/** A set-up with its spool, or undefined when there is none (any more). */
export async function loadSetup(db: Knex, id: string): Promise<SavedSetup | undefined> {
	const setup = await findSetup(db, id);
	const spool = setup && (await findSpool(db, setup.spoolId));
	if (!spool) return undefined;
	return { id, spoolId: spool.id, version: setup.version, form: { spool: spool.form, fill: setup.fill } };
}
