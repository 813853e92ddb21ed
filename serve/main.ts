import {
	createServer,
	type IncomingMessage,
	type RequestListener,
	type Server,
	type ServerResponse
} from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import compression from 'compression';
import { randomUUID } from 'node:crypto';
import type { AddressInfo } from 'node:net';
import { renderUnicodeCompact } from 'uqr';
import { hasPasscode } from '../src/lib/server/access/store';
import { log } from '../src/lib/server/log';
import { certificateFor, type Certificate } from '../src/lib/server/access/certificate';
import { refusedBy, setHeaders } from './guard';
import { addressesHere, namesHere } from './hosts';
import { run as setPasscode } from './passcode';
import { refusalOf, settingsFrom, type Settings } from './settings';

/** Starts the built server: who may reach it, what every answer carries, what is logged of it, and how it ends. */

/** A polite stop waits this long for what is under way, ms. */
const MOST_STOP_MS = 5000;
/** Headers that only this file may set: what a client sends under these names is dropped. */
const PROTOCOL = 'x-wendle-protocol';
const REQUEST_ID = 'x-request-id';

const settings = settingsFrom(process.env);

function giveUp(why: string): never {
	console.error(why);
	process.exit(1);
}

/** Logs a request once it is answered: what was asked, not who asked or with what. */
function logged(request: IncomingMessage, response: ServerResponse, id: string): void {
	const began = performance.now();
	const { method, url = '/' } = request;
	response.once('close', () => {
		const ms = Math.round(performance.now() - began);
		const bytes = Number(response.getHeader('content-length') ?? 0) || undefined;
		const whole = response.writableFinished;
		log.info(
			{
				id,
				method,
				path: url.split('?')[0],
				status: response.statusCode,
				ms,
				bytes,
				...(!whole && { whole })
			},
			'request'
		);
	});
}

/** Answers go out compressed to whoever takes that: what is built comes compressed already, and streams of events flow. */
const compress = compression({
	filter: (request, response) =>
		!String(response.getHeader('content-type')).startsWith('text/event-stream') &&
		compression.filter(request, response)
});

function listenerOf(handler: RequestListener, { origin: given }: Settings): RequestListener {
	const protocol = settings.https ? 'https' : 'http';
	return (request, response) => {
		const id = randomUUID();
		request.headers[REQUEST_ID] = id;
		request.headers[PROTOCOL] = protocol;
		response.setHeader(REQUEST_ID, id);
		setHeaders(response, settings);
		logged(request, response, id);
		const refusal = refusedBy(request, given ?? `${protocol}://${request.headers.host}`, settings);
		if (!refusal) return compress(request as never, response as never, () => handler(request, response));
		const { status, code, message } = refusal;
		response.writeHead(status, { 'content-type': 'application/json' });
		response.end(JSON.stringify({ issues: [{ code, path: [], message }], message }));
	};
}

const inAddress = (host: string): string => (host.includes(':') ? `[${host}]` : host);

function serverOf(listener: RequestListener, certificate: Certificate | undefined): Server {
	return certificate ? createSecureServer(certificate, listener) : createServer(listener);
}

/** Ends when asked to: no new requests, a few seconds for those under way, then the process. */
function endPolitely(server: Server): void {
	let ending = false;
	const end = (): void => {
		if (ending) return;
		ending = true;
		server.close(() => process.emit('sveltekit:shutdown' as never));
		server.closeIdleConnections();
		setTimeout(() => server.closeAllConnections(), MOST_STOP_MS - 500).unref();
		setTimeout(() => process.exit(0), MOST_STOP_MS).unref();
	};
	process.once('SIGTERM', end);
	process.once('SIGINT', end);
	server.on('request', (_, response: ServerResponse) => {
		if (ending) response.setHeader('connection', 'close');
		response.once('finish', () => ending && server.closeIdleConnections());
	});
}

if (!settings.loopback && process.stdin.isTTY && !(await hasPasscode(settings.data))) {
	console.log('Other devices will reach this Wendle. Set the passcode of the owner first.');
	console.log((await setPasscode(['owner'])).said);
}
const refusal = refusalOf(settings, await hasPasscode(settings.data));
if (refusal) giveUp(refusal);
const reachedBy = ['localhost', '127.0.0.1', '::1', ...namesHere(), ...addressesHere(), ...settings.hosts];
const certificate = settings.https ? await certificateFor(settings.data, reachedBy) : undefined;
// The adapter takes every address for https unless it is told.
if (!settings.origin) process.env['PROTOCOL_HEADER'] = PROTOCOL;
const built = new URL('../handler.js', import.meta.url).href;
const { handler } = (await import(built)) as { handler: RequestListener };
const server = serverOf(listenerOf(handler, settings), certificate);
endPolitely(server);
server.once('error', (error: NodeJS.ErrnoException) =>
	giveUp(
		error.code === 'EADDRINUSE'
			? `Port ${settings.port} on ${settings.host} is taken. Choose another: PORT=${settings.port + 1}`
			: `The server can't listen on ${settings.host}, port ${settings.port}: ${error.message}`
	)
);
server.listen({ host: settings.host, port: settings.port }, () => {
	const { port } = server.address() as AddressInfo;
	const protocol = settings.https ? 'https' : 'http';
	console.log(`Listening on ${protocol}://${inAddress(settings.host)}:${port}`);
	if (settings.loopback || !settings.https) return;
	const from = addressesHere().find((address) => !address.includes(':')) ?? namesHere()[0]!;
	const trust = `${protocol}://${inAddress(from)}:${port}/trust`;
	console.log(`Phones come in at ${trust}\n${renderUnicodeCompact(trust)}`);
});
