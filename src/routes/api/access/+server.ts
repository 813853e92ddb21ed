import { access } from '$lib/server/access';
import { AccessTold } from '$lib/inventory/access';
import { reading } from '$lib/server/http';

export const GET = reading(
	'Which passcodes are set, who is signed in, which tokens there are, and who did what',
	{ answer: AccessTold },
	() => access()
);
