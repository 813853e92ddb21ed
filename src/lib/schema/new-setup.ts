import type { SetupForm, SpoolForm } from './setup';

export const MAX_RATINGS = 5;

/** A new set-up: an ordinary #5 on a spool nobody has described yet. */
export const newSetup = (spool?: SpoolForm): SetupForm => ({
	spool: spool ?? {
		name: '',
		hand: 'left',
		cage: 'open',
		way: 'rated',
		ratings: [{ line: { taper: 'WF', number: 5, density: 'F' }, material: 'polyester-20', length: '' }],
		allowance: 0.1,
		rim: '',
		arbor: '',
		width: '',
		frame: ''
	},
	fill: {
		line: { class: { taper: 'WF', number: 5, density: 'F' }, length: '' },
		backing: { material: 'polyester-20', diameter: '' },
		gap: '4 mm',
		winding: 'firm',
		arborTurns: 2,
		joint: 'loops',
		leader: '9 ft'
	}
});
