import { gradient, posterior, varianceAlong, type Observed, type Posterior } from './posterior';
import type { Reading, TakenAs } from './reading';
import { COUNT_SHARE, type Told } from './story';
import { ofSpool, ofStrands, OTHER_TIMES } from './labels';
import { countOff, type Lying, type State, type World } from './world';

/** A reading further from what was expected than this, in standard deviations, is a question to whoever took it. */
export const SURPRISE_Z = 3;

/** What may be behind a surprise: `misread`, to read again, or one of what somebody can answer. */
export interface Explanation {
	readonly as: 'misread' | Exclude<TakenAs, 'confirmed'>;
	/** How plausible it is against the others; they add up to one. */
	readonly plausibility: number;
}

/** How likely each is before anything is read. Assumptions. */
const BEFORE = { misread: 0.4, 'lost-count': 0.35, 'other-room': 0.15, 'other-spool': 0.1 } as const;
/** A count that was lost may be off by this share of it, 1σ. Assumption. */
const LOST_SHARE = 0.35;

const normal = (z: number, sigma: number): number => Math.exp((-z * z) / 2) / sigma;

/** The strand whose count a reading stands on: its own, or the one under everything whose gap was read. */
function countedIn(reading: Reading, { amounts }: Lying, stop: number): number | undefined {
	const component = reading.kind === 'depth' ? reading.component : reading.kind === 'gap' ? stop : -1;
	return amounts[component]?.turns === undefined ? undefined : component;
}

/** Explanations of a reading that contradicts `belief`, the most plausible first: how likely the reading is under each. */
export function plausible(
	state: State,
	belief: Posterior<World>,
	observed: readonly Observed<World>[],
	{ reading, lying, observed: own }: Told,
	stop: number
): Explanation[] {
	const [one] = own;
	if (!one) return [];
	const { spool } = belief.world;
	const wider = (holds: (label: State['labels'][number]) => boolean): number => {
		const sigmas = state.labels.map((label) => (holds(label) ? OTHER_TIMES : 1));
		const widened = { ...state, sigmas };
		const then = posterior(widened, observed, belief.at);
		const slope = gradient(widened, then.at, one.predict);
		const sigma = Math.hypot(Math.sqrt(varianceAlong(then.covariance, slope)), one.sigma);
		return normal((one.value - one.predict(then.world)) / sigma, sigma);
	};
	const counted = countedIn(reading, lying, stop);
	const lost = (): number => {
		if (counted === undefined) return 0;
		const slope = gradient(state, belief.at, one.predict);
		const perSigma = slope[state.placeOf(countOff(counted))] ?? 0;
		const own = varianceAlong(belief.covariance, slope);
		const sigma = Math.hypot(Math.sqrt(own), perSigma * (LOST_SHARE / COUNT_SHARE), one.sigma);
		return normal((one.value - one.predict(belief.world)) / sigma, sigma);
	};
	const likelihood: Record<Explanation['as'], number> = {
		misread: Math.sqrt(2 * Math.PI) / (spool.rimRadiusMm - spool.arborRadiusMm),
		'lost-count': lost(),
		'other-room': wider(ofStrands(reading, stop)),
		'other-spool': wider(ofSpool(reading, stop))
	};
	const weighed = (Object.keys(BEFORE) as Explanation['as'][]).map((as) => ({
		as,
		weight: BEFORE[as] * likelihood[as]
	}));
	const total = weighed.reduce((sum, { weight }) => sum + weight, 0) || 1;
	return weighed
		.map(({ as, weight }) => ({ as, plausibility: weight / total }))
		.filter(({ as }) => as !== 'lost-count' || counted !== undefined)
		.sort((a, b) => b.plausibility - a.plausibility);
}
