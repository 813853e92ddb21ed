import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { parse, type AST } from 'svelte/compiler';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';

/**
 * Every text that somebody may read in the interface, an error or a description of the API, against the phrases that Wendle does not
 * use: one word for one meaning, and nothing that has to be read twice.
 */

const ROOT = join(import.meta.dirname, '../../..');

/** What is ruled out, and what to say instead. */
const RULED_OUT: readonly (readonly [pattern: RegExp, instead: string])[] = [
	[/\bwhat came out\b/i, 'how did it turn out'],
	[/\ball given\b/i, 'you have given every length'],
	[/\b(?:perfect square|lay efficiency|lay to reckon)\b/i, 'how tightly you wind'],
	[/\bcount full\b/i, "makers' figures are generous"],
	[/\bjoined under\b/i, 'joined to … with'],
	[/\b(?:makes it|becomes) yours\b/i, 'for a closer answer'],
	[/\bwhatever the backing\b/i, 'whichever backing you use'],
	[/\b(?:the|a|of) doubt\b/i, 'uncertainty'],
	[/\bsupply turn\b/i, 'so that it can spin'],
	[/\bwith what is there\b/i, "tools you don't have"],
	[/\bleave open\b/i, 'leave blank'],
	[/\bfish finds out\b/i, 'before you fish'],
	[/\banother rule holds|usual ones again\b/i, 'rule added, restore defaults'],
	[/\blies there again|lay there before\b/i, 'the previous line is back on the spool'],
	[/\bagainst twist\b/i, 'take the twist out'],
	[/\btaken for known\b/i, "Wendle doesn't know"],
	[/\b(?:take|taken|takes|took) (?:it |this winding |the last )?back\b|\bbring (?:it )?again\b/i, 'undo'],
	[/\b(?:stand|stands|stood) (?:\S+ )?below\b/i, 'depth'],
	[/^(?:at a pause|which way|the run)$/i, 'check while winding, compare methods, with a fish on'],
	[/\bnine (?:times )?in ten\b/i, '9 times out of 10'],
	[/\(any more\)/i, 'or it was removed'],
	[/\b(?:finished|after \d+) fills?\b|\byour hand\b$/i, 'winding; how tightly you wind'],
	[/\bschools?\b/i, 'technique'],
	[/\b(?:thus|hence|therefore|shall|whence|thereof|wherein|lest|toward which)\b/i, 'plain words']
];
/** Terms for engineers, which stand behind "How is this worked out?" and in what the API says of itself. */
const ENGINEERS = /\b(?:prior|posterior|variance|standard deviations?|1σ|η|φ)\b/i;
const MAY_BE_EXACT =
	/HowWorkedOut\.svelte|SpreadFields\.svelte|ArborHold\.svelte|server\/api\/|routes\/api\//;

const filesIn = (folder: string): string[] =>
	readdirSync(folder).flatMap((name) => {
		const path = join(folder, name);
		if (statSync(path).isDirectory()) return filesIn(path);
		return /\.(?:svelte|ts)$/.test(name) && !/\.test\.ts$|testing\.ts$|\.d\.ts$/.test(name) ? [path] : [];
	});

/** Strings of a piece of TypeScript that are not names of modules, with `…` for what is put in. */
function stringsOf(code: string): string[] {
	const found: string[] = [];
	const look = (node: ts.Node): void => {
		if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isThrowStatement(node)) return;
		if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) found.push(node.text);
		else if (ts.isTemplateExpression(node))
			found.push(node.head.text + node.templateSpans.map(({ literal }) => `…${literal.text}`).join(''));
		ts.forEachChild(node, look);
	};
	look(ts.createSourceFile('x.ts', code, ts.ScriptTarget.Latest, true, ts.ScriptKind.TS));
	return found;
}

/** Texts of a component: of its markup with what is put in, and the strings in its script and expressions. */
function textsOf(code: string): string[] {
	const found: string[] = [];
	const { fragment, instance } = parse(code, { modern: true });
	if (instance) {
		const { start, end } = instance.content as unknown as { start: number; end: number };
		found.push(...stringsOf(code.slice(start, end)));
	}
	const look = (node: unknown): void => {
		if (Array.isArray(node)) return node.forEach(look);
		if (typeof node !== 'object' || node === null) return;
		const { type } = node as { type?: string };
		if (type === 'Fragment') {
			const { nodes } = node as AST.Fragment;
			const text = nodes.map((child) =>
				child.type === 'Text' ? child.data : child.type === 'ExpressionTag' ? '…' : '\n'
			);
			found.push(
				...text
					.join('')
					.split(/\n{2,}|\n(?=\S)/)
					.map((line) => line.replace(/\s+/g, ' ').trim())
			);
		}
		if (type === 'Attribute' && (node as AST.Attribute).name === 'class') return;
		if (type === 'Text') found.push((node as AST.Text).data.trim());
		if (type === 'ExpressionTag') {
			const { start, end } = (node as AST.ExpressionTag).expression as unknown as {
				start: number;
				end: number;
			};
			found.push(...stringsOf(`(${code.slice(start, end)})`));
		}
		for (const [key, value] of Object.entries(node))
			if (key !== 'metadata' && key !== 'expression') look(value);
	};
	look(fragment);
	return found;
}

const isSentence = (text: string): boolean => /[a-z]{2}/i.test(text) && !/^[\w-]+$/.test(text);
const texts = filesIn(join(ROOT, 'src')).flatMap((file) => {
	const code = readFileSync(file, 'utf8');
	const found = file.endsWith('.svelte') ? textsOf(code) : stringsOf(code);
	return [...new Set(found)].filter(isSentence).map((text) => ({ file: file.slice(ROOT.length + 1), text }));
});

describe('what somebody may read', () => {
	it('is found: thousands of texts, in markup, scripts and the steps', () => {
		expect(texts.length).toBeGreaterThan(2000);
		for (const known of ['How did it turn out?', 'Put it on the rack', 'Undone.'])
			expect(texts.some(({ text }) => text === known)).toBe(true);
	});
	it.each(RULED_OUT)('says nothing like %s (rather: %s)', (pattern) => {
		expect(texts.filter(({ text }) => pattern.test(text))).toEqual([]);
	});
	it('has a space between a number that is put in and the word after it', () => {
		expect(
			texts.filter(({ text }) => /…[a-z]{4,}/.test(text) && / /.test(text) && !/[#=<:;]/.test(text))
		).toEqual([]);
	});
	it('keeps the terms of engineers where engineers look', () => {
		const shown = texts.filter(
			({ file }) => !MAY_BE_EXACT.test(file) && !/lib\/core\/(?!procedure|knots)/.test(file)
		);
		expect(shown.filter(({ text }) => ENGINEERS.test(text))).toEqual([]);
	});
});
