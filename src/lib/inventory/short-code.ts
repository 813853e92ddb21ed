/** Letters and figures that are not taken for one another when they are read aloud or copied by hand: no I, L, O, U. */
const SIGNS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';
/** Five of 32 signs are 33 million codes: two things of one kit room hardly ever share one, and Find then shows both. */
const LENGTH = 5;

/** FNV-1a, 32 bits: spreads ids that differ little. Source: Fowler, Noll, Vo; the offset basis and prime of the 32-bit variant. */
function hash(text: string): number {
	let sum = 0x811c9dc5;
	for (const byte of new TextEncoder().encode(text)) sum = Math.imul(sum ^ byte, 0x01000193);
	return sum >>> 0;
}

/** The short code that stands on the label of a thing, to be typed where nothing scans it. The same id always has the same. */
export function shortCode(id: string): string {
	let rest = hash(id) % SIGNS.length ** LENGTH;
	let code = '';
	for (let i = 0; i < LENGTH; i++, rest = Math.floor(rest / SIGNS.length))
		code = SIGNS[rest % SIGNS.length]! + code;
	return code;
}

/** A code as it was typed: in small letters, with spaces, with an O for a 0. Undefined where it cannot be one. */
export function readShortCode(typed: string): string | undefined {
	const code = typed.toUpperCase().replace(/[\s-]/g, '').replaceAll('O', '0').replace(/[IL]/g, '1');
	return code.length === LENGTH && [...code].every((sign) => SIGNS.includes(sign)) ? code : undefined;
}
