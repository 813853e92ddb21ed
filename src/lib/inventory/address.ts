import { z } from 'zod';

/** Names that mean "this very computer" on every computer. */
const LOOPBACK = /^(localhost|127(\.\d{1,3}){3}|\[::1\]|::1|0\.0\.0\.0)$/i;
export const isLoopback = (host: string): boolean => LOOPBACK.test(host);

const WRONG = 'Give an address as a browser shows it, such as http://kit-room.local:4173.';

/** An address as it is typed: with or without http, or a path behind it. What is kept is its scheme, host and port. */
export function readOrigin(text: string): string | undefined {
	const typed = text.trim();
	if (/^[a-z+.-]+:\/\//i.test(typed) && !/^https?:/i.test(typed)) return undefined;
	const whole = /^https?:\/\//i.test(typed) ? typed : `http://${typed}`;
	const url = URL.canParse(whole) ? new URL(whole) : undefined;
	if (!url || url.username || /\s/.test(typed) || !/^([\w-]+(\.[\w-]+)*|\[[\da-f:.]+\])$/i.test(url.hostname))
		return undefined;
	return url.origin;
}

/** The address that people reach this Wendle at; empty: as each page is asked for. */
export const SetAddress = z.strictObject({
	address: z
		.string()
		.max(200)
		.refine((text) => text.trim() === '' || readOrigin(text) !== undefined, { error: WRONG })
});

/** Where labels and tickets lead. */
export const Address = z.object({
	/** What their codes begin with. */
	origin: z.string(),
	/** What somebody gave; null where nobody did. */
	chosen: z.string().nullable(),
	/** Nobody but this computer reaches it. */
	loopback: z.boolean(),
	/** The address by this computer's name, which others on the same network may reach. */
	guess: z.string()
});
export type Address = z.output<typeof Address>;
