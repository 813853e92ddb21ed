import {
	diameterByMass,
	level,
	lineDensity,
	taperOf,
	type BackingMaterial,
	type Density,
	type LineClass,
	type Rating
} from '$lib/core';

/** What a box counts with: a line by its class, a head by weight and length, or a length of plain nylon alone. */
export type RatedWith =
	| { readonly of: 'line'; readonly line: LineClass }
	/** A head of one thickness takes the same room as a tapered one of its weight and length. */
	| { readonly of: 'head'; readonly massG: number; readonly lengthMm: number; readonly density: Density }
	| { readonly of: 'nylon'; readonly diameterMm: number };

/** A figure from a box, with so much of a backing; of nylon alone the length is the nylon's: by volume it is as good as any other. */
export function ratingWith(made: RatedWith, material: BackingMaterial, lengthMm: number): Rating {
	switch (made.of) {
		case 'nylon':
			return { line: [], backingDiameterMm: made.diameterMm, backingLengthMm: lengthMm };
		case 'head': {
			const { diameterMm } = diameterByMass(made.massG, made.lengthMm, lineDensity(made.density));
			return {
				line: [level(made.lengthMm, diameterMm)],
				backingDiameterMm: material.diameterMm,
				backingLengthMm: lengthMm
			};
		}
		case 'line':
			return {
				line: taperOf(made.line),
				backingDiameterMm: material.diameterMm,
				backingLengthMm: lengthMm
			};
	}
}
