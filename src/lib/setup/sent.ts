import { deflateSync, inflateSync, strFromU8, strToU8 } from 'fflate';
import { SetupForm } from './form';

/** A set-up as text that fits into a link or a code: its form as JSON, deflated (RFC 1951), in base64url (RFC 4648). */

/** Longest text of a set-up, unpacked, bytes: the largest form there is comes to a third of it. */
const MOST_BYTES = 100_000;

const toBase64Url = (bytes: Uint8Array): string =>
	btoa(String.fromCharCode(...bytes))
		.replaceAll('+', '-')
		.replaceAll('/', '_')
		.replace(/=+$/, '');
const fromBase64Url = (text: string): Uint8Array =>
	Uint8Array.from(atob(text.replaceAll('-', '+').replaceAll('_', '/')), (letter) => letter.charCodeAt(0));

/** The form without what only the sender's rack knows: which of its strands this one is. */
export function toSend({ spool, fill }: SetupForm): SetupForm {
	const stack = fill.stack.map(({ kept: _own, ...component }) => component);
	return { spool, fill: { ...fill, stack } };
}

export const packSetup = (form: SetupForm): string =>
	toBase64Url(deflateSync(strToU8(JSON.stringify(toSend(form))), { level: 9 }));

/** The set-up in a text that somebody sent: its code, a link with it, or the JSON of a file. Undefined where there is none. */
export function readSent(text: string): SetupForm | undefined {
	const [, inLink] = /[?&]setup=([\w-]+)/.exec(text) ?? [];
	const read = SetupForm.safeParse(jsonOf(inLink ?? text.trim()));
	return read.success ? toSend(read.data) : undefined;
}

function jsonOf(text: string): unknown {
	try {
		if (text.startsWith('{')) return JSON.parse(text);
		return JSON.parse(strFromU8(inflateSync(fromBase64Url(text), { out: new Uint8Array(MOST_BYTES) })));
	} catch {
		return undefined;
	}
}
