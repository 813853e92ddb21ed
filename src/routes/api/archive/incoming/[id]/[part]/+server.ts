import { described, keepOperation } from '$lib/server/api/operation';
import { answered, readBytes, refuse } from '$lib/server/http';
import { isArchiveId, keepIncoming, MOST_PARTS } from '$lib/server/services';
import type { RequestEvent } from './$types';

const TYPE = 'application/octet-stream';

export const PUT = described(
	keepOperation('Send a part of an archive, numbered from 0, under an id of your own', TYPE),
	async ({ params: { id, part }, request }: RequestEvent) => {
		if (!isArchiveId(id))
			return refuse(400, 'bad_id', 'Give the archive an id of at least 8 letters, digits and dashes.');
		if (!/^\d{1,4}$/.test(part) || Number(part) >= MOST_PARTS)
			return refuse(400, 'bad_part', `Number the parts from 0 to ${MOST_PARTS - 1}.`);
		if (request.headers.get('content-type') !== TYPE)
			return refuse(400, 'not_bytes', `Send the part with Content-Type: ${TYPE}.`);
		const bytes = await readBytes(request);
		if (!bytes) return refuse(413, 'too_large', 'Send at most 400 kB in one part.');
		return answered(await keepIncoming(id, Number(part), bytes), 204);
	}
);
