import { reading } from '$lib/server/http';
import { archiveSchema } from '$lib/server/services';

export const GET = reading(
	'The JSON Schema of an archive: of its manifest, and of a line of each file',
	{},
	() => archiveSchema()
);
