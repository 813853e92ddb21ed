import { readShortCode } from './short-code';

/** Pages that a code of Wendle's can lead to. */
const OURS = /^\/(spool|fit|bench|label|orders|stock|care|find)(\/|$)/;

/**
 * The page that a scanned code leads to in this Wendle, whichever address the code was printed with: a label that was printed before the
 * computer got another name still opens. Undefined for a code that is not Wendle's.
 */
export function pathOfScanned(text: string): string | undefined {
	const scanned = text.trim();
	if (URL.canParse(scanned)) {
		const { protocol, pathname, search } = new URL(scanned);
		return /^https?:$/.test(protocol) && OURS.test(pathname) ? pathname + search : undefined;
	}
	const code = readShortCode(scanned);
	return code === undefined ? undefined : `/find?q=${code}`;
}
