import { authority } from '$lib/server/access/authority';
import { described, fileOperation } from '$lib/server/api/operation';
import { notFound } from '$lib/server/http';

export const GET = described(
	fileOperation(
		"The authority that signs this Wendle's https, for a phone to trust",
		'application/x-x509-ca-cert'
	),
	() => {
		const file = authority();
		return file
			? new Response(file, {
					headers: {
						'content-type': 'application/x-x509-ca-cert',
						'content-disposition': 'attachment; filename="wendle.crt"',
						'cache-control': 'no-cache'
					}
				})
			: notFound('certificate');
	}
);
