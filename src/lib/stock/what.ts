import { BACKING_MATERIALS, formatLineClass, parseLineClass, toMm } from '$lib/core';
import type { ComponentForm } from '$lib/setup/form';
import { lineLabel } from '$lib/wording/strands';
import type { StockForm } from './stock';

/** Two things with one name serve for each other: backing of one material, lines of one class. */
const BACKING = 'backing:';
const LINE = 'line:';

export const whatOf = ({ kind, material, line }: StockForm): string =>
	kind === 'boxed' ? LINE + formatLineClass(line) : BACKING + material;

/** What a strand of a set-up needs from the shelf; undefined for what is described by its measures only. */
export function whatOfStrand({ made }: Pick<ComponentForm, 'made'>): string | undefined {
	if (made.way === 'material') return BACKING + made.material;
	return made.way === 'class' ? LINE + formatLineClass(made.class) : undefined;
}

export const isBacking = (what: string): boolean => what.startsWith(BACKING);

/** Backing before lines, each as it stands in the lists of them. */
export function byKind(a: string, b: string): number {
	const place = (what: string): number => {
		const at = BACKING_MATERIALS.findIndex(({ slug }) => BACKING + slug === what);
		return at < 0 ? BACKING_MATERIALS.length : at;
	};
	return place(a) - place(b) || a.localeCompare(b);
}

/** How it is called. */
export function whatName(what: string): string {
	if (isBacking(what)) {
		const slug = what.slice(BACKING.length);
		return BACKING_MATERIALS.find((material) => material.slug === slug)?.label ?? slug;
	}
	const read = parseLineClass(what.slice(LINE.length));
	return read.ok ? lineLabel(read.value) : what.slice(LINE.length);
}

/** How it is called where there is little room. */
export function whatShort(what: string): string {
	const slug = what.slice(BACKING.length);
	return isBacking(what)
		? (BACKING_MATERIALS.find((material) => material.slug === slug)?.short ?? slug)
		: what.slice(LINE.length);
}

/** A length of backing below this is of no use: the shortest that is sold. Common practice. */
export const USEFUL_MM = toMm(50, 'yd');
