import { BringThing } from '$lib/inventory/care';
import { Made } from '$lib/setup/answers';
import { writing } from '$lib/server/http';
import { bring } from '$lib/server/services';

export const POST = writing(
	{
		summary: 'A line, head or tip that lies on a coil and was never wound here',
		body: BringThing,
		answer: Made,
		status: 201,
		hasOwnId: true
	},
	(_asked, thing, { locals }) => bring(thing, locals.today)
);
