import {
	firstOrder,
	ok,
	retrievePerTurnMm,
	solveFit,
	spoolOf,
	under,
	type Fit,
	type Problem,
	type Result,
	type Spool
} from '$lib/core';
import type { FitResponse } from './fit';
import { M, tidy, tidyRange } from './rounding';

function componentsOf(fit: Fit): FitResponse['components'] {
	return fit.layers.map((layer) => ({
		role: layer.role,
		lengthM: tidy(layer.lengthMm * M),
		volumeMm3: tidy(layer.volumeMm3),
		turns: tidy(layer.turns),
		innerDiameterMm: tidy(2 * layer.innerRadiusMm),
		outerDiameterMm: tidy(2 * layer.outerRadiusMm),
		depthMm: tidy(layer.depthMm)
	}));
}

const retrieveOf = (spool: Spool, fit: Fit): FitResponse['retrieve'] => ({
	fullMm: tidy(retrievePerTurnMm(fit.layers.at(-1)!.outerRadiusMm)),
	arborMm: tidy(retrievePerTurnMm(spool.arborRadiusMm))
});

function rangesOf(problem: Problem, fit: Fit): FitResponse['ranges'] {
	const { ranges } = firstOrder(problem, fit);
	const gapMm = tidyRange(ranges.gapMm);
	return fit.solved
		? {
				gapMm,
				lengthM: tidyRange(ranges.lengthMm, M),
				turns: tidyRange(ranges.turns),
				stopDepthMm: tidyRange(ranges.stopDepthMm)
			}
		: { gapMm };
}

/** Solves a problem and answers in the API's shape. Issues carry paths into the request. */
export function answerFit(problem: Problem): Result<FitResponse> {
	const built = spoolOf(problem.source);
	if (!built.ok) return { ok: false, issues: under(built.issues, 'spool') };
	const { spool, estimated, consistency } = built.value;
	const solved = solveFit(spool, problem.stack, problem.gapMm);
	if (!solved.ok) return solved;
	const fit = solved.value;
	return ok({
		fits: fit.fits,
		gapMm: tidy(fit.gapMm),
		...(fit.solved && {
			solved: {
				index: fit.solved.index,
				lengthM: tidy(fit.solved.lengthMm * M),
				turns: tidy(fit.solved.turns),
				stopDepthMm: tidy(fit.solved.stopDepthMm)
			}
		}),
		...(fit.excess && { over: { gapMm: tidy(fit.excess.gapMm), lengthM: tidy(fit.excess.lengthMm * M) } }),
		components: componentsOf(fit),
		retrieve: retrieveOf(spool, fit),
		ranges: rangesOf(problem, fit),
		spool: {
			rimDiameterMm: tidy(2 * spool.rimRadiusMm),
			arborDiameterMm: tidy(2 * spool.arborRadiusMm),
			widthMm: tidy(spool.profile.at(-1)!.widthMm),
			estimated: [...estimated],
			...(consistency && {
				ratings: {
					deviations: consistency.deviations.map(tidy),
					...(consistency.oddIndex !== undefined && { oddIndex: consistency.oddIndex }),
					undecided: consistency.undecided
				}
			})
		}
	});
}
