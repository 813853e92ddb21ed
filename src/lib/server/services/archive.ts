import type { ArchiveChange, ArchiveMode, ArchivePreview } from '$lib/inventory/archive';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { forgetReads, write, type WriteId, type Writing } from '../db/write';
import { done, gone, refused, type Outcome } from '../outcome';
import {
	ARCHIVED,
	countArchived,
	deleteArchived,
	findImport,
	insertImport,
	isWhole,
	keyOf,
	markImport,
	putArchived,
	readArchived,
	type ArchivedRow,
	type ArchivedTable,
	type ImportRows
} from '../repositories/archived';
import { findPhoto, insertPhoto, listPhotoIds, markPhoto } from '../repositories/photos';
import { packArchive, readArchive, type Archive, type ReadArchive } from './archive-file';
import { dropParts, keepPart, partsOf } from './incoming';

/** Everything that is there, as an archive. */
export async function exportArchive(db: Knex): Promise<Uint8Array<ArrayBuffer>> {
	const rows: Record<string, readonly ArchivedRow[]> = {};
	for (const table of ARCHIVED) rows[table.file] = await readArchived(db, table);
	const photos = new Map<string, Uint8Array>();
	for (const id of await listPhotoIds(db)) photos.set(id, (await findPhoto(db, id))!);
	return packArchive({ madeAt: new Date().toISOString(), rows, photos });
}

type Kind = 'fresh' | 'newer' | 'conflicting' | 'same';

/** A row of the archive beside the one that is here. */
interface Compared {
	readonly kind: Kind;
	readonly theirs: ArchivedRow;
	readonly here: ArchivedRow | undefined;
}

const textOf = (row: ArchivedRow): string => JSON.stringify(row);

function kindOf(
	{ versioned = false }: ArchivedTable,
	theirs: ArchivedRow,
	here: ArchivedRow | undefined
): Kind {
	if (!here) return 'fresh';
	if (textOf(here) === textOf(theirs)) return 'same';
	return versioned && Number(theirs['version']) > Number(here['version']) ? 'newer' : 'conflicting';
}

async function compare(db: Knex, table: ArchivedTable, { rows }: Archive): Promise<Compared[]> {
	const theirs = rows[table.file] ?? [];
	if (theirs.length === 0) return [];
	const own = new Map((await readArchived(db, table)).map((row) => [keyOf(table, row), row]));
	return theirs.map((row) => {
		const here = own.get(keyOf(table, row));
		return { kind: kindOf(table, row, here), theirs: row, here };
	});
}

/** The most names of spools that are told. */
const MOST_NAMES = 10;

const namesOf = (compared: readonly Compared[]): string[] =>
	compared
		.filter(({ kind }) => kind === 'newer' || kind === 'conflicting')
		.flatMap(({ here }) => {
			const name = (here?.['form'] as { name?: unknown } | undefined)?.name;
			return typeof name === 'string' ? [name || 'Unnamed spool'] : [];
		})
		.slice(0, MOST_NAMES);

/** What bringing an archive in would do; nothing is written. */
export async function previewArchive(db: Knex, archive: Archive): Promise<ArchivePreview> {
	const changes: ArchiveChange[] = [];
	for (const table of ARCHIVED) {
		const compared = await compare(db, table, archive);
		const count = (kind: Kind): number => compared.filter((one) => one.kind === kind).length;
		changes.push({
			file: table.file,
			fresh: count('fresh'),
			newer: count('newer'),
			conflicting: count('conflicting'),
			same: count('same'),
			names: table.file === 'spools' ? namesOf(compared) : []
		});
	}
	const own = new Set(await listPhotoIds(db));
	const same = [...archive.photos.keys()].filter((id) => own.has(id)).length;
	return { madeAt: archive.madeAt, changes, photos: { fresh: archive.photos.size - same, same } };
}

/** The archive whose parts came under this id; undefined while none did. */
function incoming(id: string): ReadArchive | undefined {
	const bytes = partsOf(id);
	return bytes && readArchive(bytes);
}

/** What bringing an archive in would do whose parts came; the issues of one that cannot be read. */
export async function previewIncoming(db: Knex, id: string): Promise<Outcome<ArchivePreview>> {
	const read = incoming(id);
	if (!read) return gone('archive');
	return read.ok
		? done(await previewArchive(db, read.value))
		: refused({ kind: 'bad', issues: read.issues.slice(0, MOST_ISSUES) });
}

export async function keepIncoming(id: string, part: number, bytes: Uint8Array): Promise<Outcome<null>> {
	keepPart(id, part, bytes);
	return done(null);
}

/** Brings an archive in whose parts came. */
export async function bringInIncoming(
	db: Knex,
	asked: WriteId,
	id: string,
	mode: ArchiveMode
): ReturnType<typeof bringIn> {
	const read = incoming(id);
	if (!read) return gone('archive');
	if (!read.ok) return refused({ kind: 'bad', issues: read.issues.slice(0, MOST_ISSUES) });
	const outcome = await bringIn(db, asked, read.value, mode);
	if (outcome.ok) dropParts(id);
	return outcome;
}

/** The most lines that are told of that cannot be read. */
const MOST_ISSUES = 20;

const TAKEN: Record<ArchiveMode, readonly Kind[]> = {
	add: ['fresh', 'newer'],
	replace: ['fresh', 'newer', 'conflicting']
};

const NOT_WHOLE = refused({
	kind: 'bad',
	issues: [
		{
			code: 'archive_not_whole',
			path: [],
			message:
				'Something in this archive belongs to a spool or a set-up that is neither in it nor here. Use a whole archive.'
		}
	]
});

/** Rows may refer to others that are written after them; at the end everything is there. */
const inAnyOrder = (trx: Writing): Promise<unknown> =>
	trx.raw('pragma defer_foreign_keys = on').then(() => undefined);

/**
 * Brings an archive in, all of it or nothing. What is here and not in the archive stays.
 *
 * @returns the id under which it can be undone
 */
export async function bringIn(
	db: Knex,
	asked: WriteId,
	archive: Archive,
	mode: ArchiveMode
): Promise<Outcome<{ id: string; rows: number; photos: number }>> {
	const outcome = await write(db, asked, async (trx, now) => {
		await inAnyOrder(trx);
		const wrote: Record<string, ArchivedRow[]> = {};
		const before: Record<string, ArchivedRow[]> = {};
		for (const table of ARCHIVED) {
			const taken = (await compare(trx, table, archive)).filter(({ kind }) => TAKEN[mode].includes(kind));
			for (const { theirs } of taken) await putArchived(trx, table, theirs);
			wrote[table.file] = taken.map(({ theirs }) => theirs);
			before[table.file] = taken.flatMap(({ here }) => (here ? [here] : []));
		}
		const own = new Set(await listPhotoIds(trx));
		const fresh = [...archive.photos].filter(([id]) => !own.has(id));
		for (const [id, jpeg] of fresh) {
			await insertPhoto(trx, id, jpeg, now);
			// It was deleted here, and is wanted again.
			await markPhoto(trx, id, null);
		}
		if (!(await isWhole(trx))) return NOT_WHOLE;
		const id = randomUUID();
		await insertImport(trx, id, { wrote, before }, now);
		const rows = Object.values(wrote).reduce((sum, { length }) => sum + length, 0);
		return done({ id, rows, photos: fresh.length });
	});
	forgetReads(db);
	return outcome;
}

const CHANGED_SINCE = refused({
	kind: 'bad',
	issues: [
		{
			code: 'changed_since',
			path: [],
			message:
				'Something that came with the archive was changed or used since, so it stays. Restore the backup from before instead.'
		}
	]
});

/** Makes `to` of what is `from`, as long as that is still so and nothing else hangs on it. */
async function exchange(
	trx: Writing,
	from: ImportRows['wrote'],
	to: ImportRows['before']
): Promise<Outcome<null>> {
	await inAnyOrder(trx);
	const left = new Map<string, number>();
	for (const table of ARCHIVED) {
		const own = new Map((await readArchived(trx, table)).map((row) => [keyOf(table, row), textOf(row)]));
		const stays = new Set((to[table.file] ?? []).map((row) => keyOf(table, row)));
		const fromHere = from[table.file] ?? [];
		if (fromHere.some((row) => own.get(keyOf(table, row)) !== textOf(row))) return CHANGED_SINCE;
		const fresh = [...stays].filter((key) => !own.has(key)).length;
		const goes = fromHere.filter((row) => !stays.has(keyOf(table, row))).length;
		left.set(table.file, own.size + fresh - goes);
	}
	// What refers to others goes first.
	for (const table of ARCHIVED.toReversed()) {
		const stays = new Set((to[table.file] ?? []).map((row) => keyOf(table, row)));
		for (const row of from[table.file] ?? [])
			if (!stays.has(keyOf(table, row))) await deleteArchived(trx, table, row);
	}
	for (const table of ARCHIVED) for (const row of to[table.file] ?? []) await putArchived(trx, table, row);
	// A row more than these went along with one of them: somebody used it.
	for (const table of ARCHIVED)
		if ((await countArchived(trx, table)) !== left.get(table.file)) return CHANGED_SINCE;
	return (await isWhole(trx)) ? done(null) : CHANGED_SINCE;
}

/** Undoes an archive that was brought in, or brings it in again. Its photos stay either way. */
export async function undoImport(
	db: Knex,
	asked: WriteId,
	importId: string,
	undone: boolean
): Promise<Outcome<null>> {
	const outcome = await write(db, asked, async (trx, now) => {
		const found = await findImport(trx, importId);
		if (!found) return gone('import');
		if ((found.undoneAt !== null) === undone) return done(null);
		const { wrote, before } = found;
		const came = undone ? await exchange(trx, wrote, before) : await exchange(trx, before, wrote);
		if (came.ok) await markImport(trx, importId, undone ? now : null);
		return came;
	});
	forgetReads(db);
	return outcome;
}
