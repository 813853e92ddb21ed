import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	RACK_GROUPS,
	RACK_LOOKS,
	RACK_SHOWS,
	RACK_SORTS,
	rackQuery,
	readRackView,
	USUAL_RACK
} from './rack-query';

describe('how the rack is looked through, in an address', () => {
	const view = fc.record({
		show: fc.constantFrom(...RACK_SHOWS),
		sort: fc.constantFrom(...RACK_SORTS),
		group: fc.constantFrom(...RACK_GROUPS),
		as: fc.constantFrom(...RACK_LOOKS)
	});
	it('reads back as it was written', () => {
		fc.assert(
			fc.property(view, (one) => {
				expect(readRackView(new URLSearchParams(rackQuery(one)))).toEqual(one);
			})
		);
	});
	it('as usual is nothing in the address, and nonsense is as usual', () => {
		expect(rackQuery(USUAL_RACK)).toBe('');
		expect(readRackView(new URLSearchParams('q=the+warden&show=moon&sort=&group=colour&as=cubes'))).toEqual(
			USUAL_RACK
		);
	});
});
