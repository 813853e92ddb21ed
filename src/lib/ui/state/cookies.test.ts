import { describe, expect, it } from 'vitest';
import { readTheme, readUnits } from './cookies';
import { readTechniques } from './techniques-cookie';

describe('preferences in cookies', () => {
	it("a person's ways come back as they were written", () => {
		const chosen = { tag: 'leave', mount: 'drill' } as const;
		expect(readTechniques(new URLSearchParams(chosen).toString())).toEqual(chosen);
		expect(readTechniques(undefined)).toEqual({});
	});
	it('what is not known is left out, whatever stands there', () => {
		expect(readTechniques('tag=toString&mount=moon&grip=mono&x=y')).toEqual({ grip: 'mono' });
		expect(readUnits('furlongs')).toBe('yd-mm');
		expect(readTheme('pink')).toBe('system');
	});
});
