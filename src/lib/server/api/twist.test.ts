import { describe, expect, it } from 'vitest';
import { told } from './testing';
import { twist } from './twist';

describe('twist over the wire', () => {
	it('adds transfers up, and says how to get it out where a place is given', async () => {
		const over = { source: 'line-spool', diameterMm: 100, leaving: 'over-side' };
		const once = await told(twist, { lengthM: 31.416, transfers: [over] });
		expect(once.turns).toBeCloseTo(100, 2);
		expect(once.verdict).toBe('loops');
		expect(once.range[0]).toBeLessThan(100);
		expect(once.ways).toBeUndefined();
		const back = await told(twist, {
			lengthM: 31.416,
			transfers: [over, { ...over, seen: 'anticlockwise' }],
			place: { laneM: 20 }
		});
		expect(back.turns).toBeCloseTo(0, 9);
		expect(back.ways![0]).toMatchObject({ key: 'stretch-and-walk', passes: 2 });
	});
	it('refuses what cannot be', () => {
		for (const body of [
			{ lengthM: 30, transfers: [] },
			{ lengthM: 0, transfers: [{ source: 'reel', leaving: 'turning' }] },
			{ lengthM: 30, transfers: [{ source: 'moon', leaving: 'turning' }] },
			{ lengthM: 30, transfers: [{ source: 'reel', leaving: 'turning', diameterMm: 0 }] }
		])
			expect(twist.request.safeParse(body).success).toBe(false);
	});
});
