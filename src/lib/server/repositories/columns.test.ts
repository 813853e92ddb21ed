import { describe, expect, it, vi } from 'vitest';
import { z } from 'zod';
import { json } from './columns';

describe('a column of JSON', () => {
	const Shape = z.object({ name: z.string(), of: z.array(z.object({ mm: z.number() })) });

	it('is read once for one text, into something that nobody can change', () => {
		const reads = vi.fn((value: z.output<typeof Shape>) => value);
		const column = json(Shape.transform(reads));
		const text = JSON.stringify({ name: 'Tarn reel', of: [{ mm: 12 }] });
		const [first, again] = [column.parse(text), column.parse(`${text}`)];
		expect(again).toBe(first);
		expect(reads).toHaveBeenCalledTimes(1);
		expect(() => (first.of[0]!.mm = 13)).toThrow(TypeError);
		expect(column.parse(text.replace('12', '14')).of[0]!.mm).toBe(14);
	});

	it('says where a text does not fit its shape, under the column, each time that it is asked', () => {
		const row = z.object({ form: json(Shape).nullable() });
		for (let time = 0; time < 2; time++) {
			const read = row.safeParse({ form: '{"name":"Tarn reel","of":[{"mm":1},{"mm":"12"}]}' });
			expect(read.error?.issues).toMatchObject([{ path: ['form', 'of', 1, 'mm'], code: 'invalid_type' }]);
		}
		expect(row.safeParse({ form: '{"name":' }).error?.issues).toMatchObject([
			{ path: ['form'], message: "The text isn't JSON." }
		]);
		expect(row.parse({ form: null })).toEqual({ form: null });
	});
});
