import { ArchivePreview, BringIn, BroughtIn } from '$lib/inventory/archive';
import { described, readOperation } from '$lib/server/api/operation';
import { answered, writing } from '$lib/server/http';
import { bringInIncoming, previewIncoming } from '$lib/server/services';
import type { RequestEvent } from './$types';

export const GET = described(
	readOperation('What bringing in an archive would do that was sent in parts', { answer: ArchivePreview }),
	async ({ params }: RequestEvent) => answered(await previewIncoming(params.id), 200)
);

export const POST = writing(
	{ summary: 'Bring in an archive that was sent in parts', body: BringIn, answer: BroughtIn, status: 201 },
	(asked, { mode }, { params }: RequestEvent) => bringInIncoming(asked, params.id, mode)
);
