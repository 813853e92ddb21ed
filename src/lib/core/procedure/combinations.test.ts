import { describe, expect, it } from 'vitest';
import { jobSteps } from './steps';
import { jobFor, textOf, type Given } from './testing';

interface Combination extends Given {
	readonly must: readonly string[];
	readonly not: readonly string[];
}
const fresh = { water: 'fresh' } as const;

/** hand × cage × joint × line × school: what has to be said, and what must not be (common practice). */
const COMBINATIONS: readonly Combination[] = [
	{
		hand: 'left',
		cage: 'open',
		joint: 'loops',
		must: ['left-hand wind', 'Open cage', "triple surgeon's loop"],
		not: ['right-hand wind"', 'Nail knot of']
	},
	{
		hand: 'right',
		cage: 'open',
		joint: 'loops',
		must: ['right-hand wind', 'handle on the right'],
		not: ['handle on the left']
	},
	{
		hand: 'left',
		cage: 'closed',
		joint: 'loops',
		must: ['Thread the closed cage first', 'before you take it round the arbor'],
		not: ['spool out on the table']
	},
	{
		hand: 'right',
		cage: 'closed',
		joint: 'nail',
		must: ['closed cage', '5–7 wraps', 'right-hand wind'],
		not: ["surgeon's loop", '7–10']
	},
	{
		hand: 'left',
		cage: 'open',
		joint: 'nail',
		stack: 'sinking',
		must: ['7–10 wraps'],
		not: ['5–7', "surgeon's loop"]
	},
	{
		hand: 'left',
		cage: 'open',
		joint: 'nail',
		schools: { water: 'salt' },
		must: ['7–10 wraps'],
		not: ['5–7']
	},
	{
		hand: 'right',
		cage: 'closed',
		joint: 'albright',
		must: ['bight', '8–10 wraps'],
		not: ['10–12', 'Nail knot of 5']
	},
	{
		hand: 'left',
		cage: 'closed',
		joint: 'albright',
		stack: 'sinking',
		must: ['10–12 wraps'],
		not: ['8–10 wraps']
	},
	{
		hand: 'left',
		cage: 'open',
		joint: 'own-loop',
		must: ['two nail knots of 12 lb mono', 'UV resin'],
		not: ['If this end has a welded loop, cut']
	},
	{
		hand: 'right',
		cage: 'open',
		joint: 'loops',
		schools: { weldedLoop: 'cut' },
		must: [
			'Join backing and line: nail knot',
			'welded loop, cut it off',
			'Loop to loop: leader loop over line loop'
		],
		not: ['own loop', 'Cut the front loop off']
	},
	{
		hand: 'left',
		cage: 'open',
		joint: 'loops',
		schools: { frontLoop: 'cut' },
		must: ['Join backing and line: loop to loop', 'Cut the front loop off'],
		not: ['welded loop, cut it off', 'Loop to loop: leader loop']
	},
	{
		hand: 'left',
		cage: 'closed',
		joint: 'loops',
		schools: { arborKnot: 'spool-loop' },
		must: ['stopper overhand in the tag'],
		not: ['over the whole spool']
	},
	{
		hand: 'left',
		cage: 'closed',
		joint: 'double-uni',
		stack: 'bed under braid',
		must: ['Join backing and line: double uni', 'uni of 4 turns', '5 or 6 turns with the slick braid'],
		not: ['Nail knot of 5']
	},
	{
		hand: 'left',
		cage: 'open',
		joint: 'loops',
		schools: { weldedLoop: 'keep' },
		must: ['Loop to loop: leader loop over line loop'],
		not: ['Cut the front loop off']
	},
	{
		hand: 'left',
		cage: 'open',
		joint: 'loops',
		stack: 'sinking',
		must: ["double surgeon's loop"],
		not: ["triple surgeon's loop"]
	},
	{
		hand: 'left',
		cage: 'open',
		joint: 'nail',
		schools: { tag: 'trim' },
		must: ['Trim the tag ends flush'],
		not: ['3–6 mm']
	},
	{
		hand: 'left',
		cage: 'open',
		joint: 'nail',
		schools: { tag: 'leave' },
		must: ['3–6 mm'],
		not: ['Trim the tag ends flush']
	},
	{
		hand: 'right',
		cage: 'closed',
		joint: 'loops',
		stack: 'thin braid',
		must: ['layer of tape round the arbor first', 'thin-braid'],
		not: ['5–8 ft of mono first']
	},
	{
		hand: 'right',
		cage: 'open',
		joint: 'loops',
		stack: 'thin braid',
		schools: { grip: 'mono' },
		must: ['5–8 ft of mono to the arbor first', '"double-uni"'],
		not: ['one layer of tape']
	},
	{
		hand: 'left',
		cage: 'open',
		joint: 'loops',
		stack: 'thin braid',
		schools: { grip: 'none' },
		must: ['Take all three turns'],
		not: ['one layer of tape', '5–8 ft of mono', '"double-uni"']
	},
	{
		hand: 'left',
		cage: 'open',
		joint: 'loops',
		schools: { grip: 'tape' },
		must: ['Tie the backing to the arbor'],
		not: ['slips on a bare arbor', 'thin-braid']
	},
	{
		hand: 'left',
		cage: 'closed',
		joint: 'loops',
		stack: 'bed under braid',
		must: ['Tie the bed to the arbor', 'Join bed and backing: double uni', 'Wind the bed'],
		not: ['slips on a bare arbor']
	},
	{
		hand: 'left',
		cage: 'open',
		stack: 'spey',
		must: [
			'Wind the running line',
			"Find the head's rear end",
			'coloured marker',
			'Join head and tip',
			'head comes loose'
		],
		not: ['Wind the line"']
	},
	{
		hand: 'right',
		cage: 'closed',
		stack: 'spey',
		joint: 'nail',
		must: ['Join head and tip: nail knot', '7–10 wraps'],
		not: ['Join head and tip: loop']
	},
	{
		hand: 'left',
		cage: 'open',
		stack: 'line alone',
		must: ['Tie the line to the arbor', "Find the line's rear end"],
		not: ['Wind the backing', 'Join ']
	},
	{
		hand: 'left',
		cage: 'open',
		arborTurns: 1,
		schools: { arborKnot: 'overhand' },
		must: ['Round the arbor once', 'stopper overhand in the tag'],
		not: ['4–5 turns', 'twice']
	},
	{
		hand: 'left',
		cage: 'open',
		arborTurns: 3,
		schools: { arborKnot: 'uni' },
		must: ['three times', 'wrap 4–5 turns'],
		not: ['stopper overhand']
	},
	{
		hand: 'left',
		cage: 'open',
		schools: { arborKnot: 'doubled' },
		must: ['doubled overhand', 'doubled stopper'],
		not: ['4–5 turns']
	},
	{
		hand: 'right',
		cage: 'open',
		schools: { arborKnot: 'spool-loop' },
		must: ['over the whole spool', 'toward the reel seat'],
		not: ['stopper overhand']
	},
	{
		hand: 'left',
		cage: 'open',
		schools: { tension: 'helper' },
		must: ['Your helper holds it', 'Firm against your helper'],
		not: ['sit on the strand']
	},
	{
		hand: 'left',
		cage: 'open',
		schools: { tension: 'sitting' },
		must: ['sit on the strand', '"stretch"'],
		not: ['Your helper']
	},
	{
		hand: 'left',
		cage: 'open',
		schools: { tension: 'drag' },
		must: ["second reel's drag"],
		not: ['Your helper']
	},
	{
		hand: 'right',
		cage: 'closed',
		schools: { tension: 'machine', mount: 'winder' },
		must: ['winder', '"drill"'],
		not: ['rod butt alone']
	},
	{
		hand: 'left',
		cage: 'open',
		schools: { mount: 'drill' },
		must: ['rubber cup', '"drill"'],
		not: ['rod butt alone']
	},
	{
		hand: 'left',
		cage: 'open',
		schools: { mount: 'butt', ...fresh },
		must: ['rod butt alone', 'lock the rings'],
		not: ['"drill"', 'rubber cup']
	},
	{ hand: 'left', cage: 'open', schools: { mount: 'table' }, must: ['on the table'], not: ['rod butt alone'] }
];

describe('what a job says, by hand, cage, joint, line and school (common practice)', () => {
	it.each(COMBINATIONS)('%j', ({ must, not, ...given }) => {
		const said = textOf(jobSteps(jobFor(given)));
		for (const words of must) expect(said).toContain(words);
		for (const words of not) expect(said).not.toContain(words);
	});
});
