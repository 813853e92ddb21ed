import {
	BACKING_MATERIALS,
	findMaterial,
	formatLineClass,
	parseLength,
	parseLineClass,
	readDay,
	type Day,
	type LineClass
} from '$lib/core';
import { CalendarDate, getDayOfWeek } from '@internationalized/date';

/** A spool that a wish may name. */
export interface NamedSpool {
	readonly id: string;
	readonly name: string;
	readonly hand: 'left' | 'right';
}

/** What a stretch of a wish says. `assumed` is what it leaves open and Wendle fills in, for the person to look at. */
export type Said =
	| { readonly what: 'line'; readonly line: LineClass; readonly assumed?: string }
	/** A head by its weight, and by its length where that is said. */
	| { readonly what: 'head'; readonly mass: string; readonly length: string | undefined }
	| { readonly what: 'backing'; readonly material: string; readonly assumed?: string }
	| { readonly what: 'hand'; readonly hand: 'left' | 'right' }
	| { readonly what: 'gap'; readonly gap: string }
	| { readonly what: 'leader'; readonly leader: string }
	| { readonly what: 'due'; readonly day: Day }
	/** The reel it goes on: one on the rack, or one that Wendle doesn't know by this name. */
	| { readonly what: 'reel'; readonly name: string; readonly spoolId: string | undefined };

/** A stretch of the text: what it says; `joining` for words that only join others, and undefined where nothing was understood. */
export interface Stretch {
	readonly text: string;
	readonly said: Said | 'joining' | undefined;
	/** Why it was not taken, where that can be told. */
	readonly why?: string;
}

export interface Wish {
	/** All of the text, in order. */
	readonly stretches: readonly Stretch[];
	readonly said: { readonly [K in Said['what']]?: Extract<Said, { what: K }> };
	readonly notUnderstood: readonly Stretch[];
}

interface Context {
	readonly today: Day;
	readonly spools: readonly NamedSpool[];
}

type Reading = Said | { readonly why: string } | undefined;
interface Rule {
	readonly pattern: RegExp;
	readonly read: (match: RegExpExecArray, context: Context) => Reading;
}

const WEEKDAYS = ['sun', 'mon', 'tue', 'wed', 'thu', 'fri', 'sat'];
const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

/** The day of that name that comes next: today's own name is a week from now, since work for today is said as "today". */
function nextWeekday(name: string, today: Day): Day {
	const ahead = (WEEKDAYS.indexOf(name.slice(0, 3)) - getDayOfWeek(today, 'en-US') + 7) % 7;
	return today.add({ days: ahead === 0 ? 7 : ahead });
}

/** A day and a month without a year: the next one there is. A day that there is not, such as 31 Nov, is none. */
function dayAndMonth(date: number, month: number, { today }: Context): Reading {
	for (const year of [today.year, today.year + 1]) {
		const day = new CalendarDate(year, month, date);
		if (day.day !== date || day.month !== month)
			return { why: 'There is no such day. Write it like 12 Dec.' };
		if (day.compare(today) >= 0) return { what: 'due', day };
	}
	return undefined;
}
const monthOf = (name: string): number => MONTHS.indexOf(name.slice(0, 3).toLowerCase()) + 1;

const FIBRES: readonly (readonly [word: RegExp, slug: string])[] = [
	[/gel[\s-]?spun/i, 'gel-spun'],
	[/polyester/i, 'polyester'],
	[/mono|nylon/i, 'mono']
];

/** A backing by its strength and, where that is said, its fibre. A strength alone is polyester where there is one: common practice. */
function backingOf(pounds: number, words: string): Reading {
	const fibre = FIBRES.find(([word]) => word.test(words))?.[1];
	const sold = BACKING_MATERIALS.map(({ slug }) => slug).filter((slug) => slug.endsWith(`-${pounds}`));
	const fitting = fibre === undefined ? sold : sold.filter((slug) => slug.startsWith(fibre));
	const chosen = fitting.find((slug) => slug.startsWith('polyester')) ?? fitting[0];
	if (chosen === undefined) {
		const known = BACKING_MATERIALS.map(({ short }) => short).join(', ');
		return { why: `Wendle knows these backings: ${known}. Choose one of them on Fit.` };
	}
	const found = findMaterial(chosen);
	if (!found.ok) return undefined;
	return {
		what: 'backing',
		material: chosen,
		...(fibre === undefined && { assumed: `taken as ${found.value.short}` })
	};
}

const DENSITY_WORDS: Readonly<Record<string, LineClass['density']>> = {
	floating: 'F',
	floater: 'F',
	intermediate: 'I',
	sinking: 'S',
	sinker: 'S'
};

function numberedLine(number: string, kind: string | undefined): Reading {
	const density = DENSITY_WORDS[kind?.toLowerCase() ?? ''];
	const line = parseLineClass(number, { taper: 'WF', density: density ?? 'F' });
	if (!line.ok) return { why: 'Lines go from #1 to #15.' };
	return { what: 'line', line: line.value, assumed: `taken as ${formatLineClass(line.value)}` };
}

function codedLine(code: string): Reading {
	const line = parseLineClass(code, { taper: 'WF', density: 'F' });
	if (!line.ok) return { why: 'Lines go from #1 to #15.' };
	return {
		what: 'line',
		line: line.value,
		...(!/[fis]$/i.test(code) && { assumed: `taken as ${formatLineClass(line.value)}` })
	};
}

const lengthText = (text: string): boolean => parseLength(text, 'mm').ok;

const NUMBER = String.raw`\d+(?:[.,]\d+)?(?:\s+\d+\/\d+)?`;
const MONTH_NAMES = String.raw`(jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)[a-z]*\.?`;
const BY = String.raw`(?:(?:due|by|for|before|on)\s+)?`;

/** Tried at each place of the text in this order; the first that matches has it. */
const RULES: readonly Rule[] = [
	{
		pattern: new RegExp(String.raw`${BY}(\d{4}-\d{2}-\d{2})\b`, 'iy'),
		read: ([, text]) => {
			const day = readDay(text!);
			return day ? { what: 'due', day } : { why: 'There is no such day. Write it like 2026-12-05.' };
		}
	},
	{
		pattern: new RegExp(String.raw`${BY}(\d{1,2})(?:st|nd|rd|th)?\s+${MONTH_NAMES}\b`, 'iy'),
		read: ([, date, month], context) => dayAndMonth(Number(date), monthOf(month!), context)
	},
	{
		pattern: new RegExp(String.raw`${BY}${MONTH_NAMES}\s+(\d{1,2})(?:st|nd|rd|th)?\b`, 'iy'),
		read: ([, month, date], context) => dayAndMonth(Number(date), monthOf(month!), context)
	},
	{
		pattern: /(?:(?:due|by|for|before|on)\s+)?next\s+(?:week|(?:sun|mon|tues|wednes|thurs|fri|satur)day)\b/iy,
		read: () => ({ why: 'Which day is that? Write it like Saturday, or 12 Dec.' })
	},
	{
		pattern:
			/(?:(?:due|by|for|before|on)\s+)?\d{1,2}[./]\d{1,2}(?:[./]\d{2,4})?(?![\d"])(?!\s*(?:in|mm|cm|m|yd|ft)\b)\b/iy,
		read: () => ({ why: 'Is that a day? Write it like 12 Dec.' })
	},
	{
		pattern: /(?:(?:due|by|for|before|on)\s+)?(today|tonight|tomorrow)\b/iy,
		read: ([, word], { today }) => ({
			what: 'due',
			day: word!.toLowerCase() === 'tomorrow' ? today.add({ days: 1 }) : today
		})
	},
	{
		pattern:
			/(?:(?:due|by|for|before|on)\s+)?(sun|mon|tue|tues|wed|wednes|thu|thur|thurs|fri|sat|satur)(?:day)?\b/iy,
		read: ([, name], { today }) => ({ what: 'due', day: nextWeekday(name!.toLowerCase(), today) })
	},
	{
		pattern: /(left|right)(?:[\s-]*hand(?:ed)?)?(?:[\s-]*(?:wind|retrieve))?\b/iy,
		read: ([, hand]) => ({ what: 'hand', hand: hand!.toLowerCase() as 'left' | 'right' })
	},
	{
		pattern: new RegExp(
			String.raw`(${NUMBER})\s*(?:gr|grains?)\b(?:\s*(?:head|,?\s*(${NUMBER}\s*(?:ft|m))\s+head))?(?:\s+(?:of\s+)?(${NUMBER}\s*(?:ft|m))\b)?`,
			'iy'
		),
		read: ([, grains, before, after]) => ({ what: 'head', mass: `${grains} gr`, length: before ?? after })
	},
	{
		pattern: new RegExp(String.raw`(${NUMBER}\s*(?:ft|m|')?)\s+leader\b`, 'iy'),
		read: ([, length]) => (lengthText(length!) ? { what: 'leader', leader: length!.trim() } : undefined)
	},
	{
		pattern: new RegExp(
			String.raw`(?:gap\s+(?:of\s+)?(${NUMBER}\s*(?:mm|in|"))|(${NUMBER}\s*(?:mm|in|"))\s+gap\b)`,
			'iy'
		),
		read: ([, after, before]) => {
			const gap = (after ?? before)!;
			return lengthText(gap) ? { what: 'gap', gap: gap.trim() } : undefined;
		}
	},
	{
		pattern:
			/(\d{2,3})[\s-]*(?:lbs?|pounds?)\b((?:\s+(?:of\s+)?(?:gel[\s-]?spun|polyester|mono\w*|nylon))?(?:\s+(?:backing|braid))?)/iy,
		read: ([, pounds, words]) => backingOf(Number(pounds), words!)
	},
	{
		pattern:
			/((?:gel[\s-]?spun|polyester|mono|nylon))[\s-]*(?:(?:backing|braid)[\s-]*)?(\d{2,3})(?:[\s-]*(?:lbs?|pounds?)\b|\b)(?:\s+(?:backing|braid))?/iy,
		read: ([, fibre, pounds]) => backingOf(Number(pounds), fibre!)
	},
	{
		pattern: /((?:WF|DT|L)[\s-]?#?\d{1,2}[\s-]?[FIS]?)(?![a-z\d])(?:\s+line\b)?/iy,
		read: ([, code]) => codedLine(code!)
	},
	{
		pattern:
			/(?:#\s?(\d{1,2})|(\d{1,2})[\s-]*(?:wt|weight)\b)(?:\s+(floating|floater|intermediate|sinking|sinker))?(?:\s+line\b)?/iy,
		read: ([, hashed, weight, kind]) => numberedLine((hashed ?? weight)!, kind)
	}
];

/** A reel that is not on the rack: "on my 6", "for the old river reel". */
const UNKNOWN_REEL =
	/(?:on|onto)\s+((?:my|his|her|their|the|our)\s+[^,;]+?)(?=\s*(?:[,;]|$|\b(?:by|before|with|and|for|left|right)\b))/iy;
const JOINING = /(?:and|with|please|of|on|onto|a|an|the|in|to|for|plus|backing|line|reel|wind)\b/iy;
const PUNCTUATION = /[\s,;.:&+]+/y;
const WORD = /[^\s,;]+/y;

const matchAt = (pattern: RegExp, text: string, at: number): RegExpExecArray | null => {
	pattern.lastIndex = at;
	return pattern.exec(text);
};

const isWordEdge = (text: string, at: number): boolean => !/[\p{L}\d]/u.test(text[at] ?? '');

/** The spool on the rack with the longest name that stands here, said with or without "on the". */
function spoolAt(
	text: string,
	at: number,
	spools: readonly NamedSpool[]
): { length: number; spool: NamedSpool } | undefined {
	const lead = matchAt(/(?:on|onto|for)\s+(?:(?:my|the|his|her|their|our)\s+)?/iy, text, at)?.[0].length ?? 0;
	const rest = text.slice(at + lead).toLowerCase();
	const found = spools
		.filter(({ name }) => name !== '' && rest.startsWith(name.toLowerCase()) && isWordEdge(rest, name.length))
		.toSorted((a, b) => b.name.length - a.name.length)[0];
	return found && { length: lead + found.name.length, spool: found };
}

function stretchAt(text: string, at: number, context: Context): Stretch {
	const named = spoolAt(text, at, context.spools);
	if (named) {
		const { id, name } = named.spool;
		return { text: text.slice(at, at + named.length), said: { what: 'reel', name, spoolId: id } };
	}
	for (const { pattern, read } of RULES) {
		const match = matchAt(pattern, text, at);
		const reading = match && read(match, context);
		if (!match || !reading) continue;
		return 'why' in reading
			? { text: match[0], said: undefined, why: reading.why }
			: { text: match[0], said: reading };
	}
	const reel = matchAt(UNKNOWN_REEL, text, at);
	if (reel) return { text: reel[0], said: { what: 'reel', name: reel[1]!.trim(), spoolId: undefined } };
	const joining = matchAt(PUNCTUATION, text, at) ?? matchAt(JOINING, text, at);
	if (joining) return { text: joining[0], said: 'joining' };
	return { text: matchAt(WORD, text, at)?.[0] ?? text.slice(at), said: undefined };
}

const NAMES: Readonly<Record<Said['what'], string>> = {
	line: 'a line',
	head: 'a head',
	backing: 'a backing',
	hand: 'a hand',
	gap: 'a gap',
	leader: 'a leader',
	due: 'a day',
	reel: 'a reel'
};

/** Whether a word goes on a stretch that was not understood either, with nothing but a space between. */
function isGap(stretches: readonly Stretch[], { said, why }: Stretch): boolean {
	const [before, gap] = stretches.slice(-2);
	const unknown = said === undefined && why === undefined;
	return unknown && before?.said === undefined && before?.why === undefined && gap?.text.trim() === '';
}

/**
 * Reads a wish as people say it, "WF6F on my 6, left hand, 20 lb, by Saturday". Whatever is not understood, or said a second
 * time, is marked and never guessed.
 */
export function readWish(text: string, context: Context): Wish {
	const stretches: Stretch[] = [];
	const said: Partial<Record<Said['what'], Said>> = {};
	for (let at = 0; at < text.length;) {
		const stretch = stretchAt(text, at, context);
		at += stretch.text.length;
		const { said: now } = stretch;
		const last = stretches.at(-1);
		if (now && now !== 'joining') {
			const twice =
				said[now.what] ?? (now.what === 'line' ? said.head : now.what === 'head' ? said.line : undefined);
			if (twice)
				stretches.push({ ...stretch, said: undefined, why: `There is ${NAMES[twice.what]} already.` });
			else {
				said[now.what] = now;
				stretches.push(stretch);
			}
		} else if (last && now === last.said && stretch.why === last.why)
			stretches[stretches.length - 1] = { ...last, text: last.text + stretch.text };
		else if (isGap(stretches, stretch)) {
			const [before, gap] = stretches.splice(-2) as [Stretch, Stretch];
			stretches.push({ ...before, text: before.text + gap.text + stretch.text });
		} else stretches.push(stretch);
	}
	return {
		stretches,
		said: said as Wish['said'],
		notUnderstood: stretches.filter((stretch) => stretch.said === undefined)
	};
}
