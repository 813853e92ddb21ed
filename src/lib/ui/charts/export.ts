/** Properties that give a drawing its look; written into the copy, since a file has no stylesheet. */
const LOOK = [
	'fill', 'fill-opacity', 'stroke', 'stroke-width', 'stroke-opacity', 'stroke-dasharray', 'stroke-dashoffset', 'stroke-linecap',
	'stroke-linejoin', 'opacity', 'stop-color', 'stop-opacity', 'font-family', 'font-size', 'font-weight', 'text-anchor'
]; // prettier-ignore

/** A drawing as a self-contained SVG file, in the colours it is shown in. */
export function svgText(drawing: SVGSVGElement): string {
	const copy = drawing.cloneNode(true) as SVGSVGElement;
	const [shown, copied] = [drawing.querySelectorAll('*'), copy.querySelectorAll('*')];
	shown.forEach((element, i) => {
		const computed = getComputedStyle(element);
		const target = copied[i] as SVGElement;
		for (const property of LOOK) target.style.setProperty(property, computed.getPropertyValue(property));
	});
	copy.querySelectorAll('[role=slider]').forEach((handle) => handle.remove());
	copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
	copy.style.background = getComputedStyle(drawing).getPropertyValue('--paper');
	return new XMLSerializer().serializeToString(copy);
}

/** Pixels of the picture per pixel on the screen: sharp enough to print. */
const PNG_SCALE = 3;

/** The same drawing as a PNG. */
export async function pngBlob(drawing: SVGSVGElement): Promise<Blob> {
	const image = new Image();
	image.src = URL.createObjectURL(new Blob([svgText(drawing)], { type: 'image/svg+xml' }));
	await image.decode();
	const canvas = document.createElement('canvas');
	canvas.width = drawing.clientWidth * PNG_SCALE;
	canvas.height = drawing.clientHeight * PNG_SCALE;
	canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height);
	URL.revokeObjectURL(image.src);
	return new Promise((resolve, reject) => {
		canvas.toBlob(
			(blob) => (blob ? resolve(blob) : reject(new Error('the picture could not be made'))),
			'image/png'
		);
	});
}

/** Hands a file to the browser's downloads. */
export function download(name: string, content: Blob): void {
	const link = document.createElement('a');
	link.href = URL.createObjectURL(content);
	link.download = name;
	link.click();
	setTimeout(() => URL.revokeObjectURL(link.href), 1000);
}
