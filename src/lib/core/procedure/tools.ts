import type { Sentence } from './phrase';

/** Something to lay out before the work. */
export interface Tool {
	readonly key: string;
	readonly name: Sentence;
	readonly purpose: string;
	/** What does as well, where something does. */
	readonly standIn?: string;
}

/** Names, purposes and stand-ins. Common practice. */
const TOOLS = {
	'rod-butt': ['Rod butt section', 'the reel sits on it as on a handle', 'a broom handle, the foot taped on'],
	winder: ['Winder, with its seat', 'holds and turns the reel', 'the rod butt and your hands'],
	drill: ['Drill with a rubber cup', 'turns the spool', 'the handle, and patience'],
	clamp: ['Something to hold the reel to the table', 'it must not walk away', 'a helper, or a strap'],
	'spool-hub': [
		"Hub for the line's coil",
		"turns on the axle; the line's own spool does as well",
		'a tin with a hole in its bottom'
	],
	stick: ['Two smooth sticks, or a peg', 'hold the ends on the ground', 'a patient helper with a glove'],
	'twin-reel': [
		'A second reel of the same model, or its spare spool',
		'takes the whole fill once, and gives it back',
		'two storage spools'
	],
	bucket: ['Hat, bucket or bowl', 'takes the loose coils', 'a dry floor that nobody steps on'],
	axle: [
		'Pencil or pen',
		'axle for the supply spool',
		'a knitting needle; a bowl that the spool can roll in'
	],
	rule: [
		'Ruler',
		'depth and gap',
		"a strip of paper marked in millimetres, or this application's depth gauge"
	],
	nippers: ['Nippers or scissors', 'tags', 'nail clippers'],
	forceps: ['Forceps', 'hold a short tag while you draw up', 'pliers with smooth jaws'],
	'nail-tool': ['Nail-knot tool', 'nail knots', 'a stiff thin tube, or a needle and a short loop of mono'],
	'fine-mono': ['12 lb mono, 2 ft', 'the knots of the loop', 'leader butt of that strength'],
	resin: ['UV resin and its lamp', 'seals the cut end', 'superglue, or flexible glue left overnight'],
	tape: ['Tape, one layer round the arbor', 'so that the backing cannot slip', 'a strip of plaster'],
	'mono-bed': ['Mono, 5–8 ft', 'a bed that grips', 'a layer of tape'],
	glove: ['Glove, or tape for two fingers', 'thin braid cuts', 'a strip of leather or cloth'],
	helper: ['A helper', 'holds the supply and brakes it', 'sit on the line, or use your fingers'],
	'second-reel': ['A second reel, the line on it', 'its drag gives the tension', 'a helper, or your fingers'],
	swivel: ['A small swivel', 'joins strands that twist', 'a loop to loop, and no twist let out'],
	crimper: ['Crimping tool and sleeves', 'join wire', 'a haywire twist, by those who know it'],
	cloth: ['Damp cloth', 'moistens knots, guides the line', 'wet fingers'],
	storage: [
		'Storage spool, on an axle',
		'takes the line off without a twist',
		'a card spool, a tin on a pencil'
	],
	ties: ['Ties for the coil, two to four', 'keep it from opening', 'pipe cleaners, soft twine'],
	hub: [
		'Hub for the coil, on an axle',
		'so that the coil turns',
		'a tin, or both hands turning over each other'
	],
	strap: ['Soft strap and a smooth post', 'anchors the front end', 'a patient helper with a glove'],
	label: ['Label and pencil', 'what is on the spool, and when', 'the label that Wendle prints afterwards']
} as const satisfies Record<string, readonly [name: string, purpose: string, standIn: string]>;
export type ToolKey = keyof typeof TOOLS;

export const tool = (key: ToolKey): Tool => {
	const [name, purpose, standIn] = TOOLS[key];
	return { key, name: [name], purpose, standIn };
};
