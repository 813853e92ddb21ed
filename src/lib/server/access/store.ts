import { ROLES, SCOPES, type Role, type Scope } from '$lib/inventory/access';
import type { Knex } from 'knex';
import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { chmodSync, existsSync, mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import { connect } from '../db/connect';
import { hashOf, isPasscode } from './passcode';

/**
 * Who may come in: passcodes, the devices that are signed in, tokens, and who did what. A file of its own beside the data, so that
 * neither a backup nor an archive carries it away, and going back to a backup lets nobody in again.
 */

const FILE = 'access.sqlite';
const DAY_MS = 86_400_000;
/** A device that nobody used for so long is asked again. */
const SESSION_DAYS = 30;
/** What was done is told for so long. */
const DEEDS_DAYS = 400;
/** The same thing done again within this is the same line of the list: turns come by the second. */
const SAME_DEED_MS = 10 * 60_000;
/** How often something was done again is written down no more often than this: each time waits for the disk. */
const AGAIN_MS = 5000;
/** A device in use is noted no more often than this. */
const SEEN_MS = 60_000;

const MIGRATIONS: Readonly<Record<string, (db: Knex) => Promise<void>>> = {
	'001-access': async (db) => {
		await db.schema.createTable('passcodes', (table) => {
			table.text('role').primary();
			table.text('hash').notNullable();
			table.text('setAt').notNullable();
		});
		await db.schema.createTable('sessions', (table) => {
			table.text('id').primary();
			table.text('hash').notNullable().unique();
			table.text('role').notNullable();
			table.text('device').notNullable();
			table.text('createdAt').notNullable();
			table.text('seenAt').notNullable();
		});
		await db.schema.createTable('tokens', (table) => {
			table.text('id').primary();
			table.text('hash').notNullable().unique();
			table.text('name').notNullable();
			table.text('scope').notNullable();
			table.text('createdAt').notNullable();
			table.text('seenAt');
		});
		await db.schema.createTable('deeds', (table) => {
			table.increments('id');
			table.text('who').notNullable();
			table.text('what').notNullable();
			table.text('path').notNullable();
			table.text('firstAt').notNullable();
			table.text('lastAt').notNullable().index();
			table.integer('times').notNullable();
		});
	}
};

const SessionRow = z.object({
	id: z.string(),
	role: z.enum(ROLES),
	device: z.string(),
	createdAt: z.string(),
	seenAt: z.string()
});
export type Session = z.infer<typeof SessionRow>;
const TokenRow = z.object({
	id: z.string(),
	name: z.string(),
	scope: z.enum(SCOPES),
	createdAt: z.string(),
	seenAt: z.string().nullable()
});
export type Token = z.infer<typeof TokenRow>;
const DeedRow = z.object({
	who: z.string(),
	what: z.string(),
	path: z.string(),
	firstAt: z.string(),
	lastAt: z.string(),
	times: z.number()
});
export type Deed = z.infer<typeof DeedRow>;

const secretHash = (secret: string): string => createHash('sha256').update(secret).digest('base64url');
const before = (ms: number): string => new Date(Date.now() - ms).toISOString();

/** Whether a folder has the file at all: while nobody set a passcode there is none, and nobody is asked. */
export const isKept = (data: string): boolean => existsSync(join(data, FILE));

async function openFile(data: string): Promise<Knex> {
	mkdirSync(data, { recursive: true });
	const filename = join(data, FILE);
	const db = connect(filename);
	await db.migrate.latest({
		migrationSource: {
			getMigrations: () => Promise.resolve(Object.keys(MIGRATIONS)),
			getMigrationName: (name: string) => name,
			getMigration: (name: string) =>
				Promise.resolve({ up: MIGRATIONS[name]!, down: () => Promise.resolve() })
		}
	});
	chmodSync(filename, 0o600);
	return db;
}

/** The open file of a data folder. */
export class AccessStore {
	readonly #db: Knex;
	/** What was done within the last seconds, and how often since it was written down. */
	readonly #again = new Map<string, Omit<Deed, 'firstAt'>>();
	#writing: NodeJS.Timeout | undefined;
	private constructor(db: Knex) {
		this.#db = db;
	}
	static async open(data: string): Promise<AccessStore> {
		return new AccessStore(await openFile(data));
	}
	async close(): Promise<void> {
		await this.#writeAgain();
		await this.#db.destroy();
	}

	async roles(): Promise<Role[]> {
		const rows: unknown = await this.#db('passcodes').select('role');
		const set = z.array(z.object({ role: z.enum(ROLES) })).parse(rows);
		return set.map(({ role }) => role);
	}

	/** Sets the passcode of a role, or takes it away; whoever is signed in with the old one is signed out. */
	async setPasscode(role: Role, passcode: string | null): Promise<void> {
		const row = passcode === null ? undefined : { role, hash: await hashOf(passcode), setAt: before(0) };
		await this.#db.transaction(async (trx) => {
			await trx('passcodes').where({ role }).delete();
			if (row) await trx('passcodes').insert(row);
			await trx('sessions').where({ role }).delete();
		});
	}

	/** Whose passcode this is. All of them are tried, whichever it is, so that the time taken tells nothing. */
	async roleOf(passcode: string): Promise<Role | undefined> {
		const rows: unknown = await this.#db('passcodes').select('role', 'hash');
		const kept = z.array(z.object({ role: z.enum(ROLES), hash: z.string() })).parse(rows);
		const fits = await Promise.all(kept.map(({ hash }) => isPasscode(hash, passcode)));
		return kept.find((_, i) => fits[i])?.role;
	}

	/** Signs a device in; what its cookie then says. */
	async signIn(role: Role, device: string): Promise<string> {
		const secret = randomBytes(32).toString('base64url');
		const now = before(0);
		await this.#db('sessions')
			.where('seenAt', '<', before(SESSION_DAYS * DAY_MS))
			.delete();
		await this.#db('sessions').insert({
			id: randomUUID(),
			hash: secretHash(secret),
			role,
			device: device.slice(0, 80),
			createdAt: now,
			seenAt: now
		});
		return secret;
	}

	/** The device that a cookie belongs to. */
	async session(secret: string): Promise<Session | undefined> {
		const row: unknown = await this.#db('sessions')
			.where({ hash: secretHash(secret) })
			.andWhere('seenAt', '>=', before(SESSION_DAYS * DAY_MS))
			.first('id', 'role', 'device', 'createdAt', 'seenAt');
		const session = SessionRow.optional().parse(row);
		if (session && session.seenAt < before(SEEN_MS))
			await this.#db('sessions')
				.where({ id: session.id })
				.update({ seenAt: before(0) });
		return session;
	}

	async sessions(): Promise<Session[]> {
		const rows: unknown = await this.#db('sessions')
			.where('seenAt', '>=', before(SESSION_DAYS * DAY_MS))
			.orderBy('seenAt', 'desc')
			.select('id', 'role', 'device', 'createdAt', 'seenAt');
		return z.array(SessionRow).parse(rows);
	}

	/** Signs a device out, or all of them. */
	async signOut(id?: string): Promise<void> {
		await this.#db('sessions')
			.where(id === undefined ? {} : { id })
			.delete();
	}

	/** Makes a token; its secret is told once, here. */
	async makeToken(name: string, scope: Scope): Promise<{ id: string; secret: string }> {
		const [id, secret] = [randomUUID(), `wendle_${randomBytes(32).toString('base64url')}`];
		await this.#db('tokens').insert({ id, hash: secretHash(secret), name, scope, createdAt: before(0) });
		return { id, secret };
	}
	async token(secret: string): Promise<Token | undefined> {
		const row: unknown = await this.#db('tokens')
			.where({ hash: secretHash(secret) })
			.first('id', 'name', 'scope', 'createdAt', 'seenAt');
		const token = TokenRow.optional().parse(row);
		if (token && (token.seenAt ?? '') < before(SEEN_MS))
			await this.#db('tokens')
				.where({ id: token.id })
				.update({ seenAt: before(0) });
		return token;
	}
	async tokens(): Promise<Token[]> {
		const rows: unknown = await this.#db('tokens')
			.orderBy('createdAt')
			.select('id', 'name', 'scope', 'createdAt', 'seenAt');
		return z.array(TokenRow).parse(rows);
	}
	async revoke(id: string): Promise<void> {
		await this.#db('tokens').where({ id }).delete();
	}

	/** Notes that somebody did something: at once, and together with the next ones where it was done again. */
	async note(who: string, what: string, path: string): Promise<void> {
		const now = before(0);
		const key = JSON.stringify([who, what, path]);
		const again = this.#again.get(key);
		if (again) {
			again.times += 1;
			again.lastAt = now;
			return;
		}
		this.#again.set(key, { who, what, path, lastAt: now, times: 0 });
		this.#writing ??= setTimeout(() => void this.#writeAgain().catch(() => undefined), AGAIN_MS).unref();
		await this.#write({ who, what, path, lastAt: now, times: 1 });
	}
	async #writeAgain(): Promise<void> {
		clearTimeout(this.#writing);
		this.#writing = undefined;
		const all = [...this.#again.values()];
		this.#again.clear();
		for (const deed of all) if (deed.times > 0) await this.#write(deed);
	}
	/** Counts a deed on the line that tells of it, or begins one. */
	#write({ who, what, path, lastAt, times }: Omit<Deed, 'firstAt'>): Promise<void> {
		return this.#db.transaction(async (trx) => {
			const told = await trx('deeds')
				.where({ who, what, path })
				.andWhere('lastAt', '>=', before(SAME_DEED_MS))
				.update({ lastAt })
				.increment('times', times);
			if (told > 0) return;
			await trx('deeds')
				.where('lastAt', '<', before(DEEDS_DAYS * DAY_MS))
				.delete();
			await trx('deeds').insert({ who, what, path, firstAt: lastAt, lastAt, times });
		});
	}
	async deeds(most: number): Promise<Deed[]> {
		await this.#writeAgain();
		const rows: unknown = await this.#db('deeds').orderBy('lastAt', 'desc').limit(most).select('*');
		return z.array(DeedRow).parse(rows);
	}
}

/** Whether whoever comes in to this data is asked for a passcode. */
export async function hasPasscode(data: string): Promise<boolean> {
	if (!isKept(data)) return false;
	const store = await AccessStore.open(data);
	try {
		return (await store.roles()).length > 0;
	} finally {
		await store.close();
	}
}
