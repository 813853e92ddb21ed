import { byName } from '$lib/wording/by-name';
import type { AboutPerson, Person } from '$lib/inventory/people';
import { winderOf } from '$lib/inventory/winder';
import type { Knex } from 'knex';
import { write, type WriteId } from '../db/write';
import { done, gone, type Outcome } from '../outcome';
import {
	deleteOrder,
	forgetImportsWith,
	namedOrders,
	namedWindings,
	takeNameOff,
	type NamedOrder,
	type NamedWinding
} from '../repositories/people';
import { dropReels } from './orders';
import { tellingBoards } from './order-progress';

/** Everything with somebody's name on it. Names that differ in capitals or spaces only are one person's. */
interface Of {
	readonly windings: readonly NamedWinding[];
	readonly orders: readonly NamedOrder[];
}
async function named(db: Knex, name: string): Promise<Of> {
	const own = winderOf(name);
	return {
		windings: (await namedWindings(db)).filter(({ typed }) => winderOf(typed.who) === own),
		orders: (await namedOrders(db)).filter(({ form }) => winderOf(form.who) === own)
	};
}

const isOpenOrder = ({ state, deletedAt }: NamedOrder): boolean =>
	state !== 'handed-over' && deletedAt === null;

/** Everybody whose name stands somewhere, by name. */
export async function people(db: Knex): Promise<Person[]> {
	const [windings, orders] = [await namedWindings(db), await namedOrders(db)];
	const names = new Map<string, string>();
	for (const name of [...orders.map(({ form }) => form.who), ...windings.map(({ typed }) => typed.who)])
		names.set(winderOf(name), name.trim());
	return [...names]
		.map(([own, name]): Person => {
			const wound = windings.filter(({ typed }) => winderOf(typed.who) === own);
			const ordered = orders.filter(({ form }) => winderOf(form.who) === own);
			return {
				name,
				windings: wound.length,
				lastWoundOn: wound.at(-1)?.woundOn ?? null,
				orders: ordered.length,
				openOrders: ordered.filter(isOpenOrder).length
			};
		})
		.sort((a, b) => byName(a.name, b.name));
}

/** What Wendle has about somebody, for them to take along; undefined where it has nothing. */
export async function aboutPerson(db: Knex, name: string): Promise<AboutPerson | undefined> {
	const { windings, orders } = await named(db, name);
	if (windings.length + orders.length === 0) return undefined;
	return {
		name: name.trim(),
		windings: windings.map(({ id, woundOn, typed, form, turns, depthMm, gapMm, takenBackAt }) => ({
			id,
			woundOn: woundOn.toString(),
			spool: form.spool.name,
			turns,
			depthMm,
			gapMm,
			note: typed.note,
			undone: takenBackAt !== null
		})),
		orders: orders.map(({ number, state, takenIn, form }) => ({
			number,
			state,
			takenIn,
			due: form.due,
			wishes: form.reels.map(({ wish }) => wish),
			notes: form.notes,
			prices: form.prices
		}))
	};
}

/**
 * Deletes somebody for good: their windings stay, as somebody's; their orders go, with what came onto the rack with one and was not wound.
 * Nothing of it can be undone. Copies in backups stay until they are rotated out.
 */
export const forgetPerson = (db: Knex, asked: WriteId, name: string): Promise<Outcome<null>> =>
	tellingBoards(
		write(db, asked, async (trx, now) => {
			const { windings, orders } = await named(trx, name);
			if (windings.length + orders.length === 0) return gone('person');
			for (const winding of windings) await takeNameOff(trx, winding);
			for (const order of orders) {
				if (isOpenOrder(order)) await dropReels(trx, order.form, now);
				await deleteOrder(trx, order.id);
			}
			const spellings = [...windings.map(({ typed }) => typed.who), ...orders.map(({ form }) => form.who)];
			for (const spelling of new Set([name.trim(), ...spellings])) await forgetImportsWith(trx, spelling);
			return done(null);
		})
	);
