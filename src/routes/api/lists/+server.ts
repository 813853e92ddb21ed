import { BringList, BroughtList } from '$lib/inventory/list/rows';
import { writing } from '$lib/server/http';
import { bringList } from '$lib/server/services';

export const POST = writing(
	{
		summary: 'Bring in a list of reels, or of lines on coils: all of it or nothing',
		body: BringList,
		answer: BroughtList,
		status: 201
	},
	(asked, list, { locals }) => bringList(asked, list, locals.units, locals.today)
);
