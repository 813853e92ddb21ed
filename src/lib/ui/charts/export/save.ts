import { download } from './download';
import type { Drawn } from './export';

/** Saves a drawing as a file that looks the same in any program; what makes it is loaded when somebody saves one. */
export async function saveDrawing(drawing: Drawn, name: string, kind: 'svg' | 'png'): Promise<void> {
	const { pngBlob, svgText } = await import('./export');
	const file = name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase();
	const content =
		kind === 'png' ? await pngBlob(drawing) : new Blob([await svgText(drawing)], { type: 'image/svg+xml' });
	download(`${file}.${kind}`, content);
}
