/** `npm run salvage [FILE]`: reads whatever can be read of a damaged data file into an archive beside it. See `services/salvage.ts`. */
import { existsSync, writeFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { build, install, root } from './bootstrap.mjs';

const [named] = process.argv.slice(2);
const file = resolve(named ?? join(process.env.WENDLE_DATA || join(root, 'data'), 'wendle.sqlite'));

/** @param {string} why @returns {never} */
function stop(why) {
	console.error(why);
	process.exit(1);
}

if (!existsSync(file)) stop(`There is no file ${file}. Say which one: npm run salvage FILE`);
install();
build();
/** @type {typeof import('../src/lib/server/services/salvage.ts')} */
const { salvage } = await import(pathToFileURL(join(root, 'build/tools/salvage.js')).href);
const { archive, tables } = await salvage(file).catch(() =>
	stop(
		`Not even the list of what is in ${file} can be read, so nothing can be salvaged from it. Go back to a backup: npm run restore FILE`
	)
);
const out = join(dirname(file), `salvaged-${new Date().toISOString().replaceAll(/[:.]/g, '-')}.zip`);
writeFileSync(out, archive, { mode: 0o600 });
for (const { name, read, were } of tables)
	console.log(`${name}: ${read} ${were === undefined || were === read ? 'read' : `of ${were} read`}`);
console.log(`Written to ${out}. Bring it in on the page "Your data" of a Wendle that works.`);
