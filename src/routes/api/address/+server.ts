import { Address, SetAddress } from '$lib/inventory/address';
import { reading, writing } from '$lib/server/http';
import { addressFor, setAddress } from '$lib/server/services';

export const GET = reading(
	'The address that labels and tickets lead to',
	{ answer: Address, what: 'address' },
	({ url }: { url: URL; request: Request }) => addressFor(url)
);

export const PUT = writing(
	{ summary: 'Say which address people use; an empty one is forgotten', body: SetAddress, status: 204 },
	(asked, { address }) => setAddress(asked, address)
);
