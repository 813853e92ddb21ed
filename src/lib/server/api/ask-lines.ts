import {
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
	under,
	type KnotSlug,
	type KnownComponent,
	type Result
} from '$lib/core';
import type * as ask from './ask';
import { contrastOf } from '$lib/setup/contrast';
import { DEFAULT_GAP_MM, readLineInput } from './fit-read';
import { M, tidy } from './rounding';

import { readBacking, spoolFrom, type In } from './ask-read';

type Lines = { sections: KnownComponent['sections']; layEfficiency: number }[];

function readLines(inputs: In<typeof ask.MatchRequest>['lines']): Result<Lines> {
	const lines: Lines = [];
	for (const [i, input] of inputs.entries()) {
		const line = readLineInput({ ...input, role: 'line' });
		if (!line.ok) return { ok: false, issues: under(line.issues, 'lines', i) };
		lines.push(line.value);
	}
	return ok(lines);
}

export function answerMatch(request: In<typeof ask.MatchRequest>): Result<In<typeof ask.MatchResponse>> {
	const lines = readLines(request.lines);
	if (!lines.ok) return lines;
	const backing = readBacking(request.backing);
	if (!backing.ok) return backing;
	const rows: In<typeof ask.MatchResponse>['rows'] = [];
	for (const [i, input] of request.spools.entries()) {
		const spool = spoolFrom(input);
		if (!spool.ok) return { ok: false, issues: under(spool.issues, 'spools', i) };
		for (const [j, line] of lines.value.entries()) {
			const fit = matchPair(spool.value, line, backing.value, request.gapMm ?? DEFAULT_GAP_MM);
			if (!fit.ok) return { ok: false, issues: under(fit.issues, 'spools', i) };
			const { fits, gapMm, solved } = fit.value;
			rows.push({
				spool: i,
				line: j,
				fits,
				backingM: tidy((solved?.lengthMm ?? 0) * M),
				turns: tidy(solved?.turns ?? 0),
				stopDepthMm: tidy(solved?.stopDepthMm ?? 0),
				gapMm: tidy(gapMm)
			});
		}
	}
	return ok({ rows });
}

export function answerSharedBacking(
	request: In<typeof ask.SharedBackingRequest>
): Result<In<typeof ask.SharedBackingResponse>> {
	const spool = spoolFrom(request.spool);
	if (!spool.ok) return { ok: false, issues: under(spool.issues, 'spool') };
	const lines = readLines(request.lines.map(({ line }) => line));
	if (!lines.ok) return lines;
	const backing = readBacking(request.backing);
	if (!backing.ok) return backing;
	const wanted = lines.value.map((line, i) => ({ ...line, leastGapMm: request.lines[i]!.leastGapMm }));
	const shared = sharedBacking(spool.value, wanted, backing.value);
	return ok(
		shared
			? {
					fits: true,
					backingM: tidy(shared.lengthMm * M),
					tightest: shared.tightest,
					gapsMm: shared.gapsMm.map(tidy)
				}
			: { fits: false, backingM: 0, gapsMm: [] }
	);
}

export function answerLine(request: In<typeof ask.LineRequest>): Result<In<typeof ask.LineResponse>> {
	const line = readLineInput({ ...request, role: 'line' });
	if (!line.ok) return line;
	const parsed = parseLineClass(request.lineClass ?? '');
	const usual = parsed.ok ? DENSITIES[parsed.value.density].gPerCm3 : DENSITIES.F.gPerCm3;
	const density = request.densityGPerCm3 ?? usual;
	const { sections } = line.value;
	const grains = grainsOf30ft(sections, density);
	const { number, offGrains, within } = nearestClass(grains);
	return ok({
		lengthM: tidy(totalLengthMm(sections) * M),
		volumeMm3: tidy(totalVolumeMm3(sections)),
		massG: tidy(massG(sections, density)),
		first30ftGrains: tidy(grains),
		nearestClass: number,
		offGrains: tidy(offGrains),
		withinTolerance: within
	});
}

export function answerContrast({
	one,
	other
}: In<typeof ask.ContrastRequest>): Result<In<typeof ask.ContrastResponse>> {
	const contrast = contrastOf(one, other);
	return contrast
		? ok({ deltaE: tidy(contrast.deltaE), seen: contrast.seen })
		: fail({ code: 'needs_one_of', fields: ['two colours as #rrggbb'] });
}

/** The knot in the backing that a joint comes to. */
const JOINT_KNOTS = {
	arbor: 'overhand-arbor',
	loops: 'surgeons-loop',
	nail: 'nail-knot'
} as const satisfies Record<string, KnotSlug>;

const isJoint = (knot: string): knot is keyof typeof JOINT_KNOTS => knot in JOINT_KNOTS;

export function answerCuts({
	lengthM,
	knots
}: In<typeof ask.CutsRequest>): Result<In<typeof ask.CutsResponse>> {
	const slugs = knots.map((knot) => (isJoint(knot) ? JOINT_KNOTS[knot] : knot));
	const { cutMm, knotsMm, buyMm, leftoverMm } = cutFor(lengthM / M, takenMm(slugs, 'backing'));
	return ok({
		cutM: tidy(cutMm * M),
		knotsM: tidy(knotsMm * M),
		buyM: buyMm.map((mm) => tidy(mm * M)),
		leftoverM: tidy(leftoverMm * M)
	});
}
