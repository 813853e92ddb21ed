/** What can be wrong with the data file, as opposed to what somebody sent. */
export type DataTroubleCode =
	| 'data_gone'
	| 'data_replaced'
	| 'data_empty'
	| 'data_full'
	| 'data_read_only'
	| 'data_damaged'
	| 'data_newer'
	| 'data_foreign'
	| 'data_busy'
	| 'data_unopened';

/** What is wrong, and what to do about it. `path` is where the file should be. */
const WORDS: Record<DataTroubleCode, (path: string) => string> = {
	data_gone: (path) =>
		`Wendle's data file (${path}) was moved or deleted while Wendle was running, so nothing can be saved. Put the file back where it was, then try again.`,
	data_replaced: (path) =>
		`Wendle's data file (${path}) was replaced by another one while Wendle was running, so nothing can be saved. Restart Wendle to use the file that is there now.`,
	data_empty: (path) =>
		`Wendle's data file (${path}) is empty, because something emptied it. Put a copy of it back, or delete it to begin with an empty rack, then try again.`,
	data_full: (path) =>
		`The disk with Wendle's data (${path}) is full, so this was not saved. Free some space, then try again.`,
	data_read_only: (path) =>
		`Wendle may not write to its data file (${path}), so this was not saved. Allow writing to the file and its folder, then try again.`,
	data_damaged: (path) =>
		`Wendle's data file (${path}) is damaged, and Wendle cannot read it. Stop Wendle, and run "npm run salvage": it reads whatever can be read into an archive. Then put your last backup in its place (npm run restore), start Wendle, and bring the archive in.`,
	data_newer: (path) =>
		`Wendle's data file (${path}) was made by a newer version of Wendle. Update Wendle, or use another data folder.`,
	data_foreign: (path) => `The file ${path} is not Wendle's data. Choose one of Wendle's backups.`,
	data_busy: (path) =>
		`Another program is using Wendle's data file (${path}), so this was not saved. Close that program, then try again.`,
	data_unopened: (path) =>
		`Wendle cannot open its data file (${path}). Check that the folder is there and that Wendle may read and write in it, then try again.`
};

/** Something is wrong with the data file. */
export class DataTrouble extends Error {
	constructor(
		readonly code: DataTroubleCode,
		path: string,
		cause?: unknown
	) {
		super(WORDS[code](path), { cause });
	}
}

/** What the driver, the file system and the migrations call these things. */
const CAUSES: readonly (readonly [RegExp, DataTroubleCode])[] = [
	[/^(SQLITE_FULL|ENOSPC|EDQUOT)/, 'data_full'],
	[/^(SQLITE_READONLY|SQLITE_PERM|EACCES|EPERM|EROFS)/, 'data_read_only'],
	[/^(SQLITE_CORRUPT|SQLITE_NOTADB)/, 'data_damaged'],
	[/^(SQLITE_BUSY|SQLITE_LOCKED)/, 'data_busy'],
	[/^(SQLITE_CANTOPEN|SQLITE_IOERR|EIO|ENOENT|ENOTDIR|EEXIST|ENXIO)/, 'data_unopened']
];

/** The trouble behind an error, where it is one with the data file; undefined for a mistake of the program's. */
export function troubleBehind(error: unknown, path: string): DataTrouble | undefined {
	if (error instanceof DataTrouble) return error;
	const { code, message } = (error ?? {}) as { code?: unknown; message?: unknown };
	const found = CAUSES.find(([cause]) => typeof code === 'string' && cause.test(code));
	if (found) return new DataTrouble(found[1], path, error);
	// Knex says so of a migration that was run and is not known here.
	if (typeof message === 'string' && message.includes('migration directory is corrupt'))
		return new DataTrouble('data_newer', path, error);
	return undefined;
}

/** A failure as it is logged: what the database says of itself holds the statement with all its values, names among them. */
export function withoutStatement(error: unknown): unknown {
	const code = (error as { code?: unknown } | null)?.code;
	if (!(error instanceof Error) || typeof code !== 'string' || !code.startsWith('SQLITE')) return error;
	const frames = error.stack?.split('\n').filter((line) => /^\s+at /.test(line)) ?? [];
	return [`the database answered ${code}`, ...frames].join('\n');
}
