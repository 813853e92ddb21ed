import { asRules, CareRules, SaveRules } from '$lib/inventory/care';
import { Version } from '$lib/setup/answers';
import { acting, writing } from '$lib/server/http';
import { setCareRules } from '$lib/server/services';
import { z } from 'zod';
import type { RequestEvent } from './$types';

export const PUT = writing(
	{ summary: 'Change the rules of what falls due', body: SaveRules, answer: Version },
	(asked, { version, ...rules }) => setCareRules(asked, asRules(CareRules.parse(rules)), version)
);

export const DELETE = acting(
	'Restore the default rules',
	(asked, { url }: RequestEvent) => {
		const version = url.searchParams.get('version');
		return setCareRules(asked, undefined, version === null ? undefined : Number(version));
	},
	z.object({ version: z.number().int().optional() })
);
