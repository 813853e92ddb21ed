import type { Workout } from '$lib/setup/evaluate-form';

/** The control bar printed beside the strip, mm: if it measures otherwise, the printer has scaled. */
export const CONTROL_MM = 50;
const STRIP_MM = { least: 6, most: 18, margin: 2 };
const PAD_MM = 4;
/** Wide enough for the sentence under the control bar. */
const MIN_PAGE_MM = 84;

export interface GaugeMark {
	readonly key: 'stop' | 'full' | 'rim';
	/** Height above the foot of the strip, which stands on the arbor, mm. */
	readonly heightMm: number;
	readonly label: string;
}

export interface Gauge {
	/** Width of the strip: it has to go between the flanges. */
	readonly stripMm: number;
	readonly heightMm: number;
	readonly marks: readonly GaugeMark[];
	readonly pageWidthMm: number;
	readonly pageHeightMm: number;
}

/**
 * The depth gauge of a set-up, in millimetres: a strip to be cut out and stood on the arbor, with the
 * heights at which the backing ends, the line ends, and the rim. Undefined when nothing fits.
 */
export function gaugeOf(workout: Workout): Gauge | undefined {
	const { spool } = workout.known;
	const { fit, stopIndex } = workout;
	if (!fit.fits) return undefined;
	const above = (radiusMm: number): number => radiusMm - spool.arborRadiusMm;
	const stop = fit.layers[stopIndex];
	const narrowest = Math.min(...spool.profile.map((p) => p.widthMm).filter((w) => w > 0));
	const stripMm = Math.min(Math.max(narrowest - STRIP_MM.margin, STRIP_MM.least), STRIP_MM.most);
	const heightMm = above(spool.rimRadiusMm) + PAD_MM;
	const marks: GaugeMark[] = [
		...(stop
			? [{ key: 'stop' as const, heightMm: above(stop.outerRadiusMm), label: 'backing to here' }]
			: []),
		{ key: 'full', heightMm: above(fit.layers.at(-1)!.outerRadiusMm), label: 'line to here' },
		{ key: 'rim', heightMm: above(spool.rimRadiusMm), label: 'rim' }
	];
	return {
		stripMm,
		heightMm,
		marks,
		pageWidthMm: Math.max(MIN_PAGE_MM, stripMm + 58),
		pageHeightMm: heightMm + 26
	};
}

const escape = (text: string): string =>
	text.replace(/[&<>"]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c]!);

/** Places of everything on the page, origin top left, mm. The SVG and the PDF are both drawn from it. */
export interface GaugePlan {
	readonly strip: { x: number; y: number; width: number; height: number };
	readonly lines: readonly { x1: number; x2: number; y: number; bold: boolean }[];
	readonly texts: readonly { x: number; y: number; size: number; text: string }[];
	readonly control: { x: number; y: number; width: number };
}

export function gaugePlan(gauge: Gauge, title: string, heights: (mm: number) => string): GaugePlan {
	const strip = { x: PAD_MM, y: 10, width: gauge.stripMm, height: gauge.heightMm };
	const foot = strip.y + strip.height;
	const control = { x: PAD_MM, y: foot + 9, width: CONTROL_MM };
	return {
		strip,
		lines: gauge.marks.map(({ key, heightMm }) => ({
			x1: strip.x,
			x2: strip.x + strip.width + 3,
			y: foot - heightMm,
			bold: key === 'stop'
		})),
		texts: [
			{ x: PAD_MM, y: 6, size: 3.4, text: title },
			...gauge.marks.map(({ heightMm, label }) => ({
				x: strip.x + strip.width + 4,
				y: foot - heightMm + 1,
				size: 3,
				text: `${label}, ${heights(heightMm)}`
			})),
			{ x: strip.x + strip.width + 4, y: foot, size: 3, text: 'stand it on the arbor' },
			{
				x: PAD_MM,
				y: control.y + 6,
				size: 3,
				text: `This bar is ${CONTROL_MM} mm. If it is not, print at 100 %.`
			}
		],
		control
	};
}

/** The gauge as an SVG that is as large as it says: widths in millimetres. */
export function gaugeSvg(gauge: Gauge, plan: GaugePlan): string {
	const { strip, control } = plan;
	const ink = 'stroke="#000" fill="none"';
	return [
		`<svg xmlns="http://www.w3.org/2000/svg" width="${gauge.pageWidthMm}mm" height="${gauge.pageHeightMm}mm" viewBox="0 0 ${gauge.pageWidthMm} ${gauge.pageHeightMm}" font-family="sans-serif">`,
		`<rect x="${strip.x}" y="${strip.y}" width="${strip.width}" height="${strip.height}" ${ink} stroke-width="0.2" data-strip="true"/>`,
		...plan.lines.map(
			({ x1, x2, y, bold }) => `<path d="M${x1} ${y}H${x2}" ${ink} stroke-width="${bold ? 0.5 : 0.25}"/>`
		),
		...plan.texts.map(
			({ x, y, size, text }) =>
				`<text x="${x}" y="${y}" font-size="${size}" fill="#000">${escape(text)}</text>`
		),
		`<path d="M${control.x} ${control.y}h${control.width}m0 -1.5v3m${-control.width} -3v3" ${ink} stroke-width="0.3" data-control="true"/>`,
		'</svg>'
	].join('');
}

/** The gauge as a PDF page of its own size, in the shipped font, so that any name can be printed. */
export async function gaugePdf(gauge: Gauge, { strip, control, lines, texts }: GaugePlan): Promise<Blob> {
	const { Paper } = await import('./pdf');
	const paper = await Paper.open('Depth gauge');
	paper.page(gauge.pageWidthMm, gauge.pageHeightMm);
	paper.box(strip.x, strip.y, strip.width, strip.height);
	for (const { x1, x2, y, bold } of lines) paper.line(x1, y, x2, y, bold ? 0.5 : 0.25);
	for (const { x, y, size, text } of texts) paper.text(text, x, y, size);
	paper.line(control.x, control.y, control.x + control.width, control.y, 0.3);
	for (const x of [control.x, control.x + control.width])
		paper.line(x, control.y - 1.5, x, control.y + 1.5, 0.3);
	return paper.blob();
}
