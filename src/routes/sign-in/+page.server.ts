import { redirect } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

/** An address within Wendle; anything else leads to the rack. */
const within = (to: string | null): string => (to && /^\/(?![/\\])/.test(to) ? to : '/');

export const load: PageServerLoad = ({ url, locals: { visitor } }) => {
	const to = within(url.searchParams.get('to'));
	// Whoever wants to come in as somebody else asks for this page without a place to go to.
	if (visitor.kind === 'open') redirect(303, to);
	return { to, needsOwner: url.searchParams.get('needs') === 'owner' };
};
