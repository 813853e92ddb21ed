import { beforeEach, describe, expect, it, vi } from 'vitest';

const moved = vi.hoisted(() => ({ to: [] as string[], settle: [] as (() => void)[] }));
vi.mock('$app/navigation', () => ({
	goto: (href: string) => {
		moved.to.push(href);
		return new Promise<void>((settle) => moved.settle.push(settle));
	}
}));
const said = vi.hoisted(() => [] as string[]);
vi.mock('./notices.svelte', () => ({ notify: (text: string) => void said.push(text) }));
const server = vi.hoisted(() => ({ there: true }));
vi.mock('./api', () => ({ isThere: () => Promise.resolve(server.there) }));

import { UrlState } from './url-state.svelte';

interface Question {
	a: number;
	b: number;
}
let page: Question;
const asked = (ofServer = false): UrlState<Question> =>
	new UrlState(
		() => page,
		({ a, b }) => `?a=${a}&b=${b}`,
		ofServer
	);
const soon = (): Promise<void> => new Promise((settle) => setTimeout(settle, 0));

beforeEach(() => {
	page = { a: 1, b: 1 };
	server.there = true;
	for (const list of [moved.to, moved.settle, said]) list.length = 0;
});

describe('what is asked of a page', () => {
	it('is what the page was made for, until it is changed: that shows at once', async () => {
		const question = asked();
		expect(question.now).toEqual({ a: 1, b: 1 });
		void question.change({ a: 2 });
		expect(question.now).toEqual({ a: 2, b: 1 });
		page = { a: 2, b: 1 };
		moved.settle[0]!();
		await soon();
		// From here on the page speaks for itself.
		page = { a: 5, b: 5 };
		expect(question.now).toEqual({ a: 5, b: 5 });
	});
	it('a change that comes before the page builds upon the one before it', async () => {
		const question = asked();
		void question.change({ a: 2 });
		void question.change({ b: 3 });
		expect(question.now).toEqual({ a: 2, b: 3 });
		expect(moved.to).toEqual(['?a=2&b=1', '?a=2&b=3']);
		// The page of the first comes late: what was asked since still stands.
		moved.settle[0]!();
		await soon();
		expect(question.now).toEqual({ a: 2, b: 3 });
	});
	it('a page of the server is asked for only when it is there; else what was shown is shown', async () => {
		server.there = false;
		const question = asked(true);
		await question.change({ a: 2 });
		expect(moved.to).toEqual([]);
		expect(question.now).toEqual({ a: 1, b: 1 });
		expect(said).toHaveLength(1);
		server.there = true;
		void question.change({ a: 3 });
		await soon();
		expect(moved.to).toEqual(['?a=3&b=1']);
	});
	it('of several that wait for the server, only the newest is asked for', async () => {
		const question = asked(true);
		void question.change({ a: 2 });
		void question.change({ b: 2 });
		await soon();
		expect(moved.to).toEqual(['?a=2&b=2']);
	});
});
