import { isUnder, type JobSetup } from './job';
import { arborTying } from './arbor';
import { nailTools, tyingOf } from './joints';
import { STRETCHED_TOOLS } from './stretch';
import { tool, type Tool, type ToolKey } from './tools';

const MOUNTED = {
	butt: 'rod-butt',
	winder: 'winder',
	drill: 'drill',
	'drill-hand': 'drill',
	table: 'clamp'
} as const;

/** What is wound on is on the table too, each with how much of it. */
const materials = ({ parts, leaderMm, stopPart }: JobSetup): Tool[] => [
	...parts.map(({ id, role, label, lengthMm, cutMm }): Tool => ({
		key: `part:${id}`,
		name:
			cutMm === undefined
				? [`${label}, `, { longMm: lengthMm }]
				: [
						`${label}: cut `,
						{ toCutMm: cutMm },
						`; ${id === stopPart ? 'about ' : ''}`,
						{ longMm: lengthMm },
						' goes on'
					],
		purpose: isUnder(role) ? 'the rest is for the knots and to be sure' : 'its ties still on'
	})),
	{ key: 'leader', name: ['Leader, ', { leaderMm }], purpose: 'and tippet' }
];

/** Everything that this very job takes, in the order it is needed, each once. */
export function toolsOf(setup: JobSetup): Tool[] {
	const { parts, schools } = setup;
	const keys: ToolKey[] = [MOUNTED[schools.mount], 'axle', 'rule', 'nippers'];
	if (parts.length > 0) keys.push(...arborTying(setup).tools);
	parts.slice(1).forEach((part, i) => keys.push(...tyingOf(setup, part, parts[i]!).tools));
	if (schools.frontLoop === 'cut') keys.push(...nailTools(setup), 'forceps');
	if (parts.some(({ role }) => !isUnder(role)))
		keys.push(...(schools.newLine === 'stretched' ? STRETCHED_TOOLS : (['spool-hub'] as const)));
	if (parts.some(({ cuts }) => cuts)) keys.push('glove');
	if (schools.tension === 'helper') keys.push('helper');
	if (schools.tension === 'drag') keys.push('second-reel');
	if (schools.tension === 'machine' && schools.mount !== 'winder') keys.push('winder');
	keys.push('cloth', 'label');
	return [
		{ key: 'reel', name: ['Reel and spool, clean and dry'], purpose: 'and its leaflet' },
		...materials(setup),
		...[...new Set(keys)].map(tool)
	];
}
