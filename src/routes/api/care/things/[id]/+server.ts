import { DescribeThing } from '$lib/inventory/care';
import { Version } from '$lib/setup/answers';
import { reading, writing } from '$lib/server/http';
import { brought, describeBrought } from '$lib/server/services';
import { ComponentForm } from '$lib/setup/form';
import type { RequestEvent } from './$types';

export const GET = reading(
	'How a line that was brought in is described, with its version',
	{ answer: Version.extend({ component: ComponentForm }), what: 'line that you brought' },
	({ params }: RequestEvent) => brought(params.id)
);

export const PUT = writing(
	{
		summary: 'Describe it differently, over the version last seen',
		body: DescribeThing,
		answer: Version
	},
	(asked, described, { params }: RequestEvent) => describeBrought(asked, params.id, described)
);
