import { prefersReducedMotion } from 'svelte/motion';
import type { Attachment } from 'svelte/attachments';

const RISES_MS = 350;
/** A rise that nobody would see, mm. */
const LEAST_RISE_MM = 0.2;

/** A layer's place between arbor and rim, mm. */
interface Layer {
	readonly innerRadiusMm: number;
	readonly outerRadiusMm: number;
}

/**
 * Layers that grow are seen growing: what is new of each appears from below. Nothing moves where somebody wants less motion,
 * and while the gap is dragged, since the drawing then follows the hand already.
 */
export function risingLayers(): (key: string, layer: Layer) => Attachment<SVGElement> {
	const before = new Map<string, number>();
	return (key, { innerRadiusMm, outerRadiusMm }) =>
		(layer) => {
			const rise = outerRadiusMm - (before.get(key) ?? outerRadiusMm);
			before.set(key, outerRadiusMm);
			const dragged = document.activeElement?.getAttribute('role') === 'slider';
			if (rise < LEAST_RISE_MM || dragged || prefersReducedMotion.current) return;
			const share = Math.min(rise / (outerRadiusMm - innerRadiusMm), 1);
			layer.animate([{ clipPath: `inset(${100 * share}% 0 0 0)` }, { clipPath: 'inset(0)' }], {
				duration: RISES_MS,
				easing: 'ease-out'
			});
		};
}
