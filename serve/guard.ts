import type { IncomingMessage, ServerResponse } from 'node:http';
import { isOurs } from './hosts';
import type { Settings } from './settings';

/** What every answer says to browsers, whatever is answered. Pages have a stricter policy of their own, with a nonce. */
const HEADERS: Readonly<Record<string, string>> = {
	'content-security-policy':
		"default-src 'self'; script-src 'self' 'wasm-unsafe-eval'; style-src 'self' 'unsafe-inline'; object-src 'none'; base-uri 'none'; frame-ancestors 'none'",
	'x-content-type-options': 'nosniff',
	'x-frame-options': 'DENY',
	'referrer-policy': 'same-origin',
	'cross-origin-opener-policy': 'same-origin',
	'cross-origin-resource-policy': 'same-origin',
	'permissions-policy':
		'camera=(self), microphone=(self), screen-wake-lock=(self), fullscreen=(self), geolocation=(), payment=(), usb=(), serial=(), bluetooth=(), midi=(), display-capture=(), browsing-topics=()'
};
const HALF_A_YEAR_S = 15_552_000;

export function setHeaders(response: ServerResponse, { hsts }: Settings): void {
	for (const [name, value] of Object.entries(HEADERS)) response.setHeader(name, value);
	if (hsts) response.setHeader('strict-transport-security', `max-age=${HALF_A_YEAR_S}`);
}

const READS = new Set(['GET', 'HEAD', 'OPTIONS']);

export interface Refusal {
	readonly status: 403 | 421;
	readonly code: string;
	readonly message: string;
}

/** Why a request is not heard at all; undefined when it is. @param origin where the server takes itself to be, as asked */
export function refusedBy(request: IncomingMessage, origin: string, settings: Settings): Refusal | undefined {
	const { host, origin: from, 'sec-fetch-site': site } = request.headers;
	if (!isOurs(host, settings.hosts))
		return {
			status: 421,
			code: 'not_our_name',
			message: `This Wendle isn't known by the name in the address. Use this computer's own name or address, or start Wendle with WENDLE_HOSTS=${JSON.stringify(
				host ?? ''
			)
				.slice(1, -1)
				.slice(0, 80)}.`
		};
	if (READS.has(request.method ?? 'GET')) return undefined;
	// A browser says where a write comes from; whatever says nothing is no browser, and carries nobody's cookies.
	const elsewhere =
		from !== undefined ? from !== origin : site !== undefined && site !== 'same-origin' && site !== 'none';
	return elsewhere
		? {
				status: 403,
				code: 'from_elsewhere',
				message: 'This came from a page that is not Wendle. Nothing was changed.'
			}
		: undefined;
}
