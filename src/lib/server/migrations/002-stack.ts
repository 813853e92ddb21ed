import type { Knex } from 'knex';

/**
 * A set-up's fill was one line over one backing; it becomes a stack of any components, and the spool may
 * be known in more ways. Forms that are kept are rewritten; what was typed in them stays as it was typed.
 */

interface OldFill {
	line: { class: { taper: string; number: number; density: string }; length: string };
	backing: { material: string; diameter: string };
	joint: string;
	[other: string]: unknown;
}

const NO_SPREADS = { rim: '', arbor: '', width: '', depth: '', diameter: '', bulk: '', lay: '' };
const plain = { colour: '', note: '' };

function stackOf({ line, backing, joint, ...rest }: OldFill): object {
	return {
		...rest,
		stack: [
			{
				id: 'backing',
				role: 'backing',
				made: { way: 'material', ...backing },
				length: '',
				solve: true,
				joint: 'nail',
				...plain
			},
			{
				id: 'line',
				role: 'line',
				made: { way: 'class', class: line.class },
				length: line.length,
				solve: false,
				joint,
				...plain
			}
		],
		swaps: [],
		halfFit: '',
		reverseTurns: '',
		lay: '',
		spreads: NO_SPREADS
	};
}

const widerSpool = (spool: object): object => ({
	...spool,
	filled: {
		line: { taper: 'WF', number: 5, density: 'F' },
		material: 'polyester-20',
		length: '',
		gap: ''
	},
	shape: 'straight',
	low: '',
	floor: ''
});

/** Rewrites one JSON column of every row of a table. */
async function rewrite(
	knex: Knex,
	table: string,
	column: string,
	change: (form: never) => object
): Promise<void> {
	const rows = (await knex(table).select('id', column)) as Record<string, string>[];
	for (const row of rows)
		await knex(table)
			.where({ id: row['id'] })
			.update({ [column]: JSON.stringify(change(JSON.parse(row[column]!) as never)) });
}

export async function up(knex: Knex): Promise<void> {
	await rewrite(knex, 'spools', 'form', widerSpool);
	await rewrite(knex, 'setups', 'fill', stackOf);
	await rewrite(knex, 'records', 'form', ({ spool, fill }: { spool: object; fill: OldFill }) => ({
		spool: widerSpool(spool),
		fill: stackOf(fill)
	}));
}

export function down(): Promise<void> {
	return Promise.reject(new Error('A stack of more than two components has no older form.'));
}
