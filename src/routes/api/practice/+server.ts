import { Practised, Season } from '$lib/bench/practice';
import { writing } from '$lib/server/http';
import { done } from '$lib/server/outcome';
import { practice, practised, setSeason } from '$lib/server/services';
import { json, type RequestHandler } from '@sveltejs/kit';

export const GET: RequestHandler = async ({ locals }) => json(await practice(new Date(), locals.zone));

/** Counts a session, once under its own id. */
export const POST = writing(Practised, async (_asked, session, { locals }) => {
	const counted = await practised(session);
	return counted.ok ? done(await practice(new Date(), locals.zone)) : counted;
});

/** Says when spools are next wound. */
export const PUT = writing(Season, async (asked, { windsOn }, { locals }) => {
	const said = await setSeason(asked, windsOn);
	return said.ok ? done(await practice(new Date(), locals.zone)) : said;
});
