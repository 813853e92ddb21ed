/** The only door into the core. Each export has somebody outside who uses it. */
export { all, fail, ok, under, within, type Issue, type IssueDetail, type Path, type Result } from './issues';
export { keys } from './keys';
export { fromGrams, fromMm, toGrams, toMm, type LengthUnit } from './units/units';
export { parseLength, parseMass, withUnit } from './units/parse';
export { formatFraction, formatLength, formatNumber, formatRange } from './units/format';
export {
	areaToRadius,
	radiusAtVolume,
	straightSpool,
	volumeToRadius,
	widthAtRadius,
	type ProfilePoint,
	type Spool
} from './spool';
export {
	level,
	massG,
	sectionVolumeMm3,
	totalLengthMm,
	totalVolumeMm3,
	type LineSection
} from './line/sections';
export {
	DENSITIES,
	formatLineClass,
	parseLineClass,
	shortestLengthMm,
	standardLengthMm,
	taperOf,
	TAPERS,
	type Density,
	type LineClass,
	type Taper
} from './line/class';
export { densityOf, lineDensity } from './line/density';
export { TWO_HANDED } from './line/two-handed';
export { BACKING_MATERIALS, findMaterial, type BackingMaterial } from './line/material';
export {
	diameterByCalipers,
	diameterByMass,
	diameterByWraps,
	parseStrand,
	type StrandDensity,
	type StrandDiameter
} from './line/strand';
export { readTaperTable } from './line/table';
export { classOf, grainsOf30ft, nearestClass, scaleToMass, toleranceGrains } from './line/taper';
export {
	BACKING_LAY_EFFICIENCY,
	LINE_LAY_EFFICIENCY,
	MAX_LAY_EFFICIENCY,
	packingFraction,
	WINDING_HANDS,
	type WindingHand
} from './packing/packing';
export {
	isKnown,
	ROLE_NAMES,
	ROLES,
	spaceMm3,
	stopOf,
	type Component,
	type ComponentSpreads,
	type KnownComponent,
	type Role,
	type Stack,
	type UnknownComponent
} from './fit/stack';
export { retrievePerTurnMm, solveFit, type Fit, type Layer } from './fit/solve';
export { DEFAULT_MAKERS_ALLOWANCE, MAKERS_ALLOWANCES, type Rating } from './calibrate/ratings';
export {
	knownFillSource,
	ratedSource,
	spoolOf,
	type KnownSpool,
	type Measure,
	type SpoolSource
} from './calibrate/source';
export { halfFit } from './estimate/asked/half-fit';
export { asSeenAlone } from './estimate/asked/seen-alone';
export { checkpoint, type Checkpoint } from './estimate/asked/checkpoint';
export { correct } from './estimate/asked/correct';
export { believe } from './estimate/belief';
export { estimate, estimateOf, type Estimate } from './estimate/estimate';
export { sampleEstimate } from './estimate/sample';
export type { Ranged } from './estimate/ranged';
export { aboutAsPlanned, TAKEN_AS, type Reading, type TakenAs } from './estimate/reading';
export type { Explanation } from './estimate/surprise';
export { learnRack, marginalOf, type Learnt } from './learn/rack';
export type { RackWinding } from './learn/local';
export { beforeAndNow, idsBehind, type BeforeAndNow } from './learn/told';
export { learntFor, startingFrom, type Known } from './learn/start';
export { isOdd } from './learn/rack';
export type { Things } from './learn/things';
export { castLengthMm } from './fit/cast';
export {
	matchMatrix,
	matchPair,
	sharedBacking,
	type MatchBacking,
	type MatchCell,
	type MatchLine
} from './fit/match';
export { runoutOf, type RunoutPoint } from './fit/runout';
export { METHODS, type MethodSlug, type Played } from './methods/methods';
export { ended } from './numeric/ended';
export { ladder, playMethods, summariseMethod, type Ladder, type Rung } from './methods/ladder';
export { seededRandom, type Random } from './numeric/random';
export {
	lengthAtRisk,
	simulate,
	simulation,
	type Simulation,
	type SimulationOptions,
	type StopBy
} from './uncertainty/monte-carlo';
export { DEFAULT_SPREADS, RANGE_Z, READING_SPREADS, type Spreads } from './uncertainty/spreads';
export type { Problem } from './uncertainty/inputs';
export { learntBelow } from './uncertainty/joint';
export { firstOrder, type FirstOrder, type Share } from './uncertainty/first-order';
export type { Range } from './uncertainty/propagate';
export { judge, usualBackingMm, type Alternative, type Verdict } from './judge/judge';
export { CAUTIONS, type Phrase, type Sentence } from './procedure/phrase';
export {
	gapOfTechnique,
	TECHNIQUE_KEYS,
	TECHNIQUES,
	techniquesOf,
	type ChosenTechniques,
	type TechniqueKey,
	type Techniques
} from './procedure/techniques';
export {
	isUnder,
	JOINT_BUYS,
	JOINTS,
	LEAST_BACKING_MM,
	type JobPart,
	type JobSetup,
	type Joint
} from './procedure/job';
export { arborKnotOf } from './procedure/arbor';
export { concerns, jointOf, jointsBetween, placeBetween } from './procedure/joints';
export { jobSteps } from './procedure/steps';
export { swapSteps, swapTools, type OffPart, type OnSource, type SwapPlan } from './procedure/swap';
export { CORE_LB } from './procedure/stretch';
export { untwistSteps, untwistTools, type UntwistPlan } from './procedure/untwist';
export {
	backToFront,
	behindFirst,
	firstId,
	REVERSE_WAY_KEYS,
	REVERSE_WAYS,
	type ReverseWay
} from './procedure/reverse-ways';
export { reverseSteps, reverseTools } from './procedure/reverse';
export {
	CUT_WITH_LOOP_MM,
	MENDS,
	outingSteps,
	outingTools,
	repairSteps,
	repairTools,
	type Mend
} from './procedure/on-the-water';
export { kindOf, STEP_KINDS, type Step, type StepKind } from './procedure/step';
export { remediesAt, REMEDY_KEYS, remedySign, type Remedy, type RemedyKey } from './procedure/remedies';
export { knotLengthMm } from './procedure/knot-lengths';
export { toolsOf } from './procedure/laid-out';
export type { Tool } from './procedure/tools';
export { expectedSeconds, learnTempo, type Tempo } from './procedure/times';
export { isEnough, moreBacking, QUARRIES, type MoreBacking } from './judge/enough';
export { rightLength, type RightLength } from './judge/given';
export { cutFor, type Cut } from './judge/shopping';
export { COUNTED_BY, type RunEvent } from './run/events';
export { runState, undoOf, type LogEntry, type RunReading, type RunState } from './run/state';
export { runSeconds, stepTimes, timedSteps } from './run/timing';
export { lengthWeighed } from './run/weighing';
export { traverseAt, turnsOfLength, windingAfter } from './run/winding';
export { findKnot, KNOTS } from './knots/catalogue';
export { chooseKnot, type KnotAnswer } from './knots/choose';
export {
	KNOT_PLACES,
	KNOT_TOOLS,
	TYPICAL_MM,
	usualSituation,
	type KnotPlace,
	type KnotSituation,
	type KnotTool
} from './knots/situation';
export { DESCRIBED, findDescribed } from './knots/described';
export { GRIPS, holdOfTurns, type Grip } from './knots/hold';
export { exercisesOf, practiceWraps, type Exercise } from './knots/practice';
export { KNOT_TAKES_MM, takenMm, type KnotSlug } from './knots/takes';
export { crossingsOf, type Crossing } from './knots/crossings';
export type { Vec3 } from './knots/curve';
export { momentOf, recast, wrapsOf, type DrawnKnot, type Knot, type Recast } from './knots/knot';
export { drawKnot, drawMovingKnot, findDrawnKnot, finishedKnots } from './knots/kept-curves';
export type { Hand, Laid } from './knots/signs';
export { STANDS_OUTWARD, type EndKind, type KnotStrand, type KnotStrandRole } from './knots/strand';
export { NO_TURNS, rangeOf, times as timesTurns, type Turns } from './twist/belief';
export { loopTest, TWIST_LIMITS, twistVerdict, USUAL_GROWTH, type TwistVerdict } from './twist/ledger';
export {
	stretchAndWalk,
	untwistTechniques,
	type LetOutSituation,
	type UntwistTechnique
} from './twist/let-out';
export { MACHINE_TECHNIQUES, machineSays } from './twist/techniques';
export {
	coilsIn,
	gentlest,
	LEAVINGS,
	ONTO,
	SOURCES,
	transfersTurns,
	transferTurns,
	USUAL_HAND_COIL_MM,
	USUAL_JUMP_SHARE,
	type Leaving,
	type Onto,
	type Seen,
	type Transfer,
	type TwistSource
} from './twist/transfer';
export { dayNumber, dayNumbered, dayOf, readDay, type Day } from './care/days';
export {
	careState,
	counting,
	STRAND_KINDS,
	type CareEvent,
	type CareJob,
	type CareKind,
	type CareState,
	type Strand,
	type StrandKind,
	type Whereabouts
} from './care/events';
export { duesOf, JOB_NAMES, USUAL_RULES, type CareRule, type Due } from './care/rules';
export { dueBefore, spread, workingDays, type PlanItem } from './care/plan';
export {
	bulkLeft,
	bulkSurfaceMm,
	byHandSigmaMm,
	spaceOf,
	type BulkEvent,
	type BulkLeft,
	type BulkLength,
	type BulkSpool
} from './stock/left';
export { planCuts, type CutPlan } from './stock/cut-plan';
export { MOVE_COSTS_M } from './stock/cut-question';
export type { CutQuestion, Cuts, CutSource, WantedCut } from './stock/cut-question';
export type { Programme, Solve } from './stock/programme';
