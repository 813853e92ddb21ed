import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { dataDirectory } from '../db';

/** Archives on their way in: they come in parts, since a server takes no large body, and wait in a folder until they are brought in. */

/** Parts of what was never brought in go after so long. */
const WAITS_MS = 86_400_000;
/** Largest number of parts, each as large as a photo may be. */
export const MOST_PARTS = 2500;

/** What an archive's id may be: it is the name of a folder. */
const ID = /^[\w-]{8,64}$/;
export const isArchiveId = (id: string): boolean => ID.test(id);

const folder = (): string => join(dataDirectory(), 'incoming');

function dropOld(now: number): void {
	if (!existsSync(folder())) return;
	for (const id of readdirSync(folder()))
		if (now - statSync(join(folder(), id)).mtimeMs > WAITS_MS)
			rmSync(join(folder(), id), { recursive: true, force: true });
}

/** Keeps a part of an archive, under the archive's id and the part's number. */
export function keepPart(id: string, part: number, bytes: Uint8Array): void {
	if (part === 0) dropOld(Date.now());
	mkdirSync(join(folder(), id), { recursive: true });
	writeFileSync(join(folder(), id, String(part)), bytes);
}

/** All parts of an archive, one after another; undefined while none came. */
export function partsOf(id: string): Uint8Array | undefined {
	const own = join(folder(), id);
	if (!isArchiveId(id) || !existsSync(own)) return undefined;
	const parts = readdirSync(own).toSorted((a, b) => Number(a) - Number(b));
	return Buffer.concat(parts.map((part) => readFileSync(join(own, part))));
}

export const dropParts = (id: string): void => rmSync(join(folder(), id), { recursive: true, force: true });
