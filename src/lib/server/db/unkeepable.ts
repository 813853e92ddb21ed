import { wordShape, type WordedIssue } from '$lib/wording/issues';
import type { z } from 'zod';

/** Something that could not be read back if it were kept. */
export class Unkeepable extends Error {
	readonly issues: readonly WordedIssue[];

	/** @param path where what does not read stands in what was sent */
	constructor(error: z.ZodError, path: readonly string[]) {
		super('It could not be read back');
		this.issues = wordShape(error).map((issue) => ({ ...issue, path: [...path, ...issue.path] }));
	}
}
