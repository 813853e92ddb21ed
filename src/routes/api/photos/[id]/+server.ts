import { described, fileOperation, keepOperation } from '$lib/server/api/operation';
import { acting, answered, notFound, readBytes, refuse } from '$lib/server/http';
import { deletePhoto, keepPhoto, photo } from '$lib/server/services';
import type { RequestEvent } from './$types';

const ID = /^[\w-]{1,64}$/;

export const GET = described(fileOperation('A photo', 'image/jpeg'), async ({ params }: RequestEvent) => {
	const jpeg = await photo(params.id);
	return jpeg
		? new Response(jpeg, {
				headers: { 'content-type': 'image/jpeg', 'cache-control': 'private, max-age=3600' }
			})
		: notFound('photo');
});

export const PUT = described(
	keepOperation('Store a photo under an id of your own', 'image/jpeg'),
	async ({ params, request }: RequestEvent) => {
		if (!ID.test(params.id))
			return refuse(400, 'bad_id', 'Give the photo an id of letters, digits and dashes.');
		// A body without a type is not passed on.
		if (!request.headers.has('content-type'))
			return refuse(400, 'not_a_jpeg', 'Send the picture with Content-Type: image/jpeg.');
		const read = await readBytes(request);
		if (!read) return refuse(413, 'too_large', 'Send at most 400 kB: make the picture smaller first.');
		return answered(await keepPhoto(params.id, read), 204);
	}
);

export const DELETE = acting(
	'Delete a photo; it can be brought back for 30 days',
	(asked, { params }: RequestEvent) => deletePhoto(asked, params.id)
);
