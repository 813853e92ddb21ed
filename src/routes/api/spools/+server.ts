import { Version } from '$lib/server/api/version';
import { reading } from '$lib/server/http';
import { spools } from '$lib/server/services';
import { SpoolForm } from '$lib/setup/form';
import { z } from 'zod';

const Spools = z.object({ spools: z.array(Version.extend({ id: z.string(), form: SpoolForm })) });

export const GET = reading('Every spool on the rack, as it was described', { answer: Spools }, async () => ({
	spools: await spools()
}));
