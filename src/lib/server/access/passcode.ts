import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';

/**
 * Passcodes are kept as scrypt of them with a salt: memory-hard, so that a stolen file is slow to guess from. Cost as OWASP's cheat
 * sheet on storing passwords gives it for scrypt (N 2^15, r 8, p 3), from memory.
 */
const COST = { N: 2 ** 15, r: 8, p: 3, maxmem: 64 * 1024 * 1024 } as const;
const BYTES = 32;

export const LEAST_LETTERS = 8;
export const MOST_LETTERS = 200;

const derive = (passcode: string, salt: Buffer): Promise<Buffer> =>
	new Promise((resolve, reject) =>
		scrypt(passcode.normalize('NFKC'), salt, BYTES, COST, (error, key) =>
			error ? reject(error) : resolve(key)
		)
	);

/** What is kept of a passcode: `salt.hash`, base64url. */
export async function hashOf(passcode: string): Promise<string> {
	const salt = randomBytes(16);
	return `${salt.toString('base64url')}.${(await derive(passcode, salt)).toString('base64url')}`;
}

export async function isPasscode(kept: string, passcode: string): Promise<boolean> {
	const [salt, hash] = kept.split('.').map((part) => Buffer.from(part, 'base64url'));
	if (!salt || hash?.length !== BYTES) return false;
	return timingSafeEqual(hash, await derive(passcode, salt));
}
