/**
 * Pulls the knots tight, and writes their curves to src/lib/core/knots/tight: all of them, or those that are named. With
 * --check it writes nothing, and fails where a file differs from what comes out.
 */
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { bundled } from './bundled.mjs';
import { root } from './bootstrap.mjs';

const folder = join(root, 'src/lib/core/knots/tight');
const named = process.argv.slice(2).filter((word) => !word.startsWith('--'));
const check = process.argv.includes('--check');
const { KEPT, curvesOf, finishedOf } = await bundled('tighten', 'knots');

const read = (/** @type {string} */ name) => {
	try {
		return readFileSync(join(folder, `${name}.json`), 'utf8');
	} catch {
		return '';
	}
};
/** @type {string[]} */
const other = [];
mkdirSync(folder, { recursive: true });
for (const knot of KEPT) {
	const name = knot.tightening.curves;
	if (named.length > 0 && !named.includes(name)) continue;
	const from = performance.now();
	const text = JSON.stringify(curvesOf(knot));
	console.log(
		`${name}: ${((performance.now() - from) / 1000).toFixed(0)} s, ${(text.length / 1024).toFixed(0)} kB`
	);
	if (!check) writeFileSync(join(folder, `${name}.json`), text);
	else if (text !== read(name)) other.push(name);
}
if (check) {
	console.log(
		other.length === 0 ? 'all files are as computed' : `computed anew, these differ: ${other.join(', ')}`
	);
	process.exitCode = other.length > 0 ? 1 : 0;
} else {
	/** @type {Record<string, unknown>} */
	const finished = {};
	for (const knot of KEPT) {
		const text = read(knot.tightening.curves);
		if (text) finished[knot.tightening.curves] = finishedOf(JSON.parse(text));
	}
	writeFileSync(join(folder, 'finished.json'), JSON.stringify(finished));
}
