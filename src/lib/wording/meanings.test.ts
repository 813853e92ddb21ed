import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { MEANINGS, withMeanings } from './meanings';

it('the page of words in the guide gives each word the same meaning', () => {
	const page = readFileSync(join(import.meta.dirname, '../../../docs/guide/words.md'), 'utf8');
	const rows = [...page.matchAll(/^\| (?<word>[^|]+?) *\| (?<meaning>[^|]+?) *\|$/gm)]
		.map(({ groups }) => [groups!['word'], groups!['meaning']])
		.filter(([word]) => word !== 'word' && !word!.startsWith('-'));
	expect(Object.entries(MEANINGS)).toEqual(rows);
});

it('each word of the trade stands by itself where it first appears, and nowhere else', () => {
	expect(withMeanings(['Tie it round the arbor.', 'The arbor, between the flanges. Cage closed?'])).toEqual([
		[{ text: 'Tie it round the ' }, { text: 'arbor', term: 'arbor' }, { text: '.' }],
		[
			{ text: 'The arbor, between the ' },
			{ text: 'flanges', term: 'flange' },
			{ text: '. ' },
			{ text: 'Cage', term: 'frame, cage' },
			{ text: ' closed?' }
		]
	]);
	expect(withMeanings(['Nothing to say here.', ''])).toEqual([
		[{ text: 'Nothing to say here.' }],
		[{ text: '' }]
	]);
});

it('whatever is cut reads as it did', () => {
	const texts = [Object.values(MEANINGS).join('; '), Object.keys(MEANINGS).join('s, ')];
	expect(withMeanings(texts).map((pieces) => pieces.map(({ text }) => text).join(''))).toEqual(texts);
});
