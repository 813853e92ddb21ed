import { describe, expect, it } from 'vitest';
import {
	readField,
	readGear,
	readLay,
	readMass,
	readOptional,
	Reader,
	readShare,
	readStrandField,
	readTurns,
	writeLay
} from './read-text';
import { BOUNDS } from './bounds';
import { wordIssue } from '$lib/wording/issues';

const PATH = ['fill', 'here'];
const code = (result: { ok: boolean; issues?: { code: string }[] }): string | undefined =>
	result.issues?.[0]?.code;

describe('fields', () => {
	it.each([
		['84', 84],
		['3 3/8 in', 85.725],
		['8.4 cm', 84]
	])('a length: %s', (typed, mm) => {
		expect(readField(typed, 'mm', BOUNDS.spool, PATH)).toEqual({ ok: true, value: mm });
	});
	it.each([
		['', 'missing_value'],
		['4 mm', 'out_of_range'],
		['401 mm', 'out_of_range'],
		['wide', 'unreadable_quantity']
	])('a length that is none: "%s" is %s', (typed, expected) => {
		const read = readField(typed, 'mm', BOUNDS.spool, PATH);
		expect(code(read)).toBe(expected);
		if (!read.ok) expect(read.issues[0]!.path).toEqual(PATH);
	});
	it('one that may stay empty', () => {
		expect(readOptional('  ', 'mm', BOUNDS.gap, PATH)).toEqual({ ok: true, value: undefined });
		expect(code(readOptional('-1 mm', 'mm', BOUNDS.gap, PATH))).toBe('out_of_range');
	});
	it('a strand within what a strand can be', () => {
		const nylon = { gPerCm3: 1.14, share: 0.02 };
		expect(readStrandField('', 'mm', nylon, PATH)).toEqual({ ok: true, value: undefined });
		expect(readStrandField('20 wraps in 10 mm', 'mm', nylon, PATH)).toMatchObject({
			ok: true,
			value: { diameterMm: 0.5 }
		});
		expect(code(readStrandField('20 wraps in 300 mm', 'mm', nylon, PATH))).toBe('out_of_range');
	});
	it.each([
		['5 %', 0.05],
		['5', 0.05],
		['0,5 %', 0.005],
		['0', 0],
		['', undefined]
	])('a share: "%s"', (typed, share) => {
		expect(readShare(typed, PATH)).toEqual({ ok: true, value: share });
	});
	it.each(['-1 %', '51 %', 'half', '5 mm'])('no share: %s', (typed) => {
		expect(code(readShare(typed, PATH))).toBe('not_a_share');
	});
	it.each([
		['0.86', { layEfficiency: 0.86 }],
		['.86', { layEfficiency: 0.86 }],
		['0,86 ± 3 %', { layEfficiency: 0.86, share: 0.03 }],
		['0.86 +/- 3.5%', { layEfficiency: 0.86, share: 0.035 }],
		['1', { layEfficiency: 1 }]
	])('a lay: %s', (typed, lay) => {
		const read = readLay(typed, PATH);
		if (!read.ok || !read.value) throw new Error('not read');
		expect(read.value.layEfficiency).toBeCloseTo(lay.layEfficiency, 12);
		expect(read.value.share ?? 0).toBeCloseTo((lay as { share?: number }).share ?? 0, 12);
	});
	it('a lay is read back as it is written', () => {
		for (const lay of [{ layEfficiency: 0.86 }, { layEfficiency: 0.91, share: 0.038 }])
			expect(readLay(writeLay(lay), PATH)).toMatchObject({
				ok: true,
				value: { layEfficiency: lay.layEfficiency }
			});
	});
	it.each([
		['tight', 'unreadable_lay'],
		['1.4', 'packing_above_hexagonal'],
		['0.2', 'unreadable_lay'],
		['0.9 ± 80 %', 'not_a_share']
	])('no lay: %s is %s', (typed, expected) => {
		const read = readLay(typed, PATH);
		expect(code(read)).toBe(expected);
		if (!read.ok) expect(wordIssue(read.issues[0]!).message.length).toBeGreaterThan(20);
	});
	it('a mass, and a count of turns', () => {
		expect(readMass('25', PATH)).toEqual({ ok: true, value: 25 });
		expect(readMass('2 kg', PATH)).toMatchObject({
			ok: false,
			issues: [{ code: 'out_of_range', unit: 'g' }]
		});
		expect(readMass('25 mm', PATH).ok).toBe(false);
		expect(readTurns('949 turns', PATH)).toEqual({ ok: true, value: 949 });
		expect(code(readTurns('-1', PATH))).toBe('out_of_range');
		expect(code(readTurns('lots', PATH))).toBe('unreadable_quantity');
	});
	it('how often the spool turns for one turn of the handle, as it is written or as it was seen', () => {
		for (const [text, gear] of [
			['', 1],
			['4.7', 4.7],
			['4,7:1', 4.7],
			['47 in 10', 4.7],
			['63/10', 6.3]
		] as const)
			expect(readGear(text, PATH)).toEqual({ ok: true, value: expect.closeTo(gear, 12) });
		for (const text of ['0.5', '9', '10 in 47', 'fast', '47 in 0', '-4'])
			expect(code(readGear(text, PATH))).toBe('not_a_gear');
	});
	it('a reader goes on after an issue, and keeps them all', () => {
		const reader = new Reader();
		expect(reader.take(readShare('much', PATH), 0.1)).toBe(0.1);
		expect(reader.take(readShare('4 %', PATH), 0.1)).toBe(0.04);
		reader.take(readTurns('lots', PATH), 0);
		expect(reader.issues.map((issue) => issue.code)).toEqual(['not_a_share', 'unreadable_quantity']);
	});
});
