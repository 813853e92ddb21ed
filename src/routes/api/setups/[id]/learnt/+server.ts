import { LearntOfSetup } from '$lib/setup/learnt-here';
import { reading } from '$lib/server/http';
import { learntHere, loadSetup } from '$lib/server/services';
import type { RequestEvent } from './$types';

export const GET = reading(
	'What the rack has learnt of the spool, strands and winder of a set-up',
	{ answer: LearntOfSetup, what: 'set-up' },
	async ({ params, locals }: RequestEvent) => {
		const setup = await loadSetup(params.id);
		if (!setup) return undefined;
		const { id, spoolId, form } = setup;
		const of = { setupId: id, spoolId, who: locals.winder, today: locals.today };
		return { learnt: (await learntHere(form, of)) ?? null };
	}
);
