import { describe, expect, it } from 'vitest';
import { readTheme, readUnits } from './cookies';
import { readSchools } from './schools-cookie';

describe('preferences in cookies', () => {
	it("a person's ways come back as they were written", () => {
		const chosen = { tag: 'leave', mount: 'drill' } as const;
		expect(readSchools(new URLSearchParams(chosen).toString())).toEqual(chosen);
		expect(readSchools(undefined)).toEqual({});
	});
	it('what is not known is left out, whatever stands there', () => {
		expect(readSchools('tag=toString&mount=moon&grip=mono&x=y')).toEqual({ grip: 'mono' });
		expect(readUnits('furlongs')).toBe('yd-mm');
		expect(readTheme('pink')).toBe('system');
	});
});
