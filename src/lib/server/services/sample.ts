import { renameSync, rmSync } from 'node:fs';
import { deleteSample, directoryOf, isThere } from '../db';

/** The sample kit room: invented reels in a file of their own, to try everything with. */

let filling: Promise<void> | undefined;

/** Fills the sample beside its place and moves it there whole, so that a half-filled one is never shown. */
async function fill(): Promise<void> {
	const directory = directoryOf('sample');
	const beside = `${directory}.new`;
	rmSync(beside, { recursive: true, force: true });
	// Few people want the sample, so the code that fills it loads when somebody does.
	const { fillDemo } = await import('../../../../demo/fill');
	await fillDemo(beside);
	rmSync(directory, { recursive: true, force: true });
	renameSync(beside, directory);
}

/** Makes the sample where there is none. Two windows that ask at once get the same one. */
export async function openSample(): Promise<void> {
	if (isThere('sample')) return;
	try {
		await (filling ??= fill());
	} finally {
		filling = undefined;
	}
}

export const throwAwaySample = deleteSample;
