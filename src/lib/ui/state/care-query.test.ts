import { USUAL_FILTER, type CareFilter } from '$lib/inventory/care-rows';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { careQuery, readCareFilter } from './care-query';

describe('the filter in an address', () => {
	const filter: fc.Arbitrary<CareFilter> = fc.record({
		sought: fc.string({ maxLength: 20 }),
		kind: fc.constantFrom('all' as const, 'line' as const, 'backing' as const),
		where: fc.constantFrom(
			'kept' as const,
			'spool' as const,
			'coil' as const,
			'retired' as const,
			'all' as const
		),
		due: fc.boolean(),
		spool: fc.constantFrom(null, 'tarn'),
		thing: fc.constantFrom(null, 's:line'),
		show: fc.integer({ min: 1, max: 2000 })
	});
	it('reads back as it was written, whatever was looked for', () => {
		fc.assert(
			fc.property(filter, (one) => {
				expect(readCareFilter(new URLSearchParams(careQuery(one)))).toEqual(one);
			})
		);
	});
	it('nothing said is nothing in the address', () => {
		expect(careQuery(readCareFilter(new URLSearchParams()))).toBe('');
	});
	it('takes what is usual for nonsense', () => {
		expect(readCareFilter(new URLSearchParams('kind=moon&where=under&show=-3'))).toEqual(USUAL_FILTER);
	});
});
