import type { Sheet } from '$lib/bench/sheet';
import { Paper } from '../../charts/pdf';

/** The papers that a sheet is printed on, mm. */
const PAPERS = { a4: { width: 210, height: 297 }, letter: { width: 215.9, height: 279.4 } } as const;
export type PaperName = keyof typeof PAPERS;
/** The paper that people print on where English is written like this. */
export const paperOf = (locale: string): PaperName => (/^en-(US|CA|PH)$/i.test(locale) ? 'letter' : 'a4');

/** Where things stand on it, mm: as wide as on A4, on either. */
const [WIDTH, MARGIN] = [PAPERS.a4.width, 14];
const COLUMNS = [MARGIN, 104, 134, 156] as const;
const TEXT = 3.1;

/** A table of the parts. Returns where it ends. */
function rows(paper: Paper, sheet: Sheet, top: number): number {
	let y = top;
	['Goes on', 'length', 'turns', "depth when it's on"].forEach((head, i) =>
		paper.text(head, COLUMNS[i]!, y, 2.7)
	);
	for (const row of sheet.rows) {
		paper.line(MARGIN, y + 1.3, WIDTH - MARGIN, y + 1.3);
		y += 5.4;
		row.forEach((cell, i) => paper.text(cell, COLUMNS[i]!, y, TEXT, i === 3 ? 'bold' : 'plain'));
	}
	return y;
}

/** Boxes to tick, in columns. Returns where they end. */
function ticks(paper: Paper, items: readonly string[], top: number, columns: number): number {
	const width = (WIDTH - 2 * MARGIN) / columns;
	const perColumn = Math.ceil(items.length / columns);
	items.forEach((item, i) => {
		const x = MARGIN + width * Math.floor(i / perColumn);
		const y = top + 4.6 * (i % perColumn);
		paper.box(x, y - 2.5, 2.6, 2.6, 0.25);
		paper.text(paper.wrap(item, width - 6, 2.8)[0]!, x + 4, y, 2.8);
	});
	return top + 4.6 * (perColumn - 1);
}

/** The job sheet as one page. */
export async function sheetPdf(sheet: Sheet, on: PaperName = 'a4'): Promise<Blob> {
	const { width, height } = PAPERS[on];
	const paper = await Paper.open(`Job sheet, ${sheet.title}`);
	paper.page(width, height);
	let y = MARGIN + 6;
	paper.text(sheet.title, MARGIN, y, 7, 'bold');
	paper.line(MARGIN, y + 2.5, WIDTH - MARGIN, y + 2.5, 0.6);
	y += 8.5;
	for (const [label, value] of sheet.facts) {
		paper.text(label, MARGIN, y, 2.8);
		paper.wrap(value, 140, TEXT + 0.3).forEach((line, i) => {
			if (i > 0) y += 4.4;
			paper.text(line, 46, y, TEXT + 0.3, label === 'Stop at' || label === 'Gap to leave' ? 'bold' : 'plain');
		});
		y += 4.8;
	}
	y = rows(paper, sheet, y + 2.5) + 8;
	paper.text('Laid out', MARGIN, y, 3.6, 'bold');
	y = ticks(paper, sheet.tools, y + 5.5, 3) + 8;
	paper.text('Done', MARGIN, y, 3.6, 'bold');
	// A long job is set closer: it is one page.
	const room = height - MARGIN - 12 - 3.7 * sheet.cautions.length - 8 - y;
	const pitch = Math.min(5.2, room / sheet.steps.length);
	for (const { title, right } of sheet.steps) {
		y += pitch;
		paper.box(MARGIN, y - 2.6, 2.8, 2.8, 0.25);
		paper.text(title, MARGIN + 4.5, y, TEXT, 'bold');
		paper.text(paper.wrap(right, 100, 2.7)[0]!, 96, y, 2.7);
	}
	y += 8;
	for (const caution of sheet.cautions)
		for (const line of paper.wrap(`! ${caution}`, WIDTH - 2 * MARGIN, 2.6)) {
			paper.text(line, MARGIN, y, 2.6);
			y += 3.7;
		}
	const blank = (WIDTH - 2 * MARGIN) / sheet.blanks.length;
	sheet.blanks.forEach((name, i) => {
		const x = MARGIN + i * blank;
		paper.line(x, height - MARGIN - 4, x + blank - 4, height - MARGIN - 4, 0.3);
		paper.text(name, x, height - MARGIN, 2.6);
	});
	return paper.blob();
}
