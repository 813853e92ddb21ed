import { drawKnot, findKnot, KNOTS, wrapsOf, type Knot } from '$lib/core';
import { z } from 'zod';

const Ends = z.enum(['standing', 'tag', 'fine', 'butt', 'object']);

export const KnotSummary = z
	.object({
		slug: z.string(),
		name: z.string(),
		joins: z.string(),
		wraps: z.object({
			noun: z.string(),
			least: z.number().int(),
			most: z.number().int(),
			usual: z.number().int()
		}),
		stages: z.array(z.object({ title: z.string(), instruction: z.string() }))
	})
	.meta({ id: 'Knot' });
export const KnotList = z.object({ knots: z.array(KnotSummary) });

export const KnotCurves = z
	.object({
		slug: z.string(),
		/** Counted from 1. */
		stage: z.number().int(),
		wraps: z.number().int(),
		strands: z.array(
			z.object({
				role: z.string(),
				radiusMm: z.number(),
				closed: z.boolean(),
				start: Ends,
				end: Ends,
				points: z.array(z.tuple([z.number(), z.number(), z.number()]))
			})
		)
	})
	.meta({ id: 'KnotCurves' });

const summary = ({ slug, name, joins, wraps, stages }: Knot): z.infer<typeof KnotSummary> => ({
	slug,
	name,
	joins,
	wraps,
	stages: stages.map(({ title, instruction }) => ({ title, instruction }))
});

export const knotList = (): z.infer<typeof KnotList> => ({ knots: KNOTS.map(summary) });

const whole = (text: string | null): number | undefined | 'bad' =>
	text === null ? undefined : /^\d{1,3}$/.test(text) ? Number(text) : 'bad';

export type KnotAsked =
	| { kind: 'ok'; curves: z.infer<typeof KnotCurves> }
	| { kind: 'none' }
	| { kind: 'bad'; field: 'stage' | 'wraps' | 'mirrored'; message: string };

/** The curves of a stage, as asked for in an address, for the left hand where that is asked for. The last stage and the usual wraps where nothing is said. */
export async function knotCurves(slug: string, query: URLSearchParams): Promise<KnotAsked> {
	const knot = findKnot(slug);
	if (!knot) return { kind: 'none' };
	const count = knot.stages.length;
	const stage = whole(query.get('stage')) ?? count;
	if (stage === 'bad' || stage < 1 || stage > count)
		return { kind: 'bad', field: 'stage', message: `Give a stage from 1 to ${count}.` };
	const { noun, least, most } = knot.wraps;
	const asked = whole(query.get('wraps'));
	if (asked === 'bad' || (asked !== undefined && asked !== wrapsOf(knot, asked)))
		return { kind: 'bad', field: 'wraps', message: `This knot takes ${least} to ${most} ${noun}.` };
	const wraps = wrapsOf(knot, asked);
	const mirrored = query.get('mirrored') ?? 'false';
	if (mirrored !== 'true' && mirrored !== 'false')
		return { kind: 'bad', field: 'mirrored', message: 'Give true or false.' };
	const side = mirrored === 'true' ? -1 : 1;
	const { stages } = await drawKnot(knot);
	const strands = stages[stage - 1]!.strands(wraps).map(({ points, ...strand }) => ({
		...strand,
		points: points.map(([x, y, z]): [number, number, number] => [tidy(side * x), tidy(y), tidy(z)])
	}));
	return { kind: 'ok', curves: { slug, stage, wraps, strands } };
}

/** To a micrometre: the diagrams are drawn, not measured. */
const tidy = (mm: number): number => Math.round(1000 * mm) / 1000;
