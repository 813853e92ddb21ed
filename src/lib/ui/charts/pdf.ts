import type { Color, PDFDocument, PDFFont, PDFPage } from '@cantoo/pdf-lib';
import latin400 from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff?url';
import latin700 from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff?url';
import ext400 from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-400-normal.woff?url';
import ext700 from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-700-normal.woff?url';

const PT_PER_MM = 72 / 25.4;

interface Face {
	readonly font: PDFFont;
	readonly has: ReadonlySet<number>;
}
type Faces = Record<'plain' | 'bold', readonly Face[]>;

/** Splits a text into runs of characters that one of the fonts has; what none has is left out. */
function runsOf(text: string, fonts: readonly Face[]) {
	const runs: { font: PDFFont; text: string }[] = [];
	for (const letter of text) {
		const found = fonts.find(({ has }) => has.has(letter.codePointAt(0)!));
		if (!found) continue;
		const last = runs.at(-1);
		if (last?.font === found.font) last.text += letter;
		else runs.push({ font: found.font, text: letter });
	}
	return runs;
}

/** A PDF that is written in millimetres from the top left, in the shipped font, so that any name can be printed. */
export class Paper {
	readonly #pdf: PDFDocument;
	readonly #fonts: Faces;
	readonly #ink: Color;
	#page!: PDFPage;
	#heightMm = 0;

	private constructor(pdf: PDFDocument, fonts: Faces, ink: Color) {
		this.#pdf = pdf;
		this.#ink = ink;
		this.#fonts = fonts;
	}

	static async open(title: string): Promise<Paper> {
		const [{ grayscale, PDFDocument }, { default: fontkit }] = await Promise.all([
			import('@cantoo/pdf-lib'),
			import('@cantoo/fontkit')
		]);
		const pdf = await PDFDocument.create();
		pdf.registerFontkit(fontkit);
		pdf.setTitle(title);
		const load = async (url: string) => {
			const font = await pdf.embedFont(await (await fetch(url)).arrayBuffer(), { subset: true });
			return { font, has: new Set(font.getCharacterSet()) };
		};
		const faces = {
			plain: await Promise.all([load(latin400), load(ext400)]),
			bold: await Promise.all([load(latin700), load(ext700)])
		};
		return new Paper(pdf, faces, grayscale(0));
	}

	page(widthMm: number, heightMm: number): void {
		this.#heightMm = heightMm;
		this.#page = this.#pdf.addPage([widthMm * PT_PER_MM, heightMm * PT_PER_MM]);
	}

	#up(yMm: number): number {
		return (this.#heightMm - yMm) * PT_PER_MM;
	}

	/** Writes from a point on the base line; returns where the text ends, mm. */
	text(text: string, xMm: number, yMm: number, sizeMm: number, weight: 'plain' | 'bold' = 'plain'): number {
		const size = sizeMm * PT_PER_MM;
		let x = xMm * PT_PER_MM;
		for (const run of runsOf(text, this.#fonts[weight])) {
			this.#page.drawText(run.text, { x, y: this.#up(yMm), size, font: run.font });
			x += run.font.widthOfTextAtSize(run.text, size);
		}
		return x / PT_PER_MM;
	}

	widthMm(text: string, sizeMm: number, weight: 'plain' | 'bold' = 'plain'): number {
		const size = sizeMm * PT_PER_MM;
		const runs = runsOf(text, this.#fonts[weight]);
		return runs.reduce((sum, run) => sum + run.font.widthOfTextAtSize(run.text, size), 0) / PT_PER_MM;
	}

	/** The words of a text in lines no wider than so many millimetres. */
	wrap(text: string, widthMm: number, sizeMm: number): string[] {
		const lines: string[] = [];
		for (const word of text.split(' ')) {
			const longer = lines.length > 0 ? `${lines.at(-1)!} ${word}` : word;
			if (lines.length > 0 && this.widthMm(longer, sizeMm) <= widthMm) lines[lines.length - 1] = longer;
			else lines.push(word);
		}
		return lines;
	}

	line(x1: number, y1: number, x2: number, y2: number, thicknessMm = 0.2): void {
		this.#page.drawLine({
			start: { x: x1 * PT_PER_MM, y: this.#up(y1) },
			end: { x: x2 * PT_PER_MM, y: this.#up(y2) },
			thickness: thicknessMm * PT_PER_MM
		});
	}

	box(x: number, y: number, width: number, height: number, thicknessMm = 0.2): void {
		this.#page.drawRectangle({
			x: x * PT_PER_MM,
			y: this.#up(y + height),
			width: width * PT_PER_MM,
			height: height * PT_PER_MM,
			// Without a colour of its own the border would be none and the box filled.
			borderColor: this.#ink,
			borderWidth: thicknessMm * PT_PER_MM
		});
	}

	/** A filled square or oblong, from its top left. */
	fill(x: number, y: number, width: number, height: number): void {
		this.#page.drawRectangle({
			x: x * PT_PER_MM,
			y: this.#up(y + height),
			width: width * PT_PER_MM,
			height: height * PT_PER_MM,
			color: this.#ink
		});
	}

	async blob(): Promise<Blob> {
		const bytes = await this.#pdf.save();
		return new Blob([bytes as Uint8Array<ArrayBuffer>], { type: 'application/pdf' });
	}
}
