import type { SetupForm } from '$lib/setup/form';
import type { UnitSystem } from '$lib/wording/units';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import type { WriteId } from './db/write';
import { valueOf } from './outcome';
import { createSetup, type ForSpool, type Saved } from './services/setups';

/** The id of a write that nobody has asked before. */
export const asked = (): WriteId => ({ id: randomUUID() });

/** Saves a new set-up. */
export const create = async (db: Knex, form: SetupForm, units: UnitSystem, of?: ForSpool): Promise<Saved> =>
	valueOf(await createSetup(db, asked(), form, units, of));
