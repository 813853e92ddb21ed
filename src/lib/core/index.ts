/** The only door into the core. */
export * from './issues';
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
export { DEFAULT_SPREADS, type Spreads } from './uncertainty/spreads';
export type { InputKey, Problem } from './uncertainty/inputs';
export { firstOrder, type Answer, type FirstOrder, type Share } from './uncertainty/first-order';
export type { Range } from './uncertainty/propagate';
export { judge, TIGHT_GAP_MM, usualBackingMm, type Remedy, type Verdict } from './judge/judge';
export * from './procedure/steps';
export * from './judge/enough';
export * from './judge/shopping';
export * from './run/events';
export * from './run/state';
export * from './run/winding';
