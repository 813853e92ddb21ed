import { AboutPerson, NamedPerson } from '$lib/inventory/people';
import { gone, done } from '$lib/server/outcome';
import { writing } from '$lib/server/http';
import { aboutPerson } from '$lib/server/services';

export const POST = writing(
	{
		summary:
			'Everything with somebody’s name on it, for them to take along; the name is in the body, not in the address',
		body: NamedPerson,
		answer: AboutPerson
	},
	async (_asked, { name }) => {
		const about = await aboutPerson(name);
		return about ? done(about) : gone('person');
	}
);
