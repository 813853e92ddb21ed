import { moment, WITH_FAULTS, type FaultName } from './faults';
import { expect, test } from './server';
import { ManyWrites } from './many-writes';

/** A dozen moments each time, two hundred, over other seeds, in `npm run check:long`. */
const LONG = Boolean(process.env['WENDLE_LONG']);
const SEEDS = LONG ? Array.from({ length: 10 }, (_, i) => i + 1) : [20261127];
const MOMENTS = LONG ? 20 : 14;
/** In which order they come: the plug is what is pulled most. */
const ROTA: readonly FaultName[] = [
	'killed',
	'cut',
	'full disk',
	'killed',
	'read-only file',
	'clock jumps',
	'killed',
	'damaged pages',
	'log cut short'
];

for (const seed of SEEDS)
	test(`${MOMENTS} faults of the machine, seed ${seed}: nothing acknowledged is lost, nothing is double`, async ({
		server
	}) => {
		test.slow();
		server.env = { ...server.env, ...WITH_FAULTS };
		await server.restart();
		const writes = new ManyWrites(server, seed);
		await writes.begin();
		const came: string[] = [];
		for (let i = 0; i < MOMENTS; i++) came.push(await moment(ROTA[i % ROTA.length]!, server, writes));
		test.info().annotations.push({ type: 'faults', description: came.join('; ') });
		expect(came).toHaveLength(MOMENTS);
	});
