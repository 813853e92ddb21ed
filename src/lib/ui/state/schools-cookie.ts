import { SCHOOL_KEYS, SCHOOLS, type ChosenSchools } from '$lib/core';

/** A person's own ways, as the cookie holds them. What is not known is left out. */
export function readSchools(cookie: string | undefined): ChosenSchools {
	const read = new URLSearchParams(cookie ?? '');
	const chosen = SCHOOL_KEYS.flatMap((key) => {
		const way = read.get(key);
		return way !== null && Object.hasOwn(SCHOOLS[key].ways, way) ? [[key, way]] : [];
	});
	return Object.fromEntries(chosen) as ChosenSchools;
}
