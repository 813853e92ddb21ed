import {
	classOf,
	DENSITIES,
	diameterByCalipers,
	diameterByMass,
	fail,
	findMaterial,
	formatLineClass,
	fromGrams,
	lineDensity,
	massG,
	ROLE_NAMES,
	WINDING_HANDS,
	type BackingMaterial,
	type Component,
	type LineClass,
	type LineSection,
	type Path,
	type Role
} from '$lib/core';
import { lineLabel, roleName } from '$lib/wording/strands';
import { longUnit, smallUnit, type UnitSystem } from '$lib/wording/units';
import { BOUNDS } from './bounds';
import { componentOf, usualLay, type Lay, type StrandDescription, type StrandMade } from './description';
import type { ComponentForm, FillForm, Made, SwapForm } from './form';
import { readField, readLay, readMass, readOptional, readStrandField, type Reader } from './read-text';

/** A strand of a set-up as it is typed and as it is worked out. */
export interface Part {
	readonly id: string;
	readonly role: Role;
	readonly label: string;
	/** How it is called where there is little room. */
	readonly short: string;
	readonly description: StrandDescription;
	/** What the core takes. */
	readonly component: Component;
	readonly densityGPerCm3: number;
	readonly material?: BackingMaterial;
	/** The class it is of, or comes to. None for backing. */
	readonly line?: LineClass;
}

/** What is read of a strand, in the place where it is used. */
interface Typed {
	readonly id: string;
	readonly role: Role;
	readonly made: Made;
	readonly length: string;
	readonly solve: boolean;
	readonly note: string;
}

/** Where a strand is read, and with what. */
interface Place {
	readonly fill: FillForm;
	readonly units: UnitSystem;
	readonly reader: Reader;
	readonly path: Path;
}

/** What stands in while a form cannot be read: some strand, so that all its issues are found. */
const STAND_IN: StrandMade = { by: 'diameter', diameter: diameterByCalipers(1) };

function readTable(
	rows: Extract<Made, { way: 'table' }>['rows'],
	{ units, reader, path }: Place
): LineSection[] {
	const [long, small] = [longUnit(units), smallUnit(units)];
	return rows.map((row, i) => {
		const at = (field: keyof typeof row): Path => [...path, 'made', 'rows', i, field];
		return {
			lengthMm: reader.take(readField(row.length, long, BOUNDS.section, at('length')), 1000),
			startDiameterMm: reader.take(readField(row.start, small, BOUNDS.strand, at('start')), 1),
			endDiameterMm: reader.take(readField(row.end, small, BOUNDS.strand, at('end')), 1)
		};
	});
}

/** How thick it is, in whichever way that is known. */
function readMade({ made, length }: Pick<Typed, 'made' | 'length'>, place: Place): StrandMade {
	const { units, reader, path } = place;
	const at = [...path, 'made', 'diameter'];
	switch (made.way) {
		case 'material': {
			const material = reader.take<BackingMaterial | undefined>(findMaterial(made.material), undefined);
			if (!material) return STAND_IN;
			const read = readStrandField(made.diameter, smallUnit(units), material.density, at);
			const diameter = reader.take(read, undefined);
			return { by: 'material', material, ...(diameter && { diameter }) };
		}
		case 'level': {
			const read = readStrandField(made.diameter, smallUnit(units), lineDensity(made.density), at);
			const diameter = reader.take(read, undefined);
			if (diameter) return { by: 'diameter', diameter };
			if (read.ok) reader.take(fail({ code: 'missing_value' }, at), undefined);
			return STAND_IN;
		}
		case 'class':
			return { by: 'class', line: made.class };
		case 'weighed': {
			const massG = reader.take(readMass(made.mass, [...path, 'made', 'mass']), 20);
			return { by: 'class', line: made.class, massG };
		}
		case 'grains': {
			const massG = reader.take(readMass(made.mass, [...path, 'made', 'mass']), 20);
			const read = readField(length, longUnit(units), BOUNDS.component, [...path, 'length']);
			// What is wrong with the length is said where it is read for itself.
			return read.ok
				? { by: 'diameter', diameter: diameterByMass(massG, read.value, lineDensity(made.density)) }
				: STAND_IN;
		}
		case 'table':
			return { by: 'table', sections: readTable(made.rows, place) };
	}
}

const isLevel = ({ way }: Made): boolean => way === 'material' || way === 'level' || way === 'grains';

/** The length typed; undefined where it is looked for, or where the class or the table says it. */
function readLength({ made, length, solve }: Typed, { units, reader, path }: Place): number | undefined {
	const at = [...path, 'length'];
	const unit = longUnit(units);
	if (solve) {
		if (!isLevel(made)) reader.take(fail({ code: 'only_level_is_solved' }, at), undefined);
		return undefined;
	}
	if (made.way === 'table') return undefined;
	return isLevel(made)
		? reader.take(readField(length, unit, BOUNDS.component, at), 1000)
		: reader.take(readOptional(length, unit, BOUNDS.line, at), undefined);
}

/** η of a strand, and its own 1σ where the person has one for backing. */
function layOf(role: Role, { fill, reader }: Place): Lay {
	if (role !== 'backing' && role !== 'bed') return usualLay(role);
	const own = reader.take(readLay(fill.lay, ['fill', 'lay']), undefined);
	return own ?? { layEfficiency: WINDING_HANDS[fill.winding].layEfficiency };
}

type Names = Pick<Part, 'label' | 'short' | 'densityGPerCm3' | 'material' | 'line'>;

/** The weight of a head or a tip, as it was typed or as its table comes to. */
function weightOf(role: Role, typed: Made, made: StrandMade): string | undefined {
	if (typed.way === 'grains') return typed.mass.trim();
	if (typed.way !== 'table' || made.by !== 'table' || (role !== 'head' && role !== 'tip')) return undefined;
	const grains = fromGrams(massG(made.sections, DENSITIES[typed.density].gPerCm3), 'gr');
	return `${Math.round(grains)} gr`;
}

/** What it is called, and what it is of. */
function namesOf(role: Role, typed: Made, made: StrandMade): Names {
	if (made.by === 'material') {
		const { material } = made;
		return {
			label: material.label,
			short: material.short,
			densityGPerCm3: material.density.gPerCm3,
			material
		};
	}
	const densityGPerCm3 = 'density' in typed ? DENSITIES[typed.density].gPerCm3 : 1;
	if (made.by === 'class') {
		const { line } = made;
		const { gPerCm3 } = DENSITIES[line.density];
		return { label: lineLabel(line), short: formatLineClass(line), densityGPerCm3: gPerCm3, line };
	}
	// Only a whole line has a class: any other strand is said by its weight, where that is known.
	if (made.by === 'diameter' || typed.way !== 'table' || role !== 'line') {
		const weight = weightOf(role, typed, made);
		return {
			label: [roleName(role), weight].filter(Boolean).join(', '),
			short: [ROLE_NAMES[role], weight].filter(Boolean).join(' '),
			densityGPerCm3
		};
	}
	const line = classOf(made.sections, typed.density);
	return {
		label: `${roleName(role)}, about #${line.number}`,
		short: `${ROLE_NAMES[role]} #${line.number}`,
		densityGPerCm3,
		line
	};
}

function readPart(typed: Typed, place: Place): Part {
	const { id, role, note } = typed;
	const made = readMade(typed, place);
	const lengthMm = readLength(typed, place);
	const description: StrandDescription = {
		role,
		made,
		...(lengthMm !== undefined && { lengthMm }),
		lay: layOf(role, place)
	};
	const component = componentOf(description);
	if (!component.ok)
		place.reader.issues.push(
			...component.issues.map((issue) => ({ ...issue, path: [...place.path, 'length'] }))
		);
	const names = namesOf(role, typed.made, made);
	return {
		...names,
		id,
		role,
		label: note || names.label,
		short: note || names.short,
		description,
		component: component.ok ? component.value : { role, layEfficiency: 1, diameterMm: 1 }
	};
}

/** Reads every component of the stack; issues go to `reader` with the path of their field. */
export const readParts = (fill: FillForm, units: UnitSystem, reader: Reader): Part[] =>
	fill.stack.map((component: ComponentForm, i) =>
		readPart(component, { fill, units, reader, path: ['fill', 'stack', i] })
	);

/** Reads what goes on in the place of a component. */
export const readSwap = (
	swap: SwapForm,
	role: Role,
	fill: FillForm,
	units: UnitSystem,
	reader: Reader,
	path: Path
): Part => readPart({ ...swap, role, solve: false }, { fill, units, reader, path });
