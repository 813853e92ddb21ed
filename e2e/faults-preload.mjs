/**
 * Runs inside the server before it starts, where a test asks for faults: the disk can be full, the file can refuse to be written, and the
 * clock can be wrong. What is to be so is told over the channel between the processes.
 */
import { createRequire } from 'node:module';
import { isMainThread } from 'node:worker_threads';

const Database = createRequire(import.meta.url)('better-sqlite3');
/** As large as SQLite lets a file get, pages. */
const NO_LIMIT = 4_294_967_294;

/** Connections that were opened, each as it comes. */
const connections = new Set();
const { pragma } = Database.prototype;
Database.prototype.pragma = function (...asked) {
	connections.add(this);
	return pragma.apply(this, asked);
};

const RealDate = Date;
let aheadMs = 0;
globalThis.Date = class extends RealDate {
	constructor(...given) {
		super(...(given.length === 0 ? [RealDate.now() + aheadMs] : given));
	}
	static now() {
		return RealDate.now() + aheadMs;
	}
};

if (isMainThread) {
	process.on('message', ({ full = false, readOnly = false, aheadMs: ahead = 0 }) => {
		aheadMs = ahead;
		for (const connection of connections) {
			if (!connection.open) connections.delete(connection);
			else {
				// No page more than the file has.
				const most = full ? pragma.call(connection, 'page_count', { simple: true }) : NO_LIMIT;
				pragma.call(connection, `max_page_count = ${most}`);
				pragma.call(connection, `query_only = ${readOnly ? 'ON' : 'OFF'}`);
			}
		}
		process.send('so');
	});
	process.channel?.unref();
}
