import { parseLength, type LengthUnit } from '../src/lib/core';
import { PART_BYTES } from '../src/lib/inventory/archive-parts';
import { randomUUID } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { parseArgs } from 'node:util';

/** A Wendle to ask: one that runs somewhere, or one that was started for a data folder. */
export interface Wendle {
	readonly base: string;
	/** What it is asked with, where it asks for one. */
	readonly token?: string | undefined;
	readonly close: () => void;
}

export interface Around {
	readonly print: (text: string) => void;
	/** Starts a Wendle for a data folder. */
	readonly startFor: (folder: string) => Promise<Wendle>;
}

/** What somebody typed cannot be done; said in one line. */
class Refused extends Error {}

export const USAGE = `npm run cli -- COMMAND [options]

  fit      how much backing goes under a line
           --rim 84mm --arbor 38mm --width 21mm --gap 4mm --line WF6F --backing polyester-20
  list     what is kept: spools, setups, windings, orders or stock
           list orders
  export   everything as an archive: export wendle.zip
  import   what an archive would change: import wendle.zip
           --yes brings it in, --replace takes the archive's where both differ
  backup   copies everything Wendle knows

  --server http://127.0.0.1:4173   a Wendle that runs (this one, if you say neither)
  --data FOLDER                    the data in a folder, whether or not a Wendle runs
  --token TOKEN                    a token of the Wendle that runs, where it asks for a passcode (or WENDLE_TOKEN)
  --json                           the whole answer`;

const OPTIONS = {
	server: { type: 'string' },
	data: { type: 'string' },
	token: { type: 'string' },
	json: { type: 'boolean' },
	yes: { type: 'boolean' },
	replace: { type: 'boolean' },
	rim: { type: 'string' },
	arbor: { type: 'string' },
	width: { type: 'string' },
	gap: { type: 'string' },
	line: { type: 'string' },
	backing: { type: 'string' },
	help: { type: 'boolean' }
} as const;
type Options = ReturnType<typeof parseArgs<{ options: typeof OPTIONS }>>['values'];

interface Asked {
	readonly wendle: Wendle;
	readonly options: Options;
	readonly rest: readonly string[];
	readonly print: (text: string) => void;
}

const asking = ({ base, token }: Wendle, path: string, init: RequestInit = {}): Promise<Response> =>
	fetch(base + path, {
		...init,
		headers: { ...init.headers, ...(token !== undefined && { authorization: `Bearer ${token}` }) }
	});

async function ask<T>(wendle: Wendle, path: string, init: RequestInit = {}): Promise<T> {
	const { base } = wendle;
	const reply = await asking(wendle, path, init).catch(() => {
		throw new Refused(
			`No Wendle answers at ${base}. Start one with "npm start", or name a folder with --data.`
		);
	});
	if (reply.ok) return (reply.status === 204 ? undefined : await reply.json()) as T;
	const body = (await reply.json().catch(() => ({}))) as { issues?: { message: string }[]; message?: string };
	throw new Refused(
		body.issues?.map(({ message }) => message).join('\n') ?? body.message ?? reply.statusText
	);
}
const sending = (body: unknown, method = 'POST'): RequestInit => ({
	method,
	headers: { 'content-type': 'application/json', 'idempotency-key': randomUUID() },
	body: JSON.stringify(body)
});

/** A length as it was typed, mm. */
function millimetres(name: string, text: string | undefined, unit: LengthUnit = 'mm'): number {
	const read = parseLength(text ?? '', unit);
	if (text === undefined || !read.ok)
		throw new Refused(`Give --${name} as a length, such as --${name} 84mm.`);
	return read.value;
}

async function fit({ wendle, options, print }: Asked): Promise<void> {
	const { rim, arbor, width, gap = '4mm', line = 'WF6F', backing = 'polyester-20', json } = options;
	const answer = await ask<{
		fits: boolean;
		gapMm: number;
		solved?: { lengthM: number; turns: number; stopDepthMm: number };
		ranges: Record<string, readonly [number, number]>;
	}>(
		wendle,
		'/api/fit',
		sending({
			spool: {
				rimDiameterMm: millimetres('rim', rim),
				arborDiameterMm: millimetres('arbor', arbor),
				widthMm: millimetres('width', width)
			},
			stack: [
				{ role: 'backing', material: backing },
				{ role: 'line', lineClass: line }
			],
			gapMm: millimetres('gap', gap)
		})
	);
	if (json) return print(JSON.stringify(answer, null, '\t'));
	const { solved, ranges } = answer;
	if (!answer.fits || !solved) throw new Refused('This line does not fit on this spool with any backing.');
	const range = (name: string, digits: number): string =>
		(ranges[name] ?? []).map((end) => end.toFixed(digits)).join('–');
	print(`stop at      ${solved.stopDepthMm.toFixed(1)} mm under the rim (${range('stopDepthMm', 1)})`);
	print(`backing      ${solved.lengthM.toFixed(0)} m (${range('lengthM', 0)})`);
	print(`turns        ${solved.turns.toFixed(0)} (${range('turns', 0)})`);
	print(`gap          ${answer.gapMm.toFixed(1)} mm (${range('gapMm', 1)})`);
}

/** How one of each kind is told on a line. */
const LISTED: Readonly<Record<string, (thing: Listed) => string>> = {
	spools: ({ form }) => form?.name || 'Unnamed spool',
	setups: ({ form }) => form?.spool?.name || 'Unnamed spool',
	windings: ({ form, woundOn }) => `${woundOn}  ${form?.spool?.name || 'Unnamed spool'}`,
	orders: ({ number, state, form }) => `${number}  ${state}  ${form?.who ?? ''}`,
	stock: ({ form, what, leftMm, boxes }) =>
		`${form?.name || what}  ${leftMm ? `about ${Math.round(leftMm.value / 1000)} m` : `${boxes} boxes`}`
};
interface Listed {
	readonly id: string;
	readonly form?: {
		readonly name?: string;
		readonly who?: string;
		readonly spool?: { readonly name?: string };
	};
	readonly woundOn?: string;
	readonly number?: number;
	readonly state?: string;
	readonly what?: string;
	readonly leftMm?: { readonly value: number } | null;
	readonly boxes?: number | null;
}

async function everything(wendle: Wendle, kind: string): Promise<Listed[]> {
	const all: Listed[] = [];
	for (let after: string | null = ''; after !== null;) {
		const page: { things: Listed[]; next: string | null } = await ask(
			wendle,
			`/api/${kind}?most=200${after && `&after=${encodeURIComponent(after)}`}`
		);
		all.push(...page.things);
		after = page.next;
	}
	return all;
}

async function list({ wendle, options, rest, print }: Asked): Promise<void> {
	const kind = rest[0] ?? '';
	const told = LISTED[kind];
	if (!told) throw new Refused(`Say what to list: ${Object.keys(LISTED).join(', ')}.`);
	const all = await everything(wendle, kind);
	if (options.json) return print(JSON.stringify(all, null, '\t'));
	for (const thing of all) print(`${thing.id}  ${told(thing)}`);
}

const fileIn = (rest: readonly string[], command: string): string => {
	if (rest[0] === undefined) throw new Refused(`Name the file: npm run cli -- ${command} wendle.zip`);
	return rest[0];
};

async function exportTo({ wendle, rest, print }: Asked): Promise<void> {
	const file = fileIn(rest, 'export');
	const reply = await asking(wendle, '/api/archive');
	if (!reply.ok) throw new Refused(`Wendle gave no archive: ${reply.statusText}.`);
	const bytes = new Uint8Array(await reply.arrayBuffer());
	writeFileSync(file, bytes);
	print(`Everything is in ${file}, ${Math.ceil(bytes.byteLength / 1024)} kB.`);
}

async function importFrom({ wendle, options, rest, print }: Asked): Promise<void> {
	const file = fileIn(rest, 'import');
	let bytes: Uint8Array<ArrayBuffer>;
	try {
		bytes = new Uint8Array(readFileSync(file));
	} catch {
		throw new Refused(`There is no file ${file} that can be read.`);
	}
	const path = `/api/archive/incoming/${randomUUID()}`;
	for (let part = 0; part * PART_BYTES < Math.max(bytes.byteLength, 1); part++)
		await ask(wendle, `${path}/${part}`, {
			method: 'PUT',
			headers: { 'content-type': 'application/octet-stream' },
			body: bytes.slice(part * PART_BYTES, (part + 1) * PART_BYTES)
		});
	const { changes } = await ask<{
		changes: { file: string; fresh: number; newer: number; conflicting: number; same: number }[];
	}>(wendle, path);
	for (const { file: kind, fresh, newer, conflicting, same } of changes)
		if (fresh + newer + conflicting + same > 0)
			print(`${kind}: ${fresh} new, ${newer} newer, ${conflicting} different, ${same} the same`);
	if (!options.yes) return print('Nothing is written. Add --yes to bring it in.');
	const mode = options.replace ? 'replace' : 'add';
	const { id, rows } = await ask<{ id: string; rows: number }>(wendle, path, sending({ mode }));
	print(`Brought in: ${rows} entries. DELETE /api/archive/imports/${id} undoes it.`);
}

async function backup({ wendle, print }: Asked): Promise<void> {
	await ask(wendle, '/api/backups', sending({ of: 'everything' }));
	print('Everything is backed up.');
}

const COMMANDS = { fit, list, export: exportTo, import: importFrom, backup } as const;

/** Does what was typed; what the process ends with. */
export async function run(args: readonly string[], { print, startFor }: Around): Promise<number> {
	let wendle: Wendle | undefined;
	try {
		const { values: options, positionals } = parseArgs({
			args: [...args],
			options: OPTIONS,
			allowPositionals: true
		});
		const [command = '', ...rest] = positionals;
		const act = Object.hasOwn(COMMANDS, command) ? COMMANDS[command as keyof typeof COMMANDS] : undefined;
		if (options.help || !act) {
			print(USAGE);
			return options.help ? 0 : 2;
		}
		wendle =
			options.data === undefined
				? {
						base: (options.server ?? 'http://127.0.0.1:4173').replace(/\/$/, ''),
						token: options.token ?? process.env['WENDLE_TOKEN'],
						close: () => undefined
					}
				: await startFor(options.data);
		await act({ wendle, options, rest, print });
		return 0;
	} catch (error) {
		const said = error instanceof Refused || (error as { code?: string }).code?.startsWith('ERR_PARSE_ARGS');
		if (!said) throw error;
		print((error as Error).message);
		return 1;
	} finally {
		wendle?.close();
	}
}
