import { Practice, Practised, Season } from '$lib/bench/practice';
import { reading, writing } from '$lib/server/http';
import { done } from '$lib/server/outcome';
import { practice, practised, setSeason } from '$lib/server/services';

export const GET = reading(
	'How well each knot is known, and when it is due',
	{ answer: Practice },
	({ locals }) => practice(new Date(), locals.zone)
);

export const POST = writing(
	{ summary: 'Save a practice session with a knot', body: Practised, answer: Practice, hasOwnId: true },
	async (_asked, session, { locals }) => {
		const counted = await practised(session);
		return counted.ok ? done(await practice(new Date(), locals.zone)) : counted;
	}
);

export const PUT = writing(
	{
		summary: 'Set the day when spools are next wound, so that knots are due in time for it',
		body: Season,
		answer: Practice
	},
	async (asked, { windsOn }, { locals }) => {
		const said = await setSeason(asked, windsOn);
		return said.ok ? done(await practice(new Date(), locals.zone)) : said;
	}
);
