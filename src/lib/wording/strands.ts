import { DENSITIES, ROLE_NAMES, TAPERS, type LineClass, type Role } from '$lib/core';

const capital = (text: string): string => text[0]!.toUpperCase() + text.slice(1);

/** A line's class in words: "Weight-forward 6, floating". */
export const lineLabel = ({ taper, number, density }: LineClass): string =>
	`${capital(TAPERS[taper])} ${number}, ${DENSITIES[density].label}`;

/** What a strand is for, as a label begins: "Running line". */
export const roleName = (role: Role): string => capital(ROLE_NAMES[role]);
