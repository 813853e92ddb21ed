import { shortCode } from '$lib/inventory/short-code';
import { addressFor, windingById } from '$lib/server/services';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

/** More labels than this are several print jobs. */
const MOST_LABELS = 200;

/** The labels of several spools: `?of=` the windings that are on them, with commas between. */
export const load: PageServerLoad = async ({ url }) => {
	const ids = [...new Set((url.searchParams.get('of') ?? '').split(',').filter(Boolean))].slice(
		0,
		MOST_LABELS
	);
	const found = (await Promise.all(ids.map((id) => windingById(id)))).filter(
		(record) => record !== undefined
	);
	if (found.length === 0) error(404, 'Choose the spools on the rack first: there is no label to print here.');
	const { origin, loopback } = await addressFor(url);
	return {
		loopback,
		labels: found.map((record) => ({
			record,
			address: `${origin}/fit/${record.setupId}`,
			code: shortCode(record.setupId)
		}))
	};
};
