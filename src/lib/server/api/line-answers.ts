import {
	all,
	cutFor,
	DENSITIES,
	fail,
	grainsOf30ft,
	massG,
	matchPair,
	nearestClass,
	ok,
	parseLineClass,
	sharedBacking,
	takenMm,
	totalLengthMm,
	totalVolumeMm3,
	within,
	type Fit,
	type KnotSlug
} from '$lib/core';
import { contrastOf } from '$lib/setup/contrast';
import * as ask from './ask';
import { COST_MS, profileShare, sectionShare } from './cost';
import { backingOf, DEFAULT_GAP_MM, lineOf, spoolFrom } from './describe';
import { question } from './question';
import type { FromMm } from './wire';
import type { z } from 'zod';

type MatchRow = FromMm<z.output<typeof ask.MatchResponse>>['rows'][number];
const rowOf = (spool: number, line: number, { fits, solved, gapMm }: Fit): MatchRow => ({
	spool,
	line,
	fits,
	backingMm: solved?.lengthMm ?? 0,
	turns: solved?.turns ?? 0,
	stopDepthMm: solved?.stopDepthMm ?? 0,
	gapMm
});

export const match = question(
	'Every spool with every line',
	ask.MatchRequest,
	ask.MatchResponse,
	function* ({ spools: sentSpools, lines: sentLines, backing: sent, gapMm = DEFAULT_GAP_MM }) {
		const lines = all(
			sentLines.map((line) => lineOf({ ...line, role: 'line' })),
			(i) => ['lines', i]
		);
		if (!lines.ok) return lines;
		const backing = backingOf(sent);
		if (!backing.ok) return backing;
		const spools = all(sentSpools.map(spoolFrom), (i) => ['spools', i]);
		if (!spools.ok) return spools;
		const rows: MatchRow[] = [];
		for (const [i, spool] of spools.value.entries()) {
			for (const [j, line] of lines.value.entries()) {
				const fit = matchPair(spool, line, backing.value, gapMm);
				if (!fit.ok) return within(within(fit, i), 'spools');
				rows.push(rowOf(i, j, fit.value));
			}
			yield (i + 1) / spools.value.length;
		}
		return ok({ rows });
	},
	({ spools, lines }) => {
		const sum = (shares: number[]): number => shares.reduce((all, share) => all + share, 0);
		return COST_MS.pair * sum(spools.map(profileShare)) * sum(lines.map(sectionShare));
	}
);

export const shared = question(
	'One backing under many lines',
	ask.SharedBackingRequest,
	ask.SharedBackingResponse,
	({ spool: sentSpool, lines: wanted, backing: sent }) => {
		const spool = within(spoolFrom(sentSpool), 'spool');
		if (!spool.ok) return spool;
		const lines = all(
			wanted.map(({ line }) => lineOf({ ...line, role: 'line' })),
			(i) => ['lines', i]
		);
		if (!lines.ok) return lines;
		const backing = backingOf(sent);
		if (!backing.ok) return backing;
		const over = lines.value.map((line, i) => ({ ...line, leastGapMm: wanted[i]!.leastGapMm }));
		const told = sharedBacking(spool.value, over, backing.value);
		return ok(
			told ? { ...told, fits: true, backingMm: told.lengthMm } : { fits: false, backingMm: 0, gapsMm: [] }
		);
	},
	({ spool, lines }) =>
		COST_MS.pair * profileShare(spool) * lines.reduce((sum, { line }) => sum + sectionShare(line), 0)
);

export const line = question(
	'What a line weighs and comes to',
	ask.LineRequest,
	ask.LineResponse,
	(request) => {
		const read = lineOf({ ...request, role: 'line' });
		if (!read.ok) return read;
		const parsed = parseLineClass(request.lineClass ?? '');
		const usual = DENSITIES[parsed.ok ? parsed.value.density : 'F'].gPerCm3;
		const density = request.densityGPerCm3 ?? usual;
		const { sections } = read.value;
		const grains = grainsOf30ft(sections, density);
		const nearest = nearestClass(grains);
		return ok({
			lengthMm: totalLengthMm(sections),
			volumeMm3: totalVolumeMm3(sections),
			massG: massG(sections, density),
			first30ftGrains: grains,
			nearestClass: nearest.number,
			offGrains: nearest.offGrains,
			withinTolerance: nearest.within
		});
	}
);

export const contrast = question(
	'Whether you can see a joint of two colours',
	ask.ContrastRequest,
	ask.ContrastResponse,
	({ one, other }) => {
		const seen = contrastOf(one, other);
		return seen ? ok(seen) : fail({ code: 'needs_one_of', fields: ['two colours as #rrggbb'] });
	}
);

/** The knot in the backing that a joint comes to. */
const JOINT_KNOTS = {
	arbor: 'overhand-arbor',
	loops: 'surgeons-loop',
	nail: 'nail-knot'
} as const satisfies Record<string, KnotSlug>;

const isJoint = (knot: string): knot is keyof typeof JOINT_KNOTS => knot in JOINT_KNOTS;

export const cuts = question(
	'What to buy and what to cut',
	ask.CutsRequest,
	ask.CutsResponse,
	({ lengthMm, knots }) => {
		const slugs = knots.map((knot) => (isJoint(knot) ? JOINT_KNOTS[knot] : knot));
		return ok(cutFor(lengthMm, takenMm(slugs, 'backing')));
	}
);
