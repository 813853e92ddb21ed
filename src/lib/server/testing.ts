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

/** The header of a JPEG of a size, without its picture: what says how large it is. */
export function jpegOf(width: number, height: number): Uint8Array {
	const two = (value: number): number[] => [value >> 8, value & 0xff];
	const jfif = [0xff, 0xe0, 0, 16, 0x4a, 0x46, 0x49, 0x46, 0, 1, 1, 0, 0, 1, 0, 1, 0, 0];
	const frame = [0xff, 0xc0, 0, 17, 8, ...two(height), ...two(width), 3, 1, 0x22, 0, 2, 0x11, 1, 3, 0x11, 1];
	return Uint8Array.of(0xff, 0xd8, ...jfif, ...frame, 0xff, 0xd9);
}
