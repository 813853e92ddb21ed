import { findKnot, jobSteps, KNOTS, type Day } from '$lib/core';
import { jobOf } from '$lib/bench/job';
import type { Practice } from '$lib/bench/practice';
import { DEFAULT_UNITS } from '$lib/wording/units';
import { workOut } from '$lib/setup/evaluate-form';
import type { Knex } from 'knex';
import { createEmptyCard, fsrs, Rating, type Grade } from 'ts-fsrs';
import { ROWS_HAVE_IDS, write, type WriteId } from '../db/write';
import { done, gone, type Outcome } from '../outcome';
import {
	countSessions,
	findCard,
	findSeason,
	insertSession,
	listCards,
	putCard,
	putSeason,
	type StoredCard
} from '../repositories/practice';
import { dayIn } from '../today';
import { rack } from './setups';

/**
 * When a knot is looked at again: the FSRS scheduler with its own default weights, in days from the first session on,
 * and without its random spread, so that the same answers give the same days.
 */
const scheduler = fsrs({ enable_fuzz: false, enable_short_term: false });

/** How many days before the spools are wound a knot has to be fresh again. */
export const READY_DAYS = 7;

const grade = (right: number, asked: number): Grade =>
	right === asked ? Rating.Good : right >= asked / 2 ? Rating.Hard : Rating.Again;

/** When it is due: as scheduled, but not after the day on which it has to be ready for the spools. */
export function dueInTime(due: Date, windsOn: Day | null, now: Date, zone = 'UTC'): Date {
	if (windsOn === null) return due;
	const ready = windsOn.add({ days: -READY_DAYS }).toDate(zone);
	const winds = windsOn.add({ days: 1 }).toDate(zone);
	// Practised within those days it is fresh; after them the next season has not been named yet.
	return now < ready && due > ready && now < winds ? ready : due;
}

/** The knots that are tied in what is planned or wound on the rack. */
async function knotsInUse(db: Knex): Promise<Set<string>> {
	const used = new Set<string>();
	for (const { planned, wound } of await rack(db))
		for (const form of [planned?.form, wound?.form]) {
			const worked = form && workOut(form, DEFAULT_UNITS);
			if (!worked?.ok) continue;
			for (const { knots = [] } of jobSteps(jobOf(form!, worked.value)))
				for (const { slug } of knots) used.add(slug);
		}
	return used;
}

/** Every knot that is drawn: how often it was practised, how well it sits, and when it is due. */
export async function practice(db: Knex, now = new Date(), zone?: string): Promise<Practice> {
	const [cards, sessions, windsOn, inUse] = await Promise.all([
		listCards(db),
		countSessions(db),
		findSeason(db),
		knotsInUse(db)
	]);
	return {
		windsOn: windsOn?.toString() ?? null,
		knots: KNOTS.map(({ slug }) => {
			const card = cards.get(slug);
			const due = card && dueInTime(card.due, windsOn, now, zone);
			return {
				slug,
				dueAt: due?.toISOString() ?? null,
				dueOn: due ? dayIn(zone, due).toString() : null,
				practisedAt: card?.last_review?.toISOString() ?? null,
				sessions: sessions.get(slug) ?? 0,
				remembered: card ? scheduler.get_retrievability(card, now, false) : 0,
				inUse: inUse.has(slug)
			};
		})
	};
}

/** Counts a session with a knot, once under its id, and schedules the next one. */
export const practised = (
	db: Knex,
	{ id, slug, right, asked }: { id: string; slug: string; right: number; asked: number },
	now = new Date()
): Promise<Outcome<null>> =>
	write(db, ROWS_HAVE_IDS, async (trx) => {
		if (!findKnot(slug)) return gone('knot');
		if (!(await insertSession(trx, { id, slug, at: now.toISOString(), right, asked }))) return done(null);
		const card: StoredCard = (await findCard(trx, slug)) ?? createEmptyCard(now);
		await putCard(trx, slug, scheduler.next(card, now, grade(right, asked)).card);
		return done(null);
	});

/** The day spools are next wound. */
export const season = findSeason;

export const setSeason = (db: Knex, asked: WriteId, windsOn: Day | null): Promise<Outcome<null>> =>
	write(db, asked, async (trx) => {
		await putSeason(trx, windsOn);
		return done(null);
	});
