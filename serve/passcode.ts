import { createInterface } from 'node:readline/promises';
import { Writable } from 'node:stream';
import { ROLES, type Role } from '../src/lib/inventory/access';
import { badPasscode, closeAccess, mayNotGo, setPasscode } from '../src/lib/server/access';

/** Asks for a passcode at the terminal, showing nothing of it; takes the first line of what is piped in otherwise. */
async function askFor(prompt: string): Promise<string> {
	const shown = process.stdin.isTTY;
	let mute = false;
	const output = new Writable({
		write: (chunk: Buffer, _, next) => {
			if (!mute) process.stderr.write(chunk);
			next();
		}
	});
	const lines = createInterface({ input: process.stdin, output, terminal: shown });
	try {
		if (!shown) return (await lines[Symbol.asyncIterator]().next()).value ?? '';
		const answer = lines.question(prompt);
		mute = true;
		const typed = await answer;
		process.stderr.write('\n');
		return typed;
	} finally {
		lines.close();
	}
}

/** `npm run passcode [owner|bench|viewer] [--remove]`: what it came to, in one line; `ok` false when nothing was changed. */
export async function run(args: readonly string[]): Promise<{ ok: boolean; said: string }> {
	const [named = 'owner'] = args.filter((arg) => !arg.startsWith('--'));
	const role = ROLES.find((one) => one === named);
	if (!role) return { ok: false, said: `There is no ${named}. Say owner, bench or viewer.` };
	try {
		return args.includes('--remove') ? await take(role) : await set(role);
	} finally {
		await closeAccess();
	}
}

async function take(role: Role): Promise<{ ok: boolean; said: string }> {
	const why = await mayNotGo(role);
	if (why !== undefined) return { ok: false, said: why };
	await setPasscode(role, null);
	return { ok: true, said: `The passcode of the ${role} is gone.` };
}

async function set(role: Role): Promise<{ ok: boolean; said: string }> {
	const passcode = await askFor(`New passcode of the ${role}: `);
	const why = await badPasscode(role, passcode);
	if (why !== undefined) return { ok: false, said: why };
	if (process.stdin.isTTY && (await askFor('Once more: ')) !== passcode)
		return { ok: false, said: 'These two differ. Nothing was changed.' };
	await setPasscode(role, passcode);
	return {
		ok: true,
		said: `The passcode of the ${role} is set. Devices that were signed in as ${role} are signed out.`
	};
}
