/** `npm run backup`: copies everything Wendle knows, while it runs or not. `npm run restore FILE`: puts such a copy back. */
import { existsSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { build, install, root } from './bootstrap.mjs';

const [what, file] = process.argv.slice(2);
const data = resolve(process.env.WENDLE_DATA || join(root, 'data'));

/** @param {string} why @returns {never} */
function stop(why) {
	console.error(why);
	process.exit(1);
}

if (what === 'restore' && file === undefined)
	stop(`Say which copy: npm run restore ${join(data, 'backups', 'wendle-….sqlite')}`);
install();
build();
/** @type {typeof import('../src/lib/server/db/backup.ts')} */
const { isInUse, makeBackup, readyToRestore } = await import(
	pathToFileURL(join(root, 'build/tools/backup.js')).href
);
const isThere = existsSync(join(data, 'wendle.sqlite'));
try {
	if (what === 'backup') {
		if (!isThere) stop(`There is no data in ${data} yet, so there is nothing to back up.`);
		const { name } = await makeBackup(data);
		console.log(`Backed up as ${join(data, 'backups', name)}`);
	} else {
		const from = resolve(/** @type {string} */ (file));
		if (!existsSync(from)) stop(`There is no file ${from}. Look in ${join(data, 'backups')}.`);
		if (isInUse(data))
			stop('Wendle is running with this data. Stop it first, or press "Restore" on its page "Your data".');
		const swap = await readyToRestore(data, from);
		if (isThere) console.log(`What was there is backed up as ${(await makeBackup(data)).name}`);
		swap();
		console.log(`Restored ${from}`);
	}
} catch (error) {
	stop(error instanceof Error ? error.message : String(error));
}
