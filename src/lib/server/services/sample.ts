import { directoryOf, isThere } from '../db';

/** The sample kit room: a place of its own with invented reels, to try everything in. */

let filling: Promise<unknown> | undefined;

/** Fills the sample, where it isn't there yet. Asked for twice at once it is filled once. */
export async function openSample(): Promise<void> {
	if (isThere('sample') && !filling) return;
	// Few people want it, so what fills it comes when somebody does.
	filling ??= import('../../../../demo/fill').then(({ fillDemo }) => fillDemo(directoryOf('sample')));
	try {
		await filling;
	} finally {
		filling = undefined;
	}
}
