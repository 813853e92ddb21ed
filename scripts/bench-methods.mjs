/**
 * Every method of finding the amount, played on thousands of invented true spools with noisy readings, and what following Wendle
 * after readings comes to: `npm run bench:methods`. The default spreads are the truth; nothing is compared with winding a real reel.
 * `WENDLE_WORLDS` is how many true reels each is played on; all methods are played on the same ones.
 */
import { bundled } from './bundled.mjs';
import { install } from './bootstrap.mjs';

const WORLDS = Number(process.env['WENDLE_WORLDS'] ?? 20_000);
const METHODS = Math.min(WORLDS, 4000);
const SEED = 20_261_125;

install();
const { benchMethods } = await bundled('methods');
const rungs = benchMethods(METHODS, SEED);
console.log(
	`${METHODS} invented spools, seed ${SEED}; gap errors in mm, extra handle turns on and off alike`
);
console.log(
	'| method | gap error, rms | 95 % of errors under | gap under 1 mm | above the rim | extra turns, mean |'
);
console.log('|---|---|---|---|---|---|');
for (const { slug, gapErrorMm, gapError95Mm, tightProbability, rubProbability, extraTurns } of rungs)
	console.log(
		`| ${slug} | ${gapErrorMm.toFixed(2)} | ${gapError95Mm.toFixed(2)} | ${(100 * tightProbability).toFixed(1)} % | ${(100 * rubProbability).toFixed(1)} % | ${extraTurns.toFixed(0)} |`
	);

const { PAUSES, benchPause, benchCorrection, benchSpey } = await bundled('estimate');
/** @param {{ name: string, error95Mm: number, standardErrorMm: number, withinHalf: number, held80: number, held90: number }[]} rows */
function table(/** @type {string} */ title, rows) {
	console.log(`\n${title}, ${WORLDS} true reels`);
	console.log(
		'| followed | 95 % of errors under (± standard error) | within 0.5 mm | 80 % range held | 90 % range held |'
	);
	console.log('|---|---|---|---|---|');
	for (const { name, error95Mm, standardErrorMm, withinHalf, held80, held90 } of rows)
		console.log(
			`| ${name} | ${error95Mm.toFixed(2)} ± ${standardErrorMm.toFixed(2)} mm | ${(100 * withinHalf).toFixed(1)} % | ${held80 ? `${(100 * held80).toFixed(1)} %` : ''} | ${held90 ? `${(100 * held90).toFixed(1)} %` : ''} |`
		);
}
for (const share of PAUSES) table(`A pause at ${100 * share} %`, benchPause(share, WORLDS, SEED));
for (const places of [1, 2])
	table(`A correction, each reading in ${places} place(s)`, benchCorrection(places, WORLDS, SEED));
table('A spey stack laid by one hand, no reading', benchSpey(WORLDS, SEED));

const { benchLearntRack } = await bundled('rack');
for (const from of /** @type {const} */ (['one bulk spool', 'a spool of its own']))
	table(
		`The eleventh winding of a rack of six spools and two people, backing from ${from}, by the plain plan`,
		benchLearntRack(from, WORLDS, SEED)
	);
