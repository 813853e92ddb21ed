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
const { KEPT, filesOf, finishedOf } = await bundled('tighten', 'knots');

const read = (/** @type {string} */ file) => {
	try {
		return readFileSync(join(folder, file), 'utf8');
	} catch {
		return '';
	}
};
/** @type {string[]} */
const other = [];
mkdirSync(join(folder, 'ways'), { recursive: true });
for (const knot of KEPT) {
	const name = knot.tightening.curves;
	if (named.length > 0 && !named.includes(name)) continue;
	const from = performance.now();
	const files = Object.entries(filesOf(knot)).map(([file, curves]) => ({
		file,
		text: JSON.stringify(curves)
	}));
	const sizes = files.map(({ text }) => `${(text.length / 1024).toFixed(0)} kB`).join(' and ');
	console.log(`${name}: ${((performance.now() - from) / 1000).toFixed(0)} s, ${sizes}`);
	for (const { file, text } of files) {
		if (!check) writeFileSync(join(folder, file), text);
		else if (text !== read(file)) other.push(file);
	}
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
		const text = read(`${knot.tightening.curves}.json`);
		if (text) finished[knot.tightening.curves] = finishedOf(JSON.parse(text));
	}
	writeFileSync(join(folder, 'finished.json'), JSON.stringify(finished));
}
