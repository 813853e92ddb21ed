import { asRules, CareRules, SaveRules } from '$lib/inventory/care';
import { writing, acting } from '$lib/server/http';
import { setCareRules } from '$lib/server/services';
import type { RequestEvent } from './$types';

/** Other rules of what falls due. */
export const PUT = writing(SaveRules, (asked, { version, ...rules }) =>
	setCareRules(asked, asRules(CareRules.parse(rules)), version)
);

/** The usual rules again; `?version=` the one that was seen. */
export const DELETE = acting((asked, { url }: RequestEvent) => {
	const version = url.searchParams.get('version');
	return setCareRules(asked, undefined, version === null ? undefined : Number(version));
});
