import type { KnotStrandRole } from '$lib/core';
import { ROLE_COLOURS } from '../section/layers';

/** What strands and objects look like in the pictures of knots. */
export const STRAND_COLOURS: Record<KnotStrandRole, string> = {
	...ROLE_COLOURS,
	tippet: 'var(--tip)',
	tool: 'var(--hair)',
	arbor: 'var(--hair)',
	sleeve: 'var(--hair)'
};
/** Texture beside colour, so that colour is never the only sign: dashes along the middle, in strand widths. */
export const TEXTURES: Partial<Record<KnotStrandRole, string>> = {
	bed: '0.25 0.6',
	backing: '0.5 0.7',
	'running-line': '1.4 0.5',
	tippet: '2.4 1.2',
	tip: '2.4 1.2'
};
export const OBJECTS: ReadonlySet<KnotStrandRole> = new Set(['tool', 'arbor', 'sleeve']);
