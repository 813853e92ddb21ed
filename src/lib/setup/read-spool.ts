import {
	BACKING_MATERIALS,
	findMaterial,
	knownFillSource,
	ratedSource,
	type BackingMaterial,
	type Path,
	type ProfilePoint,
	type Rating,
	type Spreads,
	type SpoolSource
} from '$lib/core';
import { BOUNDS } from './bounds';
import { ratingWith, type RatedWith } from './ratings';
import { readField, readMass, readOptional, readShare, type Reader } from './read-text';
import type { FillForm, RatingForm, SpoolForm } from './form';
import { longUnit, smallUnit, type UnitSystem } from '$lib/wording/units';

const materialOf = (slug: string): BackingMaterial => {
	const found = findMaterial(slug);
	return found.ok ? found.value : BACKING_MATERIALS[0]!;
};

/** What the figure is for; where that can't be read an issue says so, and something stands in for it. */
function ratedWith({ line, other }: RatingForm, units: UnitSystem, reader: Reader, path: Path): RatedWith {
	if (!other) return { of: 'line', line };
	const at = [...path, 'other'];
	if (other.kind === 'nylon')
		return {
			of: 'nylon',
			diameterMm: reader.take(
				readField(other.diameter, smallUnit(units), BOUNDS.strand, [...at, 'diameter']),
				0.3
			)
		};
	return {
		of: 'head',
		massG: reader.take(readMass(other.mass, [...at, 'mass']), 30),
		lengthMm: reader.take(
			readField(other.length, longUnit(units), BOUNDS.component, [...at, 'length']),
			10_000
		),
		density: other.density
	};
}

function readRating(rating: RatingForm, units: UnitSystem, reader: Reader, path: Path): Rating {
	const lengthMm = reader.take(
		readField(rating.length, longUnit(units), BOUNDS.backing, [...path, 'length']),
		100
	);
	return ratingWith(ratedWith(rating, units, reader, path), materialOf(rating.material), lengthMm);
}

type Measure = 'rim' | 'arbor' | 'width' | 'low' | 'floor' | 'frame';

/** What is known of the spool, in whichever way; issues go to `reader` with the path of their field. */
export function readSource(spool: SpoolForm, units: UnitSystem, reader: Reader): SpoolSource {
	const unit = smallUnit(units);
	const optional = (key: Measure): number | undefined =>
		reader.take(readOptional(spool[key], unit, BOUNDS.spool, ['spool', key]), undefined);
	const needed = (key: Measure): number =>
		reader.take(readField(spool[key], unit, BOUNDS.spool, ['spool', key]), 10);

	const frameDiameterMm = optional('frame');
	switch (spool.way) {
		case 'rated':
			return ratedSource({
				ratings: spool.ratings.map((rating, i) => readRating(rating, units, reader, ['spool', 'ratings', i])),
				makersAllowance: spool.allowance,
				rimDiameterMm: optional('rim'),
				widthMm: optional('width'),
				frameDiameterMm
			});
		case 'filled':
			return knownFillSource({
				fill: readRating(spool.filled, units, reader, ['spool', 'filled']),
				gapMm: reader.take(readField(spool.filled.gap, unit, BOUNDS.gap, ['spool', 'filled', 'gap']), 4),
				rimDiameterMm: optional('rim'),
				widthMm: optional('width'),
				frameDiameterMm
			});
		case 'measured': {
			const [rim, arbor, width] = [needed('rim'), needed('arbor'), needed('width')];
			if (spool.shape === 'straight')
				return {
					kind: 'measured',
					rimDiameterMm: rim,
					arborDiameterMm: arbor,
					widthMm: width,
					frameDiameterMm
				};
			const at = (diameterMm: number, widthMm: number): ProfilePoint => ({
				radiusMm: diameterMm / 2,
				widthMm
			});
			const profile =
				spool.shape === 'dished'
					? [at(needed('low'), 0), at(arbor, width), at(rim, width)]
					: [at(arbor, needed('floor')), at(rim, width)];
			return { kind: 'profile', profile, frameDiameterMm };
		}
	}
}

/** One's own spreads, where they were typed. */
export function readSpreads(form: FillForm['spreads'], units: UnitSystem, reader: Reader): Partial<Spreads> {
	const mm = (key: 'rim' | 'arbor' | 'width' | 'depth'): number | undefined => {
		const read = readOptional(form[key], smallUnit(units), BOUNDS.spread, ['fill', 'spreads', key]);
		return reader.take(read, undefined);
	};
	const share = (key: 'diameter' | 'bulk' | 'lay'): number | undefined =>
		reader.take(readShare(form[key], ['fill', 'spreads', key]), undefined);
	const typed: Record<keyof Spreads, number | undefined> = {
		rimMm: mm('rim'),
		arborMm: mm('arbor'),
		widthMm: mm('width'),
		depthMm: mm('depth'),
		diameterShare: share('diameter'),
		bulkShare: share('bulk'),
		layShare: share('lay')
	};
	return Object.fromEntries(Object.entries(typed).filter(([, value]) => value !== undefined));
}
