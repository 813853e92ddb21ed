import { twistQuestion } from '$lib/ui/state/twist-question';
import type { PageLoad } from './$types';

/** The question of the address, read in the browser as well: no server is asked when it changes. */
export const load: PageLoad = ({ url, data }) => ({
	...data,
	question: twistQuestion(url.searchParams, data.line?.lengthMm)
});
