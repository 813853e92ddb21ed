/**
 * Serves the built application: `npm start` with the person's own data, `npm run demo` with the demo's. `-- --https` makes and uses a
 * certificate of its own; `-- --insecure` accepts that a passcode crosses the network readable.
 */
import { createServer } from 'node:net';
import { join, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { build, install, root } from './bootstrap.mjs';
import { fillWithDemo } from './serving.mjs';

const demo = process.argv.includes('--demo');
if (process.argv.includes('--https')) process.env.WENDLE_HTTPS = '1';
if (process.argv.includes('--insecure')) process.env.WENDLE_INSECURE = '1';
const host = (process.env.HOST ||= '127.0.0.1');
const port = (process.env.PORT ||= '4173');
const data = (process.env.WENDLE_DATA = resolve(
	process.env.WENDLE_DATA || join(root, demo ? 'demo-data' : 'data')
));

/** Says so before anything else when the port is taken: the alternative is a stack trace. */
const portIsFree = () =>
	new Promise((settle) => {
		const probe = createServer()
			.once('error', () => settle(false))
			.listen(Number(port), host, () => probe.close(() => settle(true)));
	});

if (!(await portIsFree())) {
	console.error(
		`Port ${port} on ${host} is taken. Choose another: PORT=4174 npm run ${demo ? 'demo' : 'start'}`
	);
	process.exit(1);
}
install();
build();
process.chdir(root);
if (demo) {
	if (await fillWithDemo(data)) console.log(`Demo data filled in ${data}`);
}
await import(pathToFileURL(join(root, 'build/index.js')).href);
const protocol = process.env.WENDLE_HTTPS ? 'https' : 'http';
console.log(
	`Wendle is at ${protocol}://${host.includes(':') ? `[${host}]` : host}:${port}  (data in ${data})`
);
