import { parse } from 'svelte/compiler';
import ts from 'typescript';
import fs from 'node:fs';
import path from 'node:path';
const files = [];
for (const root of ['src', 'e2e', 'scripts', 'demo'])
	(function walk(d) {
		for (const f of fs.readdirSync(d)) {
			const p = path.join(d, f);
			if (fs.statSync(p).isDirectory()) walk(p);
			else if (/\.(svelte|ts|mjs)$/.test(f) && !f.startsWith('zz-')) files.push(p);
		}
	})(root);
const PH = '\uE000';
function tsEdits(code, off, edits) {
	const sf = ts.createSourceFile('x.ts', code, ts.ScriptTarget.Latest, true, ts.ScriptKind.TS);
	(function v(n) {
		const isLit =
			ts.isStringLiteral(n) ||
			ts.isNoSubstitutionTemplateLiteral(n) ||
			n.kind === ts.SyntaxKind.TemplateHead ||
			n.kind === ts.SyntaxKind.TemplateMiddle ||
			n.kind === ts.SyntaxKind.TemplateTail ||
			ts.isRegularExpressionLiteral(n);
		if (isLit) {
			const s = n.getStart(sf),
				e = n.end;
			const t = code.slice(s, e);
			let r;
			if (t[0] === "'") r = t.replaceAll(PH, "\\'");
			else if (t[0] === '/') r = t.replaceAll(PH, "'");
			else r = t.replaceAll(PH, "'").replaceAll("\\'", "'");
			if (r !== t) edits.push([s + off, e + off, r]);
		}
		ts.forEachChild(n, v);
	})(sf);
}
for (const f of files) {
	let code = fs.readFileSync(f, 'utf8');
	const edits = [];
	try {
		if (!f.endsWith('.svelte')) tsEdits(code, 0, edits);
		else {
			const ast = parse(code, { modern: true });
			for (const sc of [ast.instance, ast.module])
				if (sc) tsEdits(code.slice(sc.content.start, sc.content.end), sc.content.start, edits);
			(function v(n) {
				if (!n || typeof n !== 'object') return;
				if (Array.isArray(n)) {
					n.forEach(v);
					return;
				}
				if (n.type === 'Text') {
					const t = code.slice(n.start, n.end);
					const r = t.replaceAll(PH, "'").replaceAll("\\'", "'");
					if (r !== t) edits.push([n.start, n.end, r]);
					return;
				}
				if (n.type === 'ExpressionTag' || n.type === 'HtmlTag' || n.type === 'RenderTag') {
					const e = n.expression;
					tsEdits('(' + code.slice(e.start, e.end) + ')', e.start - 1, edits);
					return;
				}
				if (n.type === 'IfBlock' && n.test) {
					tsEdits('(' + code.slice(n.test.start, n.test.end) + ')', n.test.start - 1, edits);
				}
				for (const k of Object.keys(n))
					if (!['parent', 'metadata', 'loc', 'expression', 'test', 'instance', 'module'].includes(k)) v(n[k]);
			})(ast.fragment);
		}
	} catch (err) {
		console.log('CANNOT PARSE', f, err.message?.slice(0, 200));
		continue;
	}
	if (edits.length) {
		edits.sort((a, b) => b[0] - a[0]);
		for (const [s, e, r] of edits) code = code.slice(0, s) + r + code.slice(e);
		fs.writeFileSync(f, code);
	}
}
