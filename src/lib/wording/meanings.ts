/** What each word of the trade means, in one line; the guide's page of words has the same ones. */
export const MEANINGS = {
	reel: 'the whole thing on the rod',
	spool: 'the part of the reel that the line goes on',
	arbor: 'the core of the spool, where the first turn goes',
	rim: "the outer edge of the spool's sides",
	flange: 'a side of the spool',
	'frame, cage': 'what the spool turns in; closed if it goes all the way round',
	backing: 'the thin, strong line under the fly line',
	'fly line': 'the thick line that you cast',
	'head, running line, tip': 'the parts of a fly line that comes in pieces, thick, thin and front',
	leader: 'the clear, tapered piece between the fly line and the fly',
	strand: 'one physical backing, line, head or tip, wherever it is',
	coil: 'a strand that is off the reel, on a storage spool or loose',
	'set-up': 'a plan of what goes on one spool',
	winding: 'one finished filling of a spool, as it was saved',
	depth: 'from the rim down to the surface, as a rule reads it',
	'stop depth': 'the depth at which you stop winding the backing',
	gap: 'from the finished line to the frame, or to the rim',
	turns: 'turns of the handle',
	wraps: 'turns of a strand in a knot',
	reading: 'one measurement that somebody took',
	method: 'a way of finding how much backing goes on',
	technique: 'a way of doing a step that people differ in',
	'half-fit': 'winding the line alone on the bare arbor to see how much room it takes',
	'reverse fill': 'winding the line first and the backing over it, then all of it the other way round',
	'coil drop': 'laying the tied coil of line on the backing to see whether it fits',
	bight: 'a folded piece of line',
	'standing part': 'the long end that a knot is tied round',
	'tag end': 'the short end that is left over at a knot'
} as const;
export type Term = keyof typeof MEANINGS;

/** A stretch of a text; with a term, it is a word that has a meaning to show. */
export interface Piece {
	readonly text: string;
	readonly term?: Term;
}

/** Words that everybody knows by the time they read a step, or that mean what they say. */
const PLAIN: ReadonlySet<string> = new Set([
	'reel',
	'spool',
	'backing',
	'fly line',
	'depth',
	'turns',
	'winding',
	'reading',
	'method',
	'technique',
	'set-up',
	'tip',
	'head'
]);
const SPOKEN = new Map<string, Term>(
	(Object.keys(MEANINGS) as Term[]).flatMap((term) =>
		term
			.split(', ')
			.filter((word) => !PLAIN.has(word))
			.map((word) => [word, term] as const)
	)
);
const ANY = new RegExp(
	`\\b(?:${[...SPOKEN.keys()].sort((a, b) => b.length - a.length).join('|')})(?:e?s)?\\b`,
	'gi'
);

/** Texts that are read one after the other, cut so that each word of the trade stands by itself where it first appears. */
export function withMeanings(texts: readonly string[]): Piece[][] {
	const seen = new Set<Term>();
	return texts.map((text) => {
		const pieces: Piece[] = [];
		let from = 0;
		for (const { 0: word, index } of text.matchAll(ANY)) {
			const term =
				SPOKEN.get(word.toLowerCase()) ??
				SPOKEN.get(word.toLowerCase().replace(/e?s$/, '')) ??
				SPOKEN.get(word.toLowerCase().replace(/s$/, ''));
			if (!term || seen.has(term)) continue;
			seen.add(term);
			if (index > from) pieces.push({ text: text.slice(from, index) });
			pieces.push({ text: word, term });
			from = index + word.length;
		}
		if (from < text.length || pieces.length === 0) pieces.push({ text: text.slice(from) });
		return pieces;
	});
}
