import { newComponent, newSetup } from '$lib/setup/presets';
import type { ComponentForm, SetupForm, SpoolForm } from '$lib/setup/form';
import type { UnitSystem } from '$lib/wording/units';
import type { Wish } from './wish';

/** What goes outward of the backing: a line, or a head on its running line. */
function outward({ line, head }: Wish['said']): readonly ComponentForm[] | undefined {
	if (head) {
		const part = newComponent('head', 'head', { way: 'grains', density: 'F', mass: head.mass });
		return [newComponent('running-line', 'running-line'), { ...part, length: head.length ?? part.length }];
	}
	return line && [newComponent('line', 'line', { way: 'class', class: line.line })];
}

/**
 * The set-up that a wish is read into. What it says nothing of is as in every new set-up; of a spool that is on the rack its
 * own measures and hand stay.
 *
 * @param spool the spool on the rack that it is for
 */
export function setupOfWish({ said }: Wish, units: UnitSystem, spool?: SpoolForm): SetupForm {
	const fresh = newSetup(spool, units);
	const [backing, line] = fresh.fill.stack as [ComponentForm, ComponentForm];
	const material = said.backing?.material;
	return {
		spool: spool ?? {
			...fresh.spool,
			name: said.reel?.name ?? '',
			hand: said.hand?.hand ?? fresh.spool.hand
		},
		fill: {
			...fresh.fill,
			stack: [
				material === undefined ? backing : { ...backing, made: { way: 'material', material, diameter: '' } },
				...(outward(said) ?? [line])
			],
			gap: said.gap?.gap ?? fresh.fill.gap,
			leader: said.leader?.leader ?? fresh.fill.leader
		}
	};
}
