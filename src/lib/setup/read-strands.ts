import { lineLabel, roleName } from '$lib/wording/strands';
import {
	classOf,
	DENSITIES,
	fail,
	findMaterial,
	LINE_LAY_EFFICIENCY,
	level,
	ok,
	ROLE_NAMES,
	scaleToMass,
	shortestLengthMm,
	standardLengthMm,
	taperOf,
	formatLineClass,
	WINDING_HANDS,
	type BackingMaterial,
	type Component,
	type ComponentSpreads,
	type Density,
	type LineClass,
	type LineSection,
	type Path,
	type Result,
	type Role
} from '$lib/core';
import {
	BOUNDS,
	readField,
	readLay,
	readMass,
	readOptional,
	readStrandField,
	type Reader
} from './read-text';
import type { ComponentForm, FillForm, Made, SwapForm } from './form';
import { longUnit, smallUnit, type UnitSystem } from '$lib/wording/units';

/** A component as it is typed and as it is worked out. */
export interface Part {
	readonly id: string;
	readonly role: Role;
	readonly label: string;
	/** How it is called where there is little room. */
	readonly short: string;
	/** What the core takes. */
	readonly component: Component;
	readonly densityGPerCm3: number;
	readonly material?: BackingMaterial;
	/** The class it is of, or comes to. None for backing. */
	readonly line?: LineClass;
}

/** 1σ of a line's bulk by how it is known, as a share. Assumptions: a table is printed, a class is a habit. */
const TABLE_BULK_SHARE = 0.03;
const WEIGHED_BULK_SHARE = 0.05;

/** Sections of what is made of a taper, before any mass is put to it. */
function readTable(
	rows: Extract<Made, { way: 'table' }>['rows'],
	units: UnitSystem,
	reader: Reader,
	path: Path
): LineSection[] {
	return rows.map((row, i) => ({
		lengthMm: reader.take(
			readField(row.length, longUnit(units), BOUNDS.section, [...path, 'rows', i, 'length']),
			1000
		),
		startDiameterMm: reader.take(
			readField(row.start, smallUnit(units), BOUNDS.strand, [...path, 'rows', i, 'start']),
			1
		),
		endDiameterMm: reader.take(
			readField(row.end, smallUnit(units), BOUNDS.strand, [...path, 'rows', i, 'end']),
			1
		)
	}));
}

function readClass(
	line: LineClass,
	length: string,
	units: UnitSystem,
	reader: Reader,
	path: Path
): LineSection[] {
	const at = [...path, 'length'];
	const typed = reader.take(readOptional(length, longUnit(units), BOUNDS.line, at), undefined);
	const lengthMm = typed ?? standardLengthMm(line.number);
	const leastMm = shortestLengthMm(line);
	if (lengthMm < leastMm) reader.take(fail({ code: 'shorter_than_head', lengthMm, leastMm }, at), undefined);
	return taperOf(line, lengthMm);
}

interface Strand {
	readonly diameterMm: number;
	readonly spreads: ComponentSpreads;
}

/** A level strand: bulk goes with the diameter squared, so its share is twice the diameter's. */
function strandOf(diameterMm: number, share: number | undefined): Strand {
	return share === undefined
		? { diameterMm, spreads: {} }
		: { diameterMm, spreads: { diameterShare: share, bulkShare: 2 * share } };
}

function readMaterial(
	made: Extract<Made, { way: 'material' }>,
	units: UnitSystem,
	reader: Reader,
	path: Path
): Strand & { material: BackingMaterial | undefined } {
	const found = findMaterial(made.material);
	if (!found.ok) {
		reader.take(found, undefined as never);
		return { ...strandOf(0.5, undefined), material: undefined };
	}
	const material = found.value;
	const at = [...path, 'made', 'diameter'];
	const typed = reader.take(
		readStrandField(made.diameter, smallUnit(units), material.density, at),
		undefined
	);
	return {
		...strandOf(typed?.diameterMm ?? material.diameterMm, typed?.share ?? material.diameterSpread),
		material
	};
}

const strandDensity = (density: Density): { gPerCm3: number; share: number } => ({
	gPerCm3: DENSITIES[density].gPerCm3,
	share: DENSITIES[density].sigma / DENSITIES[density].gPerCm3
});

/** What is read of a component, in the place where it is used. */
interface Asked {
	readonly role: Role;
	readonly made: Made;
	readonly length: string;
	readonly solve: boolean;
	readonly note: string;
}

/** A strand of one diameter: of the length typed, or the one that is looked for. */
function levelPart(
	asked: Asked,
	strand: Strand,
	layEfficiency: number,
	units: UnitSystem,
	reader: Reader,
	path: Path
): Component {
	const { role, solve, length } = asked;
	const common = { role, layEfficiency, spreads: strand.spreads };
	if (solve) return { ...common, diameterMm: strand.diameterMm };
	const at = [...path, 'length'];
	const lengthMm = reader.take(readField(length, longUnit(units), BOUNDS.component, at), 1000);
	return { ...common, sections: [level(lengthMm, strand.diameterMm)] };
}

/** Where a component is read, and with what. */
interface Reading {
	readonly fill: FillForm;
	readonly units: UnitSystem;
	readonly reader: Reader;
	readonly path: Path;
}

/** What a way of knowing gives; names and place are put to it afterwards. */
type Known = Omit<Part, 'id' | 'role'>;
type MadeBy<W extends Made['way']> = Extract<Made, { way: W }>;

/** η of a component, and its own 1σ where the person has one for backing. */
function layOf(role: Role, { fill, reader }: Reading): { layEfficiency: number; share?: number } {
	if (role !== 'backing' && role !== 'bed') return { layEfficiency: LINE_LAY_EFFICIENCY };
	const own = reader.take(readLay(fill.lay, ['fill', 'lay']), undefined);
	return own ?? { layEfficiency: WINDING_HANDS[fill.winding].layEfficiency };
}

function knownByMaterial(asked: Asked, made: MadeBy<'material'>, reading: Reading): Known {
	const { units, reader, path } = reading;
	const { material, ...strand } = readMaterial(made, units, reader, path);
	const { layEfficiency, share } = layOf(asked.role, reading);
	// A lay that was learnt goes with the nominal diameter: the doubt about that is in it already.
	const spreads =
		share === undefined || asked.role !== 'backing'
			? strand.spreads
			: { diameterShare: 0, bulkShare: 0, layShare: share };
	return {
		label: material?.label ?? roleName(asked.role),
		short: material?.short ?? ROLE_NAMES[asked.role],
		component: levelPart(asked, { ...strand, spreads }, layEfficiency, units, reader, path),
		densityGPerCm3: material?.density.gPerCm3 ?? 1,
		...(material && { material })
	};
}

function knownByDiameter(asked: Asked, made: MadeBy<'level'>, reading: Reading): Known {
	const { units, reader, path } = reading;
	const density = strandDensity(made.density);
	const at = [...path, 'made', 'diameter'];
	const read = readStrandField(made.diameter, smallUnit(units), density, at);
	const typed = reader.take(read, undefined);
	if (read.ok && !typed) reader.take(fail({ code: 'missing_value' }, at), undefined);
	const strand = strandOf(typed?.diameterMm ?? 1, typed?.share);
	const { layEfficiency } = layOf(asked.role, reading);
	return {
		label: roleName(asked.role),
		short: ROLE_NAMES[asked.role],
		component: levelPart(asked, strand, layEfficiency, units, reader, path),
		densityGPerCm3: density.gPerCm3
	};
}

function knownByClass(asked: Asked, made: MadeBy<'class'> | MadeBy<'weighed'>, reading: Reading): Known {
	const { units, reader, path } = reading;
	const shape = readClass(made.class, asked.length, units, reader, path);
	const densityGPerCm3 = DENSITIES[made.class.density].gPerCm3;
	const { layEfficiency } = layOf(asked.role, reading);
	const common = { role: asked.role, layEfficiency };
	const named = {
		label: lineLabel(made.class),
		short: formatLineClass(made.class),
		line: made.class,
		densityGPerCm3
	};
	if (made.way === 'class') return { ...named, component: { ...common, sections: shape } };
	const mass = readMass(made.mass, [...path, 'made', 'mass']);
	const grams = reader.take(mass, 1);
	const sections = scaleToMass(shape, grams, densityGPerCm3);
	return { ...named, component: { ...common, sections, spreads: { bulkShare: WEIGHED_BULK_SHARE } } };
}

function knownByTable(asked: Asked, made: MadeBy<'table'>, reading: Reading): Known {
	const { units, reader, path } = reading;
	const { role } = asked;
	const sections = readTable(made.rows, units, reader, [...path, 'made']);
	const line = classOf(sections, made.density);
	const { layEfficiency } = layOf(role, reading);
	return {
		label: `${roleName(role)}, about #${line.number}`,
		short: `${ROLE_NAMES[role]} #${line.number}`,
		component: { role, layEfficiency, sections, spreads: { bulkShare: TABLE_BULK_SHARE } },
		densityGPerCm3: DENSITIES[made.density].gPerCm3,
		line
	};
}

function knownBy(asked: Asked, reading: Reading): Known {
	const { made } = asked;
	switch (made.way) {
		case 'material':
			return knownByMaterial(asked, made, reading);
		case 'level':
			return knownByDiameter(asked, made, reading);
		case 'class':
		case 'weighed':
			return knownByClass(asked, made, reading);
		case 'table':
			return knownByTable(asked, made, reading);
	}
}

function readPart(asked: Asked & { id: string }, reading: Reading): Part {
	const { id, role, made, note, solve } = asked;
	if (solve && made.way !== 'material' && made.way !== 'level')
		reading.reader.take(fail({ code: 'only_level_is_solved' }, [...reading.path, 'length']), undefined);
	const known = knownBy(asked, reading);
	return { ...known, id, role, label: note || known.label, short: note || known.short };
}

/** Reads every component of the stack; issues go to `reader` with the path of their field. */
export const readParts = (fill: FillForm, units: UnitSystem, reader: Reader): Part[] =>
	fill.stack.map((component: ComponentForm, i) =>
		readPart(component, { fill, units, reader, path: ['fill', 'stack', i] })
	);

/** Reads what goes on in the place of a component. */
export function readSwap(
	swap: SwapForm,
	role: Role,
	fill: FillForm,
	units: UnitSystem,
	reader: Reader,
	path: Path
): Part {
	return readPart({ ...swap, role, solve: false }, { fill, units, reader, path });
}

/** Only one length can be looked for; the second is named. */
export function checkOpen(fill: FillForm): Result<number> {
	const open = fill.stack.flatMap((component, i) => (component.solve ? [i] : []));
	return open.length > 1
		? fail({ code: 'too_many_unknowns', count: open.length }, ['fill', 'stack', open[1]!, 'length'])
		: ok(open[0] ?? -1);
}
