import { BroughtList } from '$lib/inventory/list/rows';
import { writing } from '$lib/server/http';
import { undoList } from '$lib/server/services';

export const POST = writing(
	{
		summary: 'Undo a list that was brought in; what was wound or used since stays',
		body: BroughtList,
		status: 204
	},
	(asked, brought) => undoList(asked, brought)
);
