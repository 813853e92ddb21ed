/** The keys of a record, with their type; at least one. */
export const keys = <K extends string>(record: Readonly<Record<K, unknown>>): [K, ...K[]] =>
	Object.keys(record) as [K, ...K[]];
