import latin400 from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff?url';
import latin700 from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff?url';
import ext400 from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-400-normal.woff?url';
import ext700 from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-700-normal.woff?url';

/** Text as outlines in the shipped font, so that a drawing says the same wherever it is opened. */

/** What of fontkit is used here. */
interface Outline {
	scale(x: number, y: number): Outline;
	translate(x: number, y: number): Outline;
	toSVG(): string;
}
interface Font {
	readonly unitsPerEm: number;
	hasGlyphForCodePoint(code: number): boolean;
	layout(text: string): {
		readonly glyphs: readonly { readonly path: Outline; readonly advanceWidth: number }[];
	};
}

export interface Words {
	readonly text: string;
	readonly size: number;
	readonly bold: boolean;
	readonly x: number;
	readonly y: number;
	readonly anchor: 'start' | 'middle' | 'end';
}

const BEFORE = { start: 0, middle: 0.5, end: 1 } as const;

/** Draws words as one path. Letters that the font does not have are left out. */
export async function outliner(): Promise<(words: Words) => string> {
	const { default: fontkit } = await import('@cantoo/fontkit');
	const load = async (url: string): Promise<Font> =>
		fontkit.create(new Uint8Array(await (await fetch(url)).arrayBuffer())) as unknown as Font;
	const [plain, plainMore, bold, boldMore] = await Promise.all(
		[latin400, ext400, latin700, ext700].map(load)
	);
	return ({ text, size, bold: isBold, x, y, anchor }) => {
		const fonts = isBold ? [bold!, boldMore!] : [plain!, plainMore!];
		const letters = [...text].flatMap((letter) => {
			const font = fonts.find((one) => one.hasGlyphForCodePoint(letter.codePointAt(0)!));
			const glyph = font?.layout(letter).glyphs[0];
			return font && glyph ? [{ glyph, scale: size / font.unitsPerEm }] : [];
		});
		const width = letters.reduce((sum, { glyph, scale }) => sum + glyph.advanceWidth * scale, 0);
		let at = x - BEFORE[anchor] * width;
		return letters
			.map(({ glyph, scale }) => {
				const d = glyph.path.scale(scale, -scale).translate(at, y).toSVG();
				at += glyph.advanceWidth * scale;
				return d;
			})
			.join('');
	};
}
