import { describe, expect, it } from 'vitest';
import { keys } from '../keys';
import { stretchAndWalk } from '../twist/let-out';
import { JOINTS } from './job';
import { toolsOf } from './laid-out';
import { MENDS, outingSteps, outingTools, repairSteps, repairTools } from './on-the-water';
import { reverseSteps, reverseTools } from './reverse';
import { backToFront, firstId, REVERSE_WAY_KEYS } from './reverse-ways';
import type { Step } from './step';
import { jobSteps } from './steps';
import { swapSteps, swapTools } from './swap';
import { TECHNIQUES } from './techniques';
import { jobFor, STACKS, type Given } from './testing';
import type { Tool, ToolKey } from './tools';
import { untwistSteps, untwistTools } from './untwist';

/** Words of a step that ask for a tool: one of these has to be on the list. */
const ASKS: readonly (readonly [RegExp, ...ToolKey[]])[] = [
	[/tube or tool/, 'nail-tool'],
	[/[Ff]orceps/, 'forceps'],
	[/UV resin/, 'resin'],
	[/12 lb mono/, 'fine-mono'],
	[/layer of tape|turn of tape/, 'tape'],
	[/5–8 ft of mono/, 'mono-bed'],
	[/gloved hand/, 'glove', 'helper'],
	[/storage spool/, 'storage'],
	[/the hub\b|on a hub|hub, which/, 'hub', 'spool-hub'],
	[/rubber cup/, 'drill'],
	[/on the winder/, 'winder'],
	[/rod butt alone/, 'rod-butt'],
	[/Hold the reel down/, 'clamp'],
	[/soft strap/, 'strap'],
	[/[Yy]our helper/, 'helper'],
	[/a rule\b|the rule\b|[Mm]easure from the line/, 'rule'],
	[/bucket/, 'bucket', 'ties'],
	[/damp cloth/, 'cloth'],
	[/off the second reel, with/, 'second-reel'],
	[/reel of the same model/, 'twin-reel'],
	[/a stick or a peg/, 'stick'],
	[/small swivel/, 'swivel'],
	[/[Pp]ress the sleeve/, 'crimper'],
	[/on an axle|pencil as an axle|pencil or in a bowl/, 'axle', 'storage'],
	[/\b[Cc]ut\b|[Tt]rim/, 'nippers'],
	[/Write what is on it|what the label says/, 'label']
];
/** Words that a tool on the list is there for. */
const USED: Partial<Record<ToolKey, RegExp>> = {
	...Object.fromEntries(ASKS.flatMap(([asks, ...tools]) => (tools.length === 1 ? [[tools[0]!, asks]] : []))),
	nippers: /[Cc]ut|[Tt]rim|blades/,
	glove: /thin-braid|gloved/,
	'nail-tool': /tube or tool|nail knots of 12 lb mono/,
	hub: /hub/,
	'spool-hub': /hub/,
	cloth: /[Mm]oisten|damp|cloth/,
	ties: /\b[Tt]ie it in two|ties ready/,
	helper: /helper/,
	bucket: /bucket/,
	winder: /winder|machine/,
	axle: /axle|pencil/,
	storage: /storage spool/
};

const said = (steps: readonly Step[]): string =>
	JSON.stringify(steps.map(({ title, instructions, cautions }) => [title, instructions, cautions]));

function check(steps: readonly Step[], tools: readonly Tool[], job: string): void {
	const listed = tools.map(({ key }) => key);
	expect(new Set(listed).size, `${job}: each once`).toBe(listed.length);
	const words = said(steps);
	const missing = ASKS.filter(
		([asks, ...some]) => asks.test(words) && !some.some((key) => listed.includes(key))
	);
	expect(
		missing.map(([asks]) => String(asks)),
		job
	).toEqual([]);
	const idle = listed.filter((key) => key in USED && !USED[key as ToolKey]!.test(words));
	expect(idle, `${job}: not used`).toEqual([]);
}

const GIVEN: readonly Given[] = [
	...keys(JOINTS).map((joint): Given => ({ joint })),
	...keys(STACKS).map((stack): Given => ({ stack })),
	{ cage: 'closed' },
	...(keys(TECHNIQUES).filter((key) => key !== 'gap') as (keyof typeof TECHNIQUES)[]).flatMap((key) =>
		keys<string>(TECHNIQUES[key].ways).flatMap((way): Given[] => [
			{ schools: { [key]: way } },
			{ stack: 'thin braid', joint: 'nail', schools: { [key]: way } },
			{ stack: 'spey', schools: { [key]: way } }
		])
	)
];

describe('the list of tools has what the steps use, once, and nothing else', () => {
	it.each(GIVEN)('winding and swapping: %j', (given) => {
		const setup = jobFor(given);
		check(jobSteps(setup), toolsOf(setup), 'winding');
		if (setup.parts.length < 2) return;
		const part = setup.parts.at(-1)!;
		for (const from of ['coil', 'reel', 'new'] as const) {
			const plan = {
				off: [{ ...part, id: 'old' }],
				on: [{ part: part.id, from, where: 'Tarn reel' }],
				over: setup.parts.at(-2)!.role
			};
			check(swapSteps(setup, plan), swapTools(setup, plan), `swap ${from}`);
		}
	});
	it.each(GIVEN.filter(({ stack }) => stack !== 'line alone' && stack !== 'bed under braid'))(
		'back to front: %j',
		(given) => {
			const setup = jobFor(given);
			const stop = setup.parts.findIndex(({ id }) => id === setup.stopPart);
			for (const way of REVERSE_WAY_KEYS) {
				const parts = backToFront(setup.parts, stop, way).map((part) => ({ ...part, id: firstId(part.id) }));
				const steps = reverseSteps(setup, { way, first: { ...setup, parts } });
				check(steps, reverseTools(setup, way), way);
			}
		}
	);
	it.each(GIVEN)('on the water, and twist taken out: %j', (given) => {
		const setup = jobFor(given);
		for (const mend of keys(MENDS)) check(repairSteps(setup, mend), repairTools(setup, mend), mend);
		check(outingSteps(setup), outingTools(setup), 'outing');
		const part = setup.parts.at(-1)!;
		const way = stretchAndWalk({ lengthMm: 27_000, laneMm: 40_000, has: [], weakestLb: 20, turns: 5 });
		const plan = { part, under: setup.parts.at(-2), way };
		check(untwistSteps(setup, plan), untwistTools(setup, plan), 'untwist');
	});
});
