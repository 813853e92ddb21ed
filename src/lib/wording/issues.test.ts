import { describe, expect, it } from 'vitest';
import { wordIssue } from './issues';

describe('what is wrong, in the units a person reads', () => {
	const gap = { code: 'gap_leaves_no_room', path: [], gapMm: 25.4, limitMm: 12.7 } as const;
	const range = { code: 'out_of_range', path: [], value: 5, min: 25.4, max: 254, unit: 'mm' } as const;
	const short = { code: 'shorter_than_head', path: [], lengthMm: 9144, leastMm: 18_288 } as const;

	it('is in inches and yards for who measures in them', () => {
		expect(wordIssue(gap, 'yd-in').message).toContain('A gap of 1.00 in leaves nothing');
		expect(wordIssue(gap, 'yd-in').message).toContain('only 0.50 in down');
		expect(wordIssue(range, 'yd-in').message).toBe('Needs to be between 1.00 in and 10.00 in.');
		expect(wordIssue(short, 'yd-mm').message).toContain('10.0 yd is shorter');
	});
	it('is in millimetres and metres for everyone else, and in the API', () => {
		expect(wordIssue(gap).message).toContain('A gap of 25.4 mm leaves nothing');
		expect(wordIssue(range, 'yd-mm').message).toBe('Needs to be between 25.4 and 254 mm.');
		expect(wordIssue(short).message).toContain('9.1 m is shorter');
	});
});
