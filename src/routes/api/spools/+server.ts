import { reading } from '$lib/server/http';
import { spools } from '$lib/server/services';
import { Spools } from '$lib/setup/answers';

export const GET = reading('Every spool on the rack, as it was described', { answer: Spools }, async () => ({
	spools: await spools()
}));
