import { expect } from '@playwright/test';
import {
	copyFileSync,
	existsSync,
	readFileSync,
	rmSync,
	statSync,
	truncateSync,
	writeFileSync
} from 'node:fs';
import { fileURLToPath } from 'node:url';
import { join } from 'node:path';
import { setTimeout as after } from 'node:timers/promises';
import type { Server } from './server';
import type { ManyWrites } from './many-writes';

/** How long after a request was sent the plug or the cable is pulled, at most, ms. */
const LATEST_MS = 25;
const HOUR_MS = 3_600_000;
const PAGE = 4096;

/** Lets {@link Server.tell} make the disk full, the file read-only and the clock wrong. */
export const WITH_FAULTS = {
	NODE_OPTIONS: `--import=${fileURLToPath(new URL('./faults-preload.mjs', import.meta.url))}`
};

/** Something that goes wrong with the machine while a shop is at work. Gives what happened. */
type Fault = (server: Server, writes: ManyWrites) => Promise<string>;

/** The plug is pulled during a write; the server comes back, and the write is tried again. */
const killed: Fault = async (server, writes) => {
	const last = writes.next();
	const sent = writes.send(last);
	await after(writes.upTo(LATEST_MS));
	await server.stop('SIGKILL');
	const answered = await sent;
	writes.look('after a kill', false);
	await server.start();
	// Asked once more, and once more, it is still done once.
	await writes.write(last);
	await writes.write(last);
	return `${last.what}, ${answered ? 'answered' : 'not answered'}`;
};

/** The connection is cut during a write; whether it was done is not known, so it is tried again. */
const cut: Fault = async (_, writes) => {
	const last = writes.next();
	const cable = new AbortController();
	const sent = writes.send(last, cable.signal);
	await after(writes.upTo(LATEST_MS));
	cable.abort();
	const answered = await sent;
	await writes.write(last);
	await writes.write(last);
	return `${last.what}, ${answered ? 'answered' : 'not answered'}`;
};

/** So many writes fit into the room that is left in a full file, at most. */
const MOST_FITTING = 300;

/** A write is refused, with what to do about it, and taken once that was done. */
const refusing =
	(fault: object, says: RegExp): Fault =>
	async (server, writes) => {
		await server.tell(fault);
		let asked = writes.next();
		let answered = await writes.send(asked);
		let fitted = 0;
		for (; answered && answered.status < 300 && fitted < MOST_FITTING; fitted++) {
			asked = writes.next();
			answered = await writes.send(asked);
		}
		expect([asked.what, answered?.status]).toEqual([asked.what, 503]);
		expect([asked.what, answered!.text]).toEqual([asked.what, expect.stringMatching(says)]);
		// What was there is there, and can be read.
		writes.look('while it lasts', true);
		expect((await fetch(`${server.url}/api/spools`)).status).toBe(200);
		await server.tell({});
		await writes.write(asked);
		return `${asked.what}, after ${fitted} that fitted`;
	};

/** The clock jumps, and back again. */
const clock: Fault = async (server, writes) => {
	const untilMs = (iso: string): number => Date.parse(iso) - Date.now();
	const aheadMs = writes.any([
		24 * HOUR_MS,
		-HOUR_MS,
		// An hour that is skipped, and one that comes twice.
		untilMs('2027-03-28T00:59:59.900Z'),
		untilMs('2027-10-31T00:59:59.900Z')
	]);
	await server.tell({ aheadMs });
	for (let i = 0; i < 3; i++) await writes.write(writes.next());
	writes.look('with the clock wrong', true);
	expect((await fetch(`${server.url}/care`)).status).toBe(200);
	await server.tell({});
	await writes.write(writes.next());
	return `${Math.round(aheadMs / HOUR_MS)} h`;
};

/** Whether the server answers, or says that its file is damaged and what to do. */
async function answersOrSays(server: Server): Promise<string[]> {
	const came: string[] = [];
	for (const path of ['/', '/care', '/api/spools', '/api/setups']) {
		const reply = await fetch(server.url + path);
		const text = await reply.text();
		came.push(`${path} ${reply.status}`);
		if (reply.status !== 200) {
			expect([path, reply.status]).toEqual([path, 503]);
			expect([path, text]).toEqual([path, expect.stringMatching(/npm run salvage.*npm run restore/s)]);
		}
	}
	expect((await fetch(`${server.url}/healthz`)).status).toBe(200);
	return came;
}

/** Pages of the file are written over. */
const damaged: Fault = async (server, writes) => {
	await server.stop('SIGTERM');
	const file = join(server.data, 'wendle.sqlite');
	const copy = `${file}.copy`;
	copyFileSync(file, copy);
	const bytes = readFileSync(file);
	for (let left = 1 + writes.upTo(3); left > 0; left--) {
		const page = writes.upTo(bytes.length / PAGE - 1);
		bytes.fill(0xa5, page * PAGE, (page + 1) * PAGE);
	}
	writeFileSync(file, bytes);
	await server.start();
	const came = await answersOrSays(server);
	await server.stop('SIGKILL');
	for (const ending of ['', '-wal', '-shm']) rmSync(file + ending, { force: true });
	copyFileSync(copy, file);
	rmSync(copy);
	await server.start();
	await writes.write(writes.next());
	return came.join(', ');
};

/** The end of the log is gone when the server comes back: what is left is whole, and with the log everything is there again. */
const shortened: Fault = async (server, writes) => {
	for (let i = 0; i < 3; i++) await writes.write(writes.next());
	await server.stop('SIGKILL');
	const file = join(server.data, 'wendle.sqlite');
	const parts = ['', '-wal'].filter((ending) => existsSync(file + ending));
	for (const ending of parts) copyFileSync(file + ending, `${file}${ending}.copy`);
	const size = parts.includes('-wal') ? statSync(`${file}-wal`).size : 0;
	const left = writes.upTo(size);
	if (size > 0) truncateSync(`${file}-wal`, left);
	await server.start();
	expect((await fetch(server.url)).status).toBe(200);
	await server.stop('SIGKILL');
	writes.lookWhole('with the log cut short');
	for (const ending of ['', '-wal', '-shm']) rmSync(file + ending, { force: true });
	for (const ending of parts) {
		copyFileSync(`${file}${ending}.copy`, file + ending);
		rmSync(`${file}${ending}.copy`);
	}
	await server.start();
	return `${left} of ${size} bytes left`;
};

const FAULTS = {
	killed,
	cut,
	'full disk': refusing({ full: true }, /full.*Free some space/s),
	'read-only file': refusing({ readOnly: true }, /may not write.*Allow writing/s),
	'clock jumps': clock,
	'damaged pages': damaged,
	'log cut short': shortened
} satisfies Readonly<Record<string, Fault>>;
export type FaultName = keyof typeof FAULTS;

/** Some writes, one fault, and everything that was acknowledged is there, once. */
export async function moment(name: FaultName, server: Server, writes: ManyWrites): Promise<string> {
	for (let left = writes.upTo(6); left > 0; left--) await writes.write(writes.next());
	const came = await FAULTS[name](server, writes);
	writes.look(`after ${name}: ${came}`, true);
	return `${name}: ${came}`;
}
