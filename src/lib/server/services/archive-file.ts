import { wordShape, type WordedIssue } from '$lib/wording/issues';
import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate';
import { createHash } from 'node:crypto';
import { z } from 'zod';
import { ARCHIVED, lineShape, ordered, type ArchivedRow } from '../repositories/archived';

/** An archive: a zip of one file of JSON Lines for each kind of thing, the photos, and a manifest with checksums. */

const FORMAT = 'wendle-archive';
/** The newest form of archives that this version reads and writes. */
const VERSION = 1;
/** The most that an archive may come to unpacked, bytes. */
const MOST_BYTES = 1 << 30;
const MANIFEST = 'manifest.json';
const PHOTO = /^photos\/([\w-]{1,64})\.jpg$/;

const Manifest = z.object({
	format: z.literal(FORMAT),
	version: z.number().int(),
	madeAt: z.string(),
	/** SHA-256 of each file, in hexadecimal. */
	files: z.record(z.string(), z.string())
});

export interface Archive {
	readonly madeAt: string;
	/** By the names of their files, in the order in which they are read. */
	readonly rows: Readonly<Record<string, readonly ArchivedRow[]>>;
	readonly photos: ReadonlyMap<string, Uint8Array>;
}

const digestOf = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

export function packArchive({ madeAt, rows, photos }: Archive): Uint8Array<ArrayBuffer> {
	const files: Record<string, Uint8Array> = {};
	for (const { file } of ARCHIVED)
		files[`${file}.jsonl`] = strToU8((rows[file] ?? []).map((row) => `${JSON.stringify(row)}\n`).join(''));
	for (const [id, jpeg] of photos) files[`photos/${id}.jpg`] = jpeg;
	const digests = Object.fromEntries(Object.entries(files).map(([name, bytes]) => [name, digestOf(bytes)]));
	const manifest = { format: FORMAT, version: VERSION, madeAt, files: digests };
	const zipped: Zippable = { [MANIFEST]: strToU8(JSON.stringify(manifest, null, '\t')) };
	// A JPEG doesn't get smaller.
	for (const [name, bytes] of Object.entries(files))
		zipped[name] = [bytes, { level: PHOTO.test(name) ? 0 : 6 }];
	return zipSync(zipped) as Uint8Array<ArrayBuffer>;
}

export type ReadArchive =
	| { readonly ok: true; readonly value: Archive }
	| { readonly ok: false; readonly issues: readonly WordedIssue[] };

const wrong = (code: string, message: string, path: (string | number)[] = []): ReadArchive => ({
	ok: false,
	issues: [{ code, path, message }]
});

const NO_ARCHIVE =
	"This isn't an archive of Wendle's. Choose the file that Wendle's \"Download everything\" gave you.";

function unpacked(bytes: Uint8Array): Record<string, Uint8Array> | undefined {
	let sum = 0;
	try {
		return unzipSync(bytes, { filter: ({ originalSize }) => (sum += originalSize) <= MOST_BYTES });
	} catch {
		return undefined;
	}
}

/** Reads an archive and checks every line of it. Issues name the file and the line. */
export function readArchive(bytes: Uint8Array): ReadArchive {
	const files = unpacked(bytes);
	const head = files?.[MANIFEST];
	if (!files || !head) return wrong('no_archive', NO_ARCHIVE);
	let said: unknown;
	try {
		said = JSON.parse(strFromU8(head));
	} catch {
		return wrong('no_archive', NO_ARCHIVE);
	}
	const manifest = Manifest.safeParse(said);
	if (!manifest.success) return wrong('no_archive', NO_ARCHIVE);
	const { version, madeAt, files: digests } = manifest.data;
	if (version > VERSION)
		return wrong(
			'newer_archive',
			'A newer version of Wendle made this archive. Update Wendle, then try again.'
		);
	for (const [name, digest] of Object.entries(digests)) {
		const file = files[name];
		if (!file || digestOf(file) !== digest)
			return wrong(
				'damaged_archive',
				`The file ${name} in this archive is damaged. Use another copy of it.`,
				[name]
			);
	}
	return readFiles(madeAt, files, digests);
}

function readFiles(
	madeAt: string,
	files: Record<string, Uint8Array>,
	digests: Readonly<Record<string, string>>
): ReadArchive {
	const issues: WordedIssue[] = [];
	const rows: Record<string, readonly ArchivedRow[]> = {};
	for (const table of ARCHIVED) {
		const name = `${table.file}.jsonl`;
		if (!(name in digests)) continue;
		const shape = lineShape(table);
		rows[table.file] = strFromU8(files[name]!)
			.split('\n')
			.flatMap((line, i): ArchivedRow[] => {
				if (line.trim() === '') return [];
				const read = readLine(line, shape);
				if (read.ok) return [ordered(table, read.row)];
				issues.push(
					...read.issues.map((issue) => ({
						...issue,
						path: [name, i + 1, ...issue.path],
						message: `Line ${i + 1} of ${name}: ${issue.message}`
					}))
				);
				return [];
			});
	}
	const photos = new Map(
		Object.keys(digests).flatMap((name) => {
			const id = PHOTO.exec(name)?.[1];
			return id === undefined ? [] : [[id, files[name]!] as const];
		})
	);
	return issues.length > 0 ? { ok: false, issues } : { ok: true, value: { madeAt, rows, photos } };
}

function readLine(
	line: string,
	shape: z.ZodType
): { ok: true; row: ArchivedRow } | { ok: false; issues: readonly WordedIssue[] } {
	let value: unknown;
	try {
		value = JSON.parse(line);
	} catch {
		return { ok: false, issues: [{ code: 'not_json', path: [], message: "This isn't JSON." }] };
	}
	const read = shape.safeParse(value);
	// The shapes may read a day or a moment into something else: what is written is what came.
	return read.success
		? { ok: true, row: value as ArchivedRow }
		: { ok: false, issues: wordShape(read.error) };
}

/** The published shape of an archive: the manifest, and a line of each file. */
export const archiveSchema = (): object => ({
	$schema: 'https://json-schema.org/draft/2020-12/schema',
	title: `${FORMAT} ${VERSION}`,
	description: 'A zip of these files. Each .jsonl has one JSON object a line; photos are photos/{id}.jpg.',
	files: {
		[MANIFEST]: z.toJSONSchema(Manifest, { io: 'input' }),
		...Object.fromEntries(
			ARCHIVED.map((table) => [
				`${table.file}.jsonl`,
				z.toJSONSchema(lineShape(table), { io: 'input', unrepresentable: 'any' })
			])
		)
	}
});
