import { z } from 'zod';

/** A text column that holds JSON of a known shape. */
export const json = <S extends z.ZodType>(shape: S) =>
	z
		.string()
		.transform((text, context) => {
			try {
				return JSON.parse(text) as unknown;
			} catch {
				context.addIssue({ code: 'custom', message: 'column does not hold JSON' });
				return z.NEVER;
			}
		})
		.pipe(shape);

/** SQLite has no booleans: 1 is true. */
export const flag = z.union([z.literal(0), z.literal(1)]).transform((value) => value === 1);
