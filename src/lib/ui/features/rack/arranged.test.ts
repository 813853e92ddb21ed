import { readDay } from '$lib/core';
import { describe, expect, it } from 'vitest';
import { USUAL_RACK, type RackView } from '../../state/rack-query';
import { arranged, firstOf } from './arranged';
import type { RackEntry } from './shown';

const entry = (id: string, name: string, more: Partial<RackEntry> = {}): RackEntry => ({
	id,
	name,
	hand: 'left',
	href: '/',
	facts: [],
	swaps: false,
	...more
});
const rack = [
	entry('1', 'Tarn reel, spare', { facts: ['WF6F, 30 yd'], who: 'Ida', woundOn: readDay('2026-05-04')! }),
	entry('2', 'Beck reel, grayling', { facts: ['WF4F, 30 yd'], who: 'Ida', woundOn: readDay('2026-06-01')! }),
	entry('3', 'Tarn reel, char', { facts: ['WF6S, 30 yd'], job: { href: '/', done: 3, total: 14 } }),
	entry('4', 'Loan box 10', { job: { href: '/', done: 0, total: 14 } }),
	entry('5', 'Loan box 9', {})
];
const due = { '2': 1, '5': 3 };
const waters = { '1': 'salt', '2': 'fresh', '4': 'salt' } as const;
const look = ({ sought = '', ...view }: Partial<RackView> & { sought?: string }): [string, string[]][] =>
	arranged(rack, sought, { ...USUAL_RACK, ...view }, due, waters).map(({ heading, entries }) => [
		heading,
		entries.map(({ id }) => id)
	]);

describe('the rack, looked through', () => {
	it('as usual is every spool as it came', () => {
		expect(look({})).toEqual([['', ['1', '2', '3', '4', '5']]]);
	});
	it('finds every word in its name, what is on it, or who wound it', () => {
		expect(look({ sought: 'tarn wf6' })).toEqual([['', ['1', '3']]]);
		expect(look({ sought: ' IDA ' })).toEqual([['', ['1', '2']]]);
		expect(look({ sought: 'trout' })).toEqual([]);
	});
	it('shows what is due, on the bench, or only planned', () => {
		expect(look({ show: 'due' })).toEqual([['', ['2', '5']]]);
		expect(look({ show: 'bench' })).toEqual([['', ['3']]]);
		expect(look({ show: 'planned' })).toEqual([['', ['4']]]);
	});
	it('sorts by name with numbers as numbers, by the newest winding, by how much is due', () => {
		expect(look({ sort: 'name' })).toEqual([['', ['2', '5', '4', '3', '1']]]);
		expect(look({ sort: 'wound' })).toEqual([['', ['2', '1', '3', '4', '5']]]);
		expect(look({ sort: 'due' })).toEqual([['', ['5', '2', '1', '3', '4']]]);
	});
	it('groups by reel, by who wound it, by water, by what is due', () => {
		expect(look({ group: 'reel' }).map(([heading]) => heading)).toEqual([
			'Tarn reel',
			'Beck reel',
			'Loan box 10',
			'Loan box 9'
		]);
		expect(look({ group: 'who' })).toEqual([
			['Wound by Ida', ['1', '2']],
			['Nobody said who wound it', ['3', '4', '5']]
		]);
		expect(look({ group: 'water' })).toEqual([
			['Fished in salt water', ['1', '4']],
			['Fished in fresh water', ['2']],
			['Not fished yet', ['3', '5']]
		]);
		expect(look({ group: 'due', sort: 'due' })[0]).toEqual(['Something is due', ['5', '2']]);
	});
	it('begins with so many, under their headings', () => {
		const groups = arranged(rack, '', { ...USUAL_RACK, group: 'reel' }, due, waters);
		const all = groups.flatMap(({ entries }) => entries.map(({ id }) => id));
		for (let most = 0; most <= all.length + 1; most++) {
			const first = firstOf(groups, most);
			expect(first.flatMap(({ entries }) => entries.map(({ id }) => id))).toEqual(all.slice(0, most));
			expect(first.every(({ entries }) => entries.length > 0)).toBe(true);
		}
		expect(firstOf(groups, 3).map(({ heading }) => heading)).toEqual(['Tarn reel', 'Beck reel']);
	});
});
