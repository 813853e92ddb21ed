/** Longest side of a photo that is kept, px, and the most it may weigh, bytes: the server takes no more. */
const LONGEST_PX = 1600;
const MOST_BYTES = 390 * 1024;
const QUALITIES = [0.82, 0.7, 0.55, 0.4];

/**
 * A picture made small enough to keep, turned the way it was held. Undefined when it cannot be read, or
 * when no quality makes it small enough.
 */
export async function smallJpeg(file: Blob): Promise<Blob | undefined> {
	const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => undefined);
	if (!bitmap) return undefined;
	const scale = Math.min(1, LONGEST_PX / Math.max(bitmap.width, bitmap.height));
	const canvas = document.createElement('canvas');
	[canvas.width, canvas.height] = [Math.round(bitmap.width * scale), Math.round(bitmap.height * scale)];
	canvas.getContext('2d')!.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
	bitmap.close();
	for (const quality of QUALITIES) {
		const jpeg = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', quality));
		if (jpeg && jpeg.size <= MOST_BYTES) return jpeg;
	}
	return undefined;
}
