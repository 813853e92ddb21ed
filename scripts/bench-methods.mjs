/**
 * Every method of finding the amount, played on thousands of invented true spools with noisy readings:
 * `npm run bench:methods`. The default spreads are the truth; nothing is compared with winding a real reel.
 */
import { bundled } from './bench/bundled.mjs';
import { install } from './bootstrap.mjs';

const COUNT = 4000;
const SEED = 20_261_125;

install();
const { benchMethods } = await bundled('methods');
const rungs = benchMethods(COUNT, SEED);
console.log(`${COUNT} invented spools, seed ${SEED}; gap errors in mm, extra handle turns on and off alike`);
console.log('| method | gap error, rms | 95 % of errors under | chance of rubbing | extra turns, mean |');
console.log('|---|---|---|---|---|');
for (const { slug, gapErrorMm, gapError95Mm, rubProbability, extraTurns } of rungs)
	console.log(
		`| ${slug} | ${gapErrorMm.toFixed(2)} | ${gapError95Mm.toFixed(2)} | ${(100 * rubProbability).toFixed(1)} % | ${extraTurns.toFixed(0)} |`
	);
