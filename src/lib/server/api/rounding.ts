import type { Range, Summary } from '$lib/core';

/** Digits kept in an answer: more than any measure has, fewer than floating-point noise shows. */
const SIGNIFICANT = 8;

export const tidy = (value: number): number => Number(value.toPrecision(SIGNIFICANT));

/** Metres in an answer from the core's millimetres. */
export const M = 1 / 1000;

export const tidyRange = (range: Range, scale = 1): [number, number] => [
	tidy(range.low * scale),
	tidy(range.high * scale)
];

export const tidySummary = (summary: Summary, scale = 1): Summary => ({
	mean: tidy(summary.mean * scale),
	sd: tidy(summary.sd * scale),
	p05: tidy(summary.p05 * scale),
	p50: tidy(summary.p50 * scale),
	p95: tidy(summary.p95 * scale)
});
