import { Killing } from './killing';
import { expect, test } from './server';

/** A dozen moments each time; sixty, over other seeds, in `npm run check:long`. */
const LONG = Boolean(process.env['WENDLE_LONG']);
const SEEDS = LONG ? [1, 2, 3, 4, 5] : [20261127];
const KILLS = 12;

for (const seed of SEEDS)
	test(`the plug pulled ${KILLS} times, seed ${seed}: nothing acknowledged is lost, nothing is double`, async ({
		server
	}) => {
		const killing = new Killing(server, seed);
		await killing.begin();
		const during: string[] = [];
		for (let i = 0; i < KILLS; i++) during.push(await killing.kill());
		test.info().annotations.push({ type: 'killed during', description: during.join('; ') });
		expect(during).toHaveLength(KILLS);
	});
