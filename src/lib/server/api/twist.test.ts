import { describe, expect, it } from 'vitest';
import { answerTwist, TwistRequest, TwistResponse } from './twist';

describe('twist over the wire', () => {
	const ask = (body: unknown) => {
		const answered = answerTwist(TwistRequest.parse(body));
		if (!answered.ok) throw new Error('it was refused');
		return TwistResponse.parse(answered.value);
	};
	it('adds transfers up, and says how to get it out where a place is given', () => {
		const over = { source: 'line-spool', diameterMm: 100, leaving: 'over-side' };
		const once = ask({ lengthM: 31.416, transfers: [over] });
		expect(once.turns).toBeCloseTo(100, 2);
		expect(once.verdict).toBe('loops');
		expect(once.range[0]).toBeLessThan(100);
		expect(once.ways).toBeUndefined();
		const back = ask({
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
			expect(TwistRequest.safeParse(body).success).toBe(false);
	});
});
