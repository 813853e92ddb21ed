import { isLoopback, readOrigin, type Address } from '$lib/inventory/address';
import type { Knex } from 'knex';
import { hostname } from 'node:os';
import { write, type WriteId } from '../db/write';
import { done, type Outcome } from '../outcome';
import { originOf } from '../origin';
import { findAddress, putAddress } from '../repositories/address';

/**
 * Where labels and tickets lead: the address that somebody gave, or else the one that the page was asked for at.
 *
 * @param url of the page that is asked for
 */
export async function addressFor(db: Knex, url: URL): Promise<Address> {
	const chosen = await findAddress(db);
	const origin = chosen ?? originOf(url);
	const { hostname: host, port, protocol } = new URL(origin);
	return {
		origin,
		chosen: chosen ?? null,
		loopback: isLoopback(host),
		guess: `${protocol}//${hostname().toLowerCase()}${port ? `:${port}` : ''}`
	};
}

/** Keeps the address that people use; an empty one is forgotten. */
export const setAddress = (db: Knex, asked: WriteId, address: string): Promise<Outcome<null>> =>
	write(db, asked, async (trx) => {
		await putAddress(trx, readOrigin(address));
		return done(null);
	});
