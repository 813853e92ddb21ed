export const SVG = 'http://www.w3.org/2000/svg';

/** An element of a drawing. */
export const make = <K extends keyof SVGElementTagNameMap>(
	name: K,
	attributes: Readonly<Record<string, string | number>>
): SVGElementTagNameMap[K] => {
	const element = document.createElementNS(SVG, name);
	for (const [key, value] of Object.entries(attributes)) element.setAttribute(key, String(value));
	return element;
};
