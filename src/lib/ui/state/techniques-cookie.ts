import { TECHNIQUE_KEYS, TECHNIQUES, type ChosenTechniques } from '$lib/core';

/** A person's own ways, as the cookie holds them. What is not known is left out. */
export function readTechniques(cookie: string | undefined): ChosenTechniques {
	const read = new URLSearchParams(cookie ?? '');
	const chosen = TECHNIQUE_KEYS.flatMap((key) => {
		const way = read.get(key);
		return way !== null && Object.hasOwn(TECHNIQUES[key].ways, way) ? [[key, way]] : [];
	});
	return Object.fromEntries(chosen) as ChosenTechniques;
}
