import type { Knex } from 'knex';
import { z } from 'zod';

const instant = z.coerce.date();
/** What the scheduler keeps of a knot. */
const Card = z
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

const parseCard = (text: string): StoredCard => Card.parse(JSON.parse(text));
const Row = z.object({ slug: z.string(), card: z.string() });

export async function listCards(db: Knex): Promise<Map<string, StoredCard>> {
	const rows = z.array(Row).parse(await db('knot_cards').select('slug', 'card'));
	return new Map(rows.map(({ slug, card }) => [slug, parseCard(card)]));
}

export async function findCard(db: Knex, slug: string): Promise<StoredCard | undefined> {
	const row = Row.optional().parse(await db('knot_cards').where({ slug }).first('slug', 'card'));
	return row && parseCard(row.card);
}

export async function putCard(db: Knex, slug: string, card: StoredCard): Promise<void> {
	await db('knot_cards')
		.insert({ slug, card: JSON.stringify(card) })
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
export async function insertSession(db: Knex, session: KnotSession): Promise<boolean> {
	const known: unknown = await db('knot_sessions').where({ id: session.id }).first('id');
	if (known) return false;
	await db('knot_sessions').insert(session);
	return true;
}

export async function countSessions(db: Knex): Promise<Map<string, number>> {
	const rows = z
		.array(z.object({ slug: z.string(), sessions: z.number() }))
		.parse(await db('knot_sessions').select('slug').count({ sessions: '*' }).groupBy('slug'));
	return new Map(rows.map(({ slug, sessions }) => [slug, sessions]));
}

export async function findSeason(db: Knex): Promise<string | null> {
	const row = z
		.object({ winds_on: z.string() })
		.optional()
		.parse(await db('season').where({ id: 1 }).first('winds_on'));
	return row?.winds_on ?? null;
}

export async function putSeason(db: Knex, windsOn: string | null): Promise<void> {
	if (windsOn === null) await db('season').where({ id: 1 }).delete();
	else await db('season').insert({ id: 1, winds_on: windsOn }).onConflict('id').merge();
}
