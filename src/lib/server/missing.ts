import { error, redirect } from '@sveltejs/kit';
import { unreadableBehind } from './services';

/** A page of a set-up that is not there: on to what can be done where it cannot be read, else it is gone. */
export async function missingSetup(id: string): Promise<never> {
	const behind = await unreadableBehind(id);
	if (behind) redirect(303, `/unreadable/${behind.table}/${encodeURIComponent(behind.id)}`);
	error(404, "This set-up doesn't exist, or it was removed. Go back to the rack.");
}
