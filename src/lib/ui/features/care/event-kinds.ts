import type { Strand } from '$lib/core';

/** What can be written down by hand. */
export type What =
	| 'loop-test'
	| 'let-out'
	| 'cleaned'
	| 'dressed'
	| 'rinsed'
	| 'tug-test'
	| 'wetted'
	| 'turned'
	| 'loop-rebuilt'
	| 'respooled'
	| 'shortened'
	| 'fished'
	| 'coil'
	| 'retired'
	| 'came';

/** What can happen to a thing of its kind. */
export function whatOf({ kind, doubleTaper }: Strand): readonly { value: What; label: string }[] {
	const backing = kind === 'backing';
	return (
		[
			{ value: 'loop-test', label: 'loop test', of: !backing },
			{ value: 'tug-test', label: 'tug test', of: backing },
			{ value: 'let-out', label: 'twist taken out', of: !backing },
			{ value: 'cleaned', label: 'cleaned', of: !backing },
			{ value: 'dressed', label: 'dressed', of: !backing },
			{ value: 'rinsed', label: 'rinsed', of: true },
			{ value: 'wetted', label: 'wetted and dried', of: backing },
			{ value: 'turned', label: 'turned end for end', of: doubleTaper || backing },
			{ value: 'loop-rebuilt', label: 'front loop rebuilt', of: !backing },
			{ value: 'respooled', label: 'respooled', of: true },
			{ value: 'shortened', label: 'shortened', of: true },
			{ value: 'fished', label: 'days out, this alone', of: true },
			{ value: 'coil', label: 'put on a coil', of: true },
			{ value: 'retired', label: 'retired', of: true }
		] as const
	).filter(({ of }) => of);
}
