import { ROLES, type Role, type Scope } from '$lib/inventory/access';
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import { directoryOf } from '../db';
import { LEAST_LETTERS, MOST_LETTERS } from './passcode';
import { covers, neededFor, reaches } from './roles';
import { AccessStore, isKept, type Deed, type Session, type Token } from './store';

/** Who comes in, and as what. */

export const SESSION_COOKIE = 'wendle-session';
export const SESSION_DAYS = 30;

let opened: Promise<AccessStore> | undefined;
/** The store; undefined while nobody has set a passcode here. Another process may set the first one at any time. */
async function store(): Promise<AccessStore | undefined> {
	return opened || isKept(directoryOf('own')) ? made() : undefined;
}
const made = (): Promise<AccessStore> => (opened ??= AccessStore.open(directoryOf('own')));

export async function closeAccess(): Promise<void> {
	const open = opened;
	opened = undefined;
	await (await open)?.close();
}

/** Who asks: a role, by what. Without any passcode whoever reaches the server is its owner. */
export type Visitor =
	| { readonly kind: 'nobody' }
	| { readonly kind: 'open'; readonly role: 'owner' }
	| { readonly kind: 'session'; readonly role: Role; readonly session: Session }
	| { readonly kind: 'token'; readonly token: Token };

/** What a request brings along. */
export interface Brought {
	readonly cookie: string | undefined;
	/** The secret of an Authorization header, or of the address where a program can say no header. */
	readonly bearer: string | undefined;
}

export async function visitor({ cookie, bearer }: Brought): Promise<Visitor> {
	const open = await store();
	if (!open || (await open.roles()).length === 0) return { kind: 'open', role: 'owner' };
	if (bearer !== undefined) {
		// The command line that started this server for itself.
		if (bearer === process.env['WENDLE_LOCAL_TOKEN']) return { kind: 'open', role: 'owner' };
		const token = await open.token(bearer);
		return token ? { kind: 'token', token } : { kind: 'nobody' };
	}
	const session = cookie === undefined ? undefined : await open.session(cookie);
	return session ? { kind: 'session', role: session.role, session } : { kind: 'nobody' };
}

/** Whether a visitor may do what is asked: 401 for who has yet to say who they are, 403 for who may not. */
export function refusalFor(who: Visitor, method: string, path: string): 401 | 403 | undefined {
	const needed = neededFor(method, path);
	if (needed === undefined) return undefined;
	if (who.kind === 'nobody') return 401;
	if (who.kind === 'token') return reaches(who.token.scope, method, path) ? undefined : 403;
	return covers(who.role, needed) ? undefined : 403;
}

/** How a visitor is called in the list of what was done. */
export const nameOf = (who: Visitor): string => {
	switch (who.kind) {
		case 'nobody':
			return 'nobody';
		case 'open':
			return 'this computer';
		case 'session':
			return `${who.role}, ${who.session.device}`;
		case 'token':
			return `token ${who.token.name}`;
	}
};

/** Wrong passcodes that are taken before whoever types them has to wait. */
const TRIES = new RateLimiterMemory({ points: 5, duration: 15 * 60 });
/** The same from everywhere: guessing is no faster from many addresses. */
const TRIES_OF_ALL = new RateLimiterMemory({ points: 60, duration: 15 * 60 });

export type SignIn =
	| { readonly kind: 'in'; readonly role: Role; readonly secret: string }
	| { readonly kind: 'wrong' }
	| { readonly kind: 'wait'; readonly seconds: number };

/** Signs a device in with a passcode. */
export async function signIn(passcode: string, device: string, from: string): Promise<SignIn> {
	const open = await store();
	if (!open) return { kind: 'wrong' };
	try {
		// Taken before the passcode is looked at, so that many at once are no way round it.
		await TRIES.consume(from);
		await TRIES_OF_ALL.consume('all');
	} catch (refusal) {
		if (!(refusal instanceof RateLimiterRes)) throw refusal;
		return { kind: 'wait', seconds: Math.max(1, Math.ceil(refusal.msBeforeNext / 1000)) };
	}
	const role = passcode.length > MOST_LETTERS ? undefined : await open.roleOf(passcode);
	if (!role) return { kind: 'wrong' };
	await TRIES.delete(from);
	await TRIES_OF_ALL.reward('all', 1);
	return { kind: 'in', role, secret: await open.signIn(role, device) };
}

/** Signs out the device that asks, one device, or all of them. */
export const signOut = async (id?: string): Promise<void> => (await store())?.signOut(id);

/** What is wrong with a passcode as it was chosen; undefined for one that will do. */
export async function badPasscode(role: Role, passcode: string): Promise<string | undefined> {
	if (passcode.length < LEAST_LETTERS) return `Give it at least ${LEAST_LETTERS} letters or digits.`;
	if (passcode.length > MOST_LETTERS) return `Give it at most ${MOST_LETTERS} letters.`;
	if (new Set(passcode).size < 4) return 'That is too easy to guess. Use more different letters.';
	const open = await store();
	const already = await open?.roleOf(passcode);
	if (already && already !== role) return `That is the passcode of the ${already} already. Choose another.`;
	const isFirst = ((await open?.roles()) ?? []).length === 0;
	return isFirst && role !== 'owner' ? 'Set the passcode of the owner first.' : undefined;
}

/** Why a passcode may not be taken away; undefined when it may. */
export async function mayNotGo(role: Role): Promise<string | undefined> {
	const set = (await (await store())?.roles()) ?? [];
	return role === 'owner' && set.length > 1
		? 'Take away the passcodes of the bench and the viewer first: without an owner nobody could set them.'
		: undefined;
}

export const setPasscode = async (role: Role, passcode: string | null): Promise<void> =>
	(await made()).setPasscode(role, passcode);

export interface Access {
	readonly set: readonly Role[];
	readonly sessions: readonly Session[];
	readonly tokens: readonly Token[];
	readonly deeds: readonly Deed[];
}
const MOST_DEEDS = 200;

export async function access(): Promise<Access> {
	const open = await store();
	if (!open) return { set: [], sessions: [], tokens: [], deeds: [] };
	const set = await open.roles();
	return {
		set: ROLES.filter((role) => set.includes(role)),
		sessions: await open.sessions(),
		tokens: await open.tokens(),
		deeds: await open.deeds(MOST_DEEDS)
	};
}

export const makeToken = async (name: string, scope: Scope): Promise<{ id: string; secret: string }> =>
	(await made()).makeToken(name, scope);
export const revokeToken = async (id: string): Promise<void> => (await store())?.revoke(id);

/** Notes what a visitor did, while there are passcodes: before that it can only have been whoever sits at this computer. */
export async function noteDeed(who: Visitor, what: string, method: string, path: string): Promise<void> {
	const isQuestion = neededFor(method, path) === 'viewer';
	if (who.kind === 'nobody' || who.kind === 'open' || isQuestion) return;
	// What the API says of it; behind a semicolon it says more, to programs.
	await (await store())?.note(nameOf(who), what.split(';')[0]!, path);
}
