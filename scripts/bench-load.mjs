/**
 * A busy shop on one machine: `npm run bench:load`. Twenty benches count at 5 events a second, twenty people read pages, ten ask for the
 * heaviest work that is taken, each from an address of its own; then 500 windows follow one run. `WENDLE_LOAD_S` is for how long (600).
 * After that, what a chain of shops in one Wendle comes to.
 * Who asks runs on the same machine as the server, so that figures are on the safe side.
 */
import { Agent, request } from 'node:http';
import { setTimeout as pause } from 'node:timers/promises';
import { chainFigures } from './bench/chain.mjs';
import { build, install } from './bootstrap.mjs';
import { memoryOf, serveDemo } from './serving.mjs';

const SECONDS = Number(process.env.WENDLE_LOAD_S ?? 600);
const [BENCHES, READERS, HEAVY, FOLLOWERS] = [20, 20, 10, 500];
const EVENT_EVERY_MS = 200;
const READ_EVERY_MS = 2000;

/** @param {number[]} values @param {number} q */
const quantile = (values, q) =>
	values.toSorted((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * q))] ?? NaN;
/** @param {string} what @param {number[]} ms @param {string} aim */
const say = (what, ms, aim) =>
	console.log(
		`${what.padEnd(44)} ${String(ms.length).padStart(7)} asked, p50 ${quantile(ms, 0.5).toFixed(0)} ms, p99 ${quantile(ms, 0.99).toFixed(0)} ms, longest ${Math.max(...ms).toFixed(0)} ms  ${aim}`
	);

install();
build();
const { base, stop } = await serveDemo('4199');
const agent = new Agent({ keepAlive: true, maxSockets: 2000 });

/**
 * @param {string} method @param {string} path @param {{ body?: unknown, from?: string }} [more]
 * @returns {Promise<{ status: number, text: string, ms: number }>}
 */
const ask = (method, path, { body, from } = {}) =>
	new Promise((settle) => {
		const began = performance.now();
		const fail = (/** @type {Error} */ error) =>
			settle({ status: 0, text: error.message, ms: performance.now() - began });
		const sent = request(
			base + path,
			{
				method,
				// A device of its own has connections of its own.
				...(from === undefined ? { agent } : { localAddress: from, agent: false }),
				...(body !== undefined && { headers: { 'content-type': 'application/json' } })
			},
			(reply) => {
				let text = '';
				reply.setEncoding('utf8');
				reply.on('data', (/** @type {string} */ part) => (text += part));
				reply.once('end', () =>
					settle({ status: reply.statusCode ?? 0, text, ms: performance.now() - began })
				);
				reply.once('error', fail);
			}
		);
		sent.once('error', fail);
		sent.end(body === undefined ? undefined : JSON.stringify(body));
	});

/** @type {string[]} */
const wrong = [];
/** @param {string} who @param {{ status: number, text: string }} reply @param {readonly number[]} [expected] */
function heed(who, { status, text }, expected = [200]) {
	if (!expected.includes(status)) wrong.push(`${who}: ${status} ${text.slice(0, 120)}`);
}

const REEL = { rimDiameterMm: 85, arborDiameterMm: 40, widthMm: 22 };
const FIT = {
	spool: REEL,
	stack: [
		{ role: 'backing', material: 'polyester-20' },
		{ role: 'line', lineClass: 'WF6F' }
	]
};
const HEAVIEST = [
	['/api/methods', { fit: FIT, trials: 4000 }],
	['/api/risk', { fit: FIT, trials: 100_000 }],
	[
		'/api/match',
		{
			spools: Array.from({ length: 200 }, () => REEL),
			lines: Array.from({ length: 500 }, () => ({ lineClass: 'WF6F' })),
			backing: { material: 'polyester-20' }
		}
	]
];

const setups = JSON.parse((await ask('GET', '/api/setups?most=200')).text).things.map(
	(/** @type {{ id: string }} */ { id }) => id
);
const pages = ['/', '/care', '/match', `/fit/${setups[0]}`, `/bench/${setups[1]}`];
let until = Infinity;
/** @type {Record<'pages' | 'events' | 'heavy', number[]>} */
const took = { pages: [], events: [], heavy: [] };
let refused = 0;
let again = 0;

/** @param {number} i */
async function bench(i) {
	const run = `/api/runs/load-${i}`;
	heed('bench', await ask('PUT', run, { body: { setupId: setups[i % setups.length] } }), [204]);
	let sent = 0;
	// People don't count in step.
	await pause((i * EVENT_EVERY_MS) / BENCHES);
	while (Date.now() < until) {
		const next = pause(EVENT_EVERY_MS);
		const event = { id: `e${i}-${sent++}`, at: Date.now(), kind: 'turns', part: 'backing', turns: 1 };
		let reply = await ask('POST', `${run}/events`, { body: { events: [event] } });
		// A connection that the server had just closed: the bench sends it again, and it counts once.
		while (reply.status === 0 && Date.now() < until + 10_000) {
			again++;
			reply = await ask('POST', `${run}/events`, { body: { events: [event] } });
		}
		heed('event', reply);
		took.events.push(reply.ms);
		await next;
	}
	const { events } = JSON.parse((await ask('GET', `${run}/events`)).text);
	const there = new Set(events.map((/** @type {{ id: string }} */ { id }) => id)).size;
	if (there !== sent || events.length !== sent)
		wrong.push(`run ${i}: ${sent} sent, ${there} there, ${events.length} in all`);
}

/** @param {number} i */
async function reader(i) {
	await pause((i * READ_EVERY_MS) / READERS);
	for (let turn = i; Date.now() < until; turn++) {
		const next = pause(READ_EVERY_MS);
		const reply = await ask('GET', pages[turn % pages.length] ?? '/');
		heed('page', reply);
		took.pages.push(reply.ms);
		await next;
	}
}

/** @param {number} i */
async function asker(i) {
	for (let turn = i; Date.now() < until; turn++) {
		const [path, body] = /** @type {[string, unknown]} */ (HEAVIEST[turn % HEAVIEST.length]);
		const reply = await ask('POST', path, { body, from: `127.0.1.${i + 1}` });
		heed('heavy', reply, [200, 429]);
		if (reply.status === 429) {
			refused++;
			await pause(1000);
		} else took.heavy.push(reply.ms);
	}
}

try {
	// Warm: the code of the server is compiled as it runs.
	for (let i = 0; i < 30; i++) await ask('GET', pages[i % pages.length] ?? '/');
	until = Date.now() + SECONDS * 1000;
	const working = [
		...Array.from({ length: BENCHES }, (_, i) => bench(i)),
		...Array.from({ length: READERS }, (_, i) => reader(i)),
		...Array.from({ length: HEAVY }, (_, i) => asker(i))
	];
	await pause(Math.min(60, SECONDS / 4) * 1000);
	const before = await memoryOf(base);
	await Promise.all(working);
	const after = await memoryOf(base);
	console.log(
		`${SECONDS} s, ${BENCHES} benches, ${READERS} readers, ${HEAVY} that ask for the heaviest work`
	);
	say('pages', took.pages, 'aim: p99 under 100 ms');
	say('events at the benches, synced to disk', took.events, 'aim: p99 under 100 ms');
	console.log(`${again} events were sent again after a connection broke`);
	say('heavy questions', took.heavy, `and ${refused} times 429`);
	console.log(`memory of the server ${before.toFixed(0)} MB, then ${after.toFixed(0)} MB  aim: within 10 %`);

	let heard = 0;
	const marks = 20;
	const followers = Array.from({ length: FOLLOWERS }, () => {
		const live = request(`${base}/api/runs/load-0/live`, { agent: false }, (reply) => {
			reply.setEncoding('utf8');
			reply.on('data', (/** @type {string} */ part) => (heard += part.split('"mark-').length - 1));
		});
		live.on('error', () => undefined);
		live.end();
		return live;
	});
	await pause(5000);
	const began = performance.now();
	for (let i = 0; i < marks; i++) {
		const event = { id: `mark-${i}`, at: Date.now(), kind: 'turns', part: 'backing', turns: 1 };
		heed('mark', await ask('POST', '/api/runs/load-0/events', { body: { events: [event] } }));
	}
	while (heard < FOLLOWERS * marks && performance.now() - began < 30_000) await pause(20);
	if (heard !== FOLLOWERS * marks) wrong.push(`followers heard ${heard} of ${FOLLOWERS * marks}`);
	console.log(
		`${FOLLOWERS} followers of one run heard all of ${marks} events ${(performance.now() - began).toFixed(0)} ms after the first was sent`
	);
	for (const follower of followers) follower.destroy();
	console.log(
		wrong.length === 0 ? 'nothing went wrong: 0 errors, 0 lost, 0 double' : wrong.slice(0, 20).join('\n')
	);
	process.exitCode = wrong.length === 0 ? 0 : 1;
} finally {
	stop();
	agent.destroy();
}
await chainFigures();
