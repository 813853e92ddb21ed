/** The only door into the core. */
export * from './issues';
export { keys } from './keys';
export * from './units/units';
export { parseLength, parseMass, withUnit } from './units/parse';
export { formatLength, formatNumber, formatRange } from './units/format';
export {
	areaToRadius,
	radiusAtVolume,
	spoolFromProfile,
	straightSpool,
	volumeToRadius,
	widthAtRadius,
	type ProfilePoint,
	type Spool
} from './spool';
export * from './line/sections';
export * from './line/class';
export * from './line/density';
export * from './line/material';
export * from './line/strand';
export * from './line/table';
export * from './line/taper';
export * from './packing/packing';
export * from './fit/stack';
export { retrievePerTurnMm, solveFit, type Excess, type Fit, type Layer } from './fit/solve';
export * from './calibrate/ratings';
export * from './calibrate/source';
export * from './calibrate/half-fit';
export * from './calibrate/checkpoint';
export * from './calibrate/correct';
export * from './calibrate/hand';
export * from './calibrate/reverse-fill';
export * from './fit/cast';
export * from './fit/match';
export * from './fit/runout';
export { METHODS, type MethodSlug, type Played } from './methods/methods';
export * from './methods/ladder';
export { seededRandom, type Random } from './numeric/random';
export { quantileSorted, shareBelow, type Summary } from './numeric/sample';
export * from './uncertainty/monte-carlo';
export { DEFAULT_SPREADS, READING_SPREADS, type Spreads } from './uncertainty/spreads';
export type { InputKey, Problem } from './uncertainty/inputs';
export { firstOrder, type Answer, type FirstOrder, type Share } from './uncertainty/first-order';
export type { Range } from './uncertainty/propagate';
export { judge, TIGHT_GAP_MM, usualBackingMm, type Remedy, type Verdict } from './judge/judge';
export { CAUTIONS, type Caution, type Phrase, type Sentence } from './procedure/phrase';
export * from './procedure/schools';
export {
	isUnder,
	JOINT_BUYS,
	JOINTS,
	LEAST_BACKING_MM,
	type JobPart,
	type JobSetup,
	type Joint
} from './procedure/job';
export { jointOf } from './procedure/joints';
export { jobSteps } from './procedure/steps';
export { swapSteps, swapTools, type OffPart, type OnSource, type SwapPlan } from './procedure/swap';
export { untwistSteps, untwistTools, type UntwistPlan } from './procedure/untwist';
export { kindOf, STEP_KINDS, type Step, type StepKind } from './procedure/step';
export {
	remediesAt,
	remedySign,
	REMEDY_KEYS,
	type Remedy as WayBack,
	type RemedyKey
} from './procedure/remedies';
export { knotLengthMm } from './procedure/knot-lengths';
export { toolsOf } from './procedure/laid-out';
export type { Tool } from './procedure/tools';
export { expectedSeconds, learnTempo, type Tempo, type TimedStep } from './procedure/times';
export * from './judge/enough';
export * from './judge/shopping';
export * from './run/events';
export { runState, undoOf, type LogEntry, type RunState } from './run/state';
export * from './run/timing';
export * from './run/weighing';
export * from './run/winding';
export { KNOTS, findKnot } from './knots/catalogue';
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
export { exercisesOf, practiceWraps, type Choice, type Exercise } from './knots/practice';
export { KNOT_TAKES_MM, takenMm, type KnotSlug, type TakenFrom } from './knots/takes';
export { crossingsOf, type Crossing } from './knots/crossings';
export type { Vec3 } from './knots/curve';
export {
	momentOf,
	recast,
	wrapsOf,
	type Knot,
	type KnotMoment,
	type KnotStage,
	type Recast
} from './knots/knot';
export type { EndKind, Strand, StrandRole } from './knots/strand';
export {
	corrected,
	NO_TURNS,
	plus as plusTurns,
	rangeOf,
	times as timesTurns,
	type Turns
} from './twist/belief';
export {
	learnGrowth,
	loopTest,
	TWIST_LIMITS,
	twistAlong,
	twistNow,
	twistVerdict,
	USUAL_GROWTH,
	type TwistEntry,
	type TwistNow,
	type TwistVerdict
} from './twist/ledger';
export { REACH_MM, stretchAndWalk, waysOut, type LetOutSituation, type LetOutWay } from './twist/let-out';
export { machineSays, MACHINE_SCHOOLS } from './twist/schools';
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
export { addDays, dayNumber, dayNumbered, dayOf, daysBetween, readDay, type Day } from './care/days';
export {
	careState,
	counting,
	KEPT_KINDS,
	type CareEvent,
	type CareJob,
	type CareKind,
	type CareState,
	type Kept,
	type KeptKind,
	type Whereabouts
} from './care/events';
export {
	datesUntil,
	dueBy,
	duesOf,
	JOB_MINUTES,
	JOB_NAMES,
	USUAL_RULES,
	type CareRule,
	type Due
} from './care/rules';
export { paceOf, type Pace } from './care/pace';
export { dueBefore, spread, workingDays, type PlanItem, type PlannedThing, type Sitting } from './care/plan';
