import type { Day } from '$lib/core';
import { Day as DayText } from '$lib/inventory/day';
import type { Knex } from 'knex';
import { z } from 'zod';
import type { Writing } from '../db/write';
import { json, jsonText, readRow, readRows } from './columns';

const instant = z.coerce.date();
/** What the scheduler keeps of a knot. */
export const Card = z
	.object({
		due: instant,
		stability: z.number(),
		difficulty: z.number(),
		elapsed_days: z.number(),
		scheduled_days: z.number(),
		learning_steps: z.number(),
		reps: z.number(),
		lapses: z.number(),
		state: z.number().int().min(0).max(3),
		last_review: instant.optional()
	})
	.transform(({ last_review, ...card }) => ({ ...card, ...(last_review && { last_review }) }));
export type StoredCard = z.output<typeof Card>;

const Row = z.object({ slug: z.string(), card: json(Card) });

export async function listCards(db: Knex): Promise<Map<string, StoredCard>> {
	const rows = readRows(db, 'knot_cards', Row, await db('knot_cards').select('slug', 'card'), 'slug');
	return new Map(rows.map(({ slug, card }) => [slug, card]));
}

export async function findCard(db: Knex, slug: string): Promise<StoredCard | undefined> {
	return readRow(db, 'knot_cards', Row, await db('knot_cards').where({ slug }).first('slug', 'card'), 'slug')
		?.card;
}

export async function putCard(trx: Writing, slug: string, card: StoredCard): Promise<void> {
	await trx('knot_cards')
		.insert({ slug, card: jsonText(Card, card) })
		.onConflict('slug')
		.merge();
}

export interface KnotSession {
	readonly id: string;
	readonly slug: string;
	readonly at: string;
	readonly right: number;
	readonly asked: number;
}

/** False when it was there already. */
export async function insertSession(trx: Writing, session: KnotSession): Promise<boolean> {
	const known: unknown = await trx('knot_sessions').where({ id: session.id }).first('id');
	if (known) return false;
	await trx('knot_sessions').insert(session);
	return true;
}

export async function countSessions(db: Knex): Promise<Map<string, number>> {
	const rows = z
		.array(z.object({ slug: z.string(), sessions: z.number() }))
		.parse(await db('knot_sessions').select('slug').count({ sessions: '*' }).groupBy('slug'));
	return new Map(rows.map(({ slug, sessions }) => [slug, sessions]));
}

export async function findSeason(db: Knex): Promise<Day | null> {
	const row = z
		.object({ windsOn: DayText })
		.optional()
		.parse(await db('season').where({ id: 1 }).first('windsOn'));
	return row?.windsOn ?? null;
}

export async function putSeason(trx: Writing, windsOn: Day | null): Promise<void> {
	if (windsOn === null) await trx('season').where({ id: 1 }).delete();
	else await trx('season').insert({ id: 1, windsOn: windsOn.toString() }).onConflict('id').merge();
}
