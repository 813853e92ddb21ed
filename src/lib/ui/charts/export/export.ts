import { circlesOf } from './circles';
import { figureOf } from './figure';
import { make, SVG } from './make';
import { outliner } from './outlines';

/** Drawings as files that look the same in any program: plain attributes, plain colours, circles that are circles, text as outlines. */

const COLOURS = ['fill', 'stroke', 'stop-color'] as const;
/** How opaque each of these is, beside what its colour says. */
const OPACITIES = { fill: 'fill-opacity', stroke: 'stroke-opacity', 'stop-color': 'stop-opacity' } as const;
/** The other properties that give a drawing its look. */
const LOOK = [
	'stroke-width',
	'stroke-dasharray',
	'stroke-dashoffset',
	'stroke-linecap',
	'stroke-linejoin',
	'opacity'
];
/** What these properties are where nothing is said: it need not be. */
const USUAL: Readonly<Record<string, string>> = {
	'stroke-dasharray': 'none',
	'stroke-dashoffset': '0',
	'stroke-linecap': 'butt',
	'stroke-linejoin': 'miter',
	opacity: '1',
	'fill-opacity': '1',
	'stroke-opacity': '1',
	'stop-opacity': '1'
};
/** Attributes that say what something is and where, not how it looks. */
const KEPT =
	/^(id|d|x|y|x1|x2|y1|y2|cx|cy|r|rx|ry|width|height|points|transform|viewBox|clip-path|offset|patternUnits|patternTransform|gradientUnits)$/;

/** Colours as every program reads them: mixed and newer ones are painted once, and read off. */
function painter(): (colour: string) => { rgb: string; alpha: number } {
	const pen = Object.assign(document.createElement('canvas'), { width: 1, height: 1 }).getContext('2d', {
		willReadFrequently: true
	})!;
	const known = new Map<string, { rgb: string; alpha: number }>();
	return (colour) => {
		const before = known.get(colour);
		if (before) return before;
		pen.clearRect(0, 0, 1, 1);
		pen.fillStyle = colour;
		pen.fillRect(0, 0, 1, 1);
		const [r = 0, g = 0, b = 0, a = 0] = pen.getImageData(0, 0, 1, 1).data;
		const painted = { rgb: `rgb(${r},${g},${b})`, alpha: a / 255 };
		known.set(colour, painted);
		return painted;
	};
}

/** `24px` is 24 in a drawing; `url("#a")` is written without quotes. */
const plain = (value: string): string => value.replaceAll('px', '').replaceAll('"', '');

function look(element: Element, paint: ReturnType<typeof painter>): Map<string, string> {
	const computed = getComputedStyle(element);
	const found = new Map<string, string>();
	for (const property of COLOURS) {
		const value = computed.getPropertyValue(property);
		const opacity = Number(computed.getPropertyValue(OPACITIES[property]) || 1);
		if (value === 'none' || value.startsWith('url(')) {
			found.set(property, plain(value.replace(/\).*$/, ')')));
			found.set(OPACITIES[property], String(opacity));
		} else {
			const { rgb, alpha } = paint(value);
			found.set(property, rgb);
			found.set(OPACITIES[property], String(Number((alpha * opacity).toFixed(3))));
		}
	}
	for (const property of LOOK) found.set(property, plain(computed.getPropertyValue(property)));
	return found;
}

/** Room beside what stands farthest out. */
const MARGIN = 12;

interface Box {
	readonly x: number;
	readonly y: number;
	readonly width: number;
	readonly height: number;
}

/** The part of the plane that is shown, made larger where something would be cut off. */
function boxOf(drawing: SVGSVGElement): Box {
	const { x, y, width, height } = drawing.viewBox.baseVal;
	const drawn = drawing.getBBox();
	const [left, top] = [Math.min(x, drawn.x - MARGIN), Math.min(y, drawn.y - MARGIN)];
	return {
		x: left,
		y: top,
		width: Math.max(x + width, drawn.x + drawn.width + MARGIN) - left,
		height: Math.max(y + height, drawn.y + drawn.height + MARGIN) - top
	};
}

/**
 * A drawing as a self-contained SVG file, in the colours it is shown in.
 *
 * @param box the part of the plane that is shown
 */
async function svgOf(drawing: SVGSVGElement, box: Box): Promise<string> {
	const [paint, outline] = [painter(), await outliner()];
	const copy = drawing.cloneNode(true) as SVGSVGElement;
	const shown = [drawing, ...drawing.querySelectorAll('*')];
	const copied: Element[] = [copy, ...copy.querySelectorAll('*')];
	shown.forEach((element, i) => {
		// Handles to drag are no part of the drawing; one that is a handle as a whole is drawn.
		if (i > 0 && element.getAttribute('role') === 'slider') copied[i]!.setAttribute('data-gone', '');
		else plainly(element, copied[i]!, { paint, outline });
	});
	copy.querySelectorAll('[data-gone]').forEach((gone) => gone.remove());
	const ground = getComputedStyle(drawing).getPropertyValue('--paper');
	// As large as it is shown (the plane of a knot is in millimetres), in whole pixels: programs round a part of one differently.
	const plane = drawing.viewBox.baseVal;
	const scale = Math.min(drawing.clientWidth / plane.width, drawing.clientHeight / plane.height);
	const [across, down] = [Math.ceil(box.width * scale), Math.ceil(box.height * scale)];
	const shownBox = { x: box.x, y: box.y, width: across / scale, height: down / scale };
	copy.prepend(make('rect', { ...shownBox, fill: paint(ground).rgb, stroke: 'none' }));
	copy.setAttribute('viewBox', Object.values(shownBox).join(' '));
	copy.setAttribute('width', String(across));
	copy.setAttribute('height', String(down));
	copy.setAttribute('xmlns', SVG);
	return new XMLSerializer().serializeToString(copy).replace(/<!--.*?-->/gs, '');
}

/** What is saved: a drawing, or parts of a page that are one figure together. */
export type Drawn = SVGSVGElement | readonly HTMLElement[];

/** What is shown as a self-contained SVG file. */
export async function svgText(drawn: Drawn): Promise<string> {
	if (drawn instanceof SVGSVGElement) return svgOf(drawn, boxOf(drawn));
	const figure = figureOf(drawn);
	try {
		return await svgOf(figure, figure.viewBox.baseVal);
	} finally {
		figure.remove();
	}
}

interface Tools {
	readonly paint: ReturnType<typeof painter>;
	readonly outline: Awaited<ReturnType<typeof outliner>>;
}

/** The circles that a path of dots stands for. */
function dots(element: Element, own: ReadonlyMap<string, string>): Element | undefined {
	const circles =
		own.get('stroke-linecap') === 'round' ? circlesOf(element.getAttribute('d') ?? '') : undefined;
	if (!circles) return undefined;
	const group = make('g', {
		fill: own.get('stroke')!,
		'fill-opacity': own.get('stroke-opacity')!,
		stroke: 'none'
	});
	const r = Number(own.get('stroke-width')) / 2;
	for (const middle of circles) group.append(make('circle', { ...middle, r }));
	return group;
}

const BOLD = 600;

/** A text as its outline. */
function words(
	element: SVGTextElement,
	own: ReadonlyMap<string, string>,
	outline: Tools['outline']
): Element {
	const { fontSize, fontWeight, textAnchor } = getComputedStyle(element);
	const [{ value: x }, { value: y }] = [element.x.baseVal[0]!, element.y.baseVal[0]!];
	const path = make('path', {
		d: outline({
			text: element.textContent.trim().replace(/\s+/g, ' '),
			size: parseFloat(fontSize),
			bold: Number(fontWeight) >= BOLD,
			x,
			y,
			anchor: textAnchor as 'start' | 'middle' | 'end'
		}),
		fill: own.get('fill')!,
		'fill-opacity': own.get('fill-opacity')!
	});
	const transform = element.getAttribute('transform');
	if (transform !== null) path.setAttribute('transform', transform);
	return path;
}

/** Makes a copied element plain: its look as attributes, dots as circles, text as an outline. */
function plainly(element: Element, target: Element, { paint, outline }: Tools): void {
	const own = look(element, paint);
	for (const { name } of [...target.attributes]) if (!KEPT.test(name)) target.removeAttribute(name);
	for (const [property, value] of own) if (USUAL[property] !== value) target.setAttribute(property, value);
	const instead = element instanceof SVGTextElement ? words(element, own, outline) : dots(element, own);
	if (instead) target.replaceWith(instead);
}

/** Pixels of the picture per pixel on the screen: sharp enough to print. */
const PNG_SCALE = 3;

/** The same drawing as a PNG. */
export async function pngBlob(drawn: Drawn): Promise<Blob> {
	const image = new Image();
	image.src = URL.createObjectURL(new Blob([await svgText(drawn)], { type: 'image/svg+xml' }));
	await image.decode();
	const canvas = document.createElement('canvas');
	canvas.width = image.naturalWidth * PNG_SCALE;
	canvas.height = image.naturalHeight * PNG_SCALE;
	canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height);
	URL.revokeObjectURL(image.src);
	return new Promise((resolve, reject) => {
		canvas.toBlob(
			(blob) => (blob ? resolve(blob) : reject(new Error('the picture could not be made'))),
			'image/png'
		);
	});
}
