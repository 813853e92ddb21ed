import { marked } from 'marked';

/** The pages of the guide, from the same Markdown that stands in `docs/guide/`. */
const TEXTS = import.meta.glob<string>('/docs/guide/*.md', { query: '?raw', import: 'default', eager: true });
const PICTURES = import.meta.glob<string>('/docs/screenshots/*.png', {
	query: '?url',
	import: 'default',
	eager: true
});

/** In the order in which somebody new would read them. */
const ORDER = [
	'how-much-backing',
	'why-stop-depth',
	'wind-it',
	'check-while-winding',
	'fill-back-to-front',
	'swap-lines',
	'on-the-water',
	'match',
	'knots',
	'twist',
	'care',
	'what-wendle-learns',
	'many-reels',
	'orders',
	'stock',
	'your-data',
	'words'
];

export interface GuidePage {
	readonly slug: string;
	readonly title: string;
	readonly html: string;
}

const nameOf = (path: string): string => path.slice(path.lastIndexOf('/') + 1);

/** Pictures lie beside the application's own files, under names of their own. */
const withPictures = (html: string): string =>
	html.replace(/src="[^"]*\/([\w-]+\.png)"/g, (whole, name: string) => {
		const url = Object.entries(PICTURES).find(([path]) => nameOf(path) === name)?.[1];
		return url === undefined ? whole : `src="${url}" loading="lazy"`;
	});

function pageOf(slug: string): GuidePage {
	const text = TEXTS[`/docs/guide/${slug}.md`]!;
	const [, title = slug] = /^# (.+)$/m.exec(text) ?? [];
	return { slug, title, html: withPictures(marked.parse(text, { async: false })) };
}

const slugs = Object.keys(TEXTS).map((path) => nameOf(path).replace('.md', ''));
const placeOf = (slug: string): number => (ORDER.includes(slug) ? ORDER.indexOf(slug) : ORDER.length);

/** Every page; one that the order does not name comes last. */
export const GUIDE: readonly GuidePage[] = slugs.sort((a, b) => placeOf(a) - placeOf(b)).map(pageOf);
