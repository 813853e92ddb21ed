import { make } from './make';

/** A figure of several drawings and words, laid out by the page, as one drawing. */

/** Where something stands in its figure, px. */
interface Place {
	readonly x: number;
	readonly y: number;
}

const isSeen = (element: Element): boolean => {
	const { width, height } = element.getBoundingClientRect();
	// What only a screen reader is told takes one pixel.
	return width > 1 && height > 1 && getComputedStyle(element).visibility === 'visible';
};

/** Attributes of a drawing that say how everything in it looks. */
const LOOKS = ['fill', 'stroke', 'stroke-width'];

/** A drawing as the page shows it: at its place, in its size, cut off where the page cuts it off. */
function pictureOf(drawing: SVGSVGElement, { x, y }: Place, id: string): SVGGElement {
	const { width, height } = drawing.getBoundingClientRect();
	const own = drawing.viewBox.baseVal;
	const box = own && own.width > 0 ? own : { x: 0, y: 0, width, height };
	let [across, down] = [width / box.width, height / box.height];
	if (drawing.preserveAspectRatio.baseVal.align !== SVGPreserveAspectRatio.SVG_PRESERVEASPECTRATIO_NONE)
		across = down = Math.min(across, down);
	const [left, top] = [x + (width - across * box.width) / 2, y + (height - down * box.height) / 2];
	const scaled = make('g', {
		transform: `translate(${left} ${top}) scale(${across} ${down}) translate(${-box.x} ${-box.y})`
	});
	for (const name of LOOKS) {
		const value = drawing.getAttribute(name);
		if (value !== null) scaled.setAttribute(name, value);
	}
	scaled.append(...[...drawing.childNodes].map((child) => child.cloneNode(true)));
	if (getComputedStyle(drawing).overflow === 'visible') return scaled;
	const cut = make('clipPath', { id });
	cut.append(make('rect', { x, y, width, height }));
	const group = make('g', { 'clip-path': `url(#${id})` });
	group.append(cut, scaled);
	return group;
}

/** A line of words on the page: what of it is seen, and where. */
interface Line {
	readonly text: string;
	readonly left: number;
	readonly top: number;
}

/** The lines that the page breaks a text into, the last letters of each left out where the page has no room for them. */
function linesOf(node: Text): Line[] {
	const parent = node.parentElement!;
	const right =
		getComputedStyle(parent).textOverflow === 'ellipsis' ? parent.getBoundingClientRect().right : Infinity;
	const range = document.createRange();
	const lines: { text: string; left: number; top: number }[] = [];
	let between = '';
	let at = 0;
	for (const letter of node.data) {
		range.setStart(node, at);
		at += letter.length;
		range.setEnd(node, at);
		const rect = range.getClientRects()[0];
		if (!rect || letter.trim() === '') {
			between = ' ';
			continue;
		}
		const line = lines.at(-1);
		if (rect.right > right) {
			if (line) line.text = `${line.text.slice(0, -1).trimEnd()}…`;
			break;
		}
		if (line && Math.abs(line.top - rect.top) < rect.height / 2) line.text += between + letter;
		else lines.push({ text: letter, left: rect.left, top: rect.top });
		between = '';
	}
	return lines;
}

function wordsOf(node: Text, place: (left: number, top: number) => Place): SVGTextElement[] {
	const style = getComputedStyle(node.parentElement!);
	const pen = document.createElement('canvas').getContext('2d')!;
	pen.font = `${style.fontWeight} ${style.fontSize} ${style.fontFamily}`;
	const { fontBoundingBoxAscent } = pen.measureText('x');
	return linesOf(node).map(({ text, left, top }) => {
		const { x, y } = place(left, top + fontBoundingBoxAscent);
		const words = make('text', {
			x,
			y,
			fill: style.color,
			'font-size': style.fontSize,
			'font-weight': style.fontWeight
		});
		words.textContent = text;
		return words;
	});
}

/** Room between two parts, and around them all, px. */
const [BETWEEN, AROUND] = [10, 12];

/**
 * Several parts of a page, one below the other, as one drawing. It stands in the page, where nobody sees it, for as long as it
 * is worked with.
 *
 * @param parts what stands on the page: drawings and words in it are taken, the boxes of buttons are not
 */
export function figureOf(parts: readonly HTMLElement[]): SVGSVGElement {
	const seen = parts.filter(isSeen).map((part) => ({ part, box: part.getBoundingClientRect() }));
	const [left, right] = [
		Math.min(...seen.map(({ box }) => box.left)),
		Math.max(...seen.map(({ box }) => box.right))
	];
	const figure = make('svg', { style: 'position: fixed; left: 0; top: 0; visibility: hidden; z-index: -1' });
	let above = AROUND;
	for (const { part, box } of seen) {
		const place = (x: number, y: number): Place => ({ x: x - left + AROUND, y: y - box.top + above });
		const walker = document.createTreeWalker(part, NodeFilter.SHOW_ELEMENT | NodeFilter.SHOW_TEXT, (node) =>
			node instanceof Element && (!isSeen(node) || node.parentElement?.closest('svg'))
				? NodeFilter.FILTER_REJECT
				: NodeFilter.FILTER_ACCEPT
		);
		for (let node = walker.nextNode(); node; node = walker.nextNode()) {
			if (node instanceof SVGSVGElement) {
				const { x, y } = node.getBoundingClientRect();
				figure.append(pictureOf(node, place(x, y), `cut-${figure.childElementCount}`));
			} else if (node instanceof Text && !node.parentElement!.closest('svg'))
				figure.append(...wordsOf(node, place));
		}
		above += box.height + BETWEEN;
	}
	const [width, height] = [right - left + 2 * AROUND, above - BETWEEN + AROUND];
	for (const [key, value] of Object.entries({ width, height, viewBox: `0 0 ${width} ${height}` }))
		figure.setAttribute(key, String(value));
	document.body.append(figure);
	return figure;
}
