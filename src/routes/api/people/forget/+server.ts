import { NamedPerson } from '$lib/inventory/people';
import { writing } from '$lib/server/http';
import { forgetPerson } from '$lib/server/services';

export const POST = writing(
	{
		summary: 'Delete somebody for good: their windings stay without the name, their orders go',
		body: NamedPerson,
		status: 204
	},
	(asked, { name }) => forgetPerson(asked, name)
);
