import { describe, expect, it } from 'vitest';
import { ofSpool, PAGE_QUERY, pageOf } from './page';

const all = Array.from({ length: 7 }, (_, i) => ({ id: `t${i}`, spoolId: i % 2 ? 'odd' : 'even' }));
const asked = (query: Record<string, string>) => PAGE_QUERY.parse(query);

describe('a list in pages', () => {
	it('gives everything once, page after page, whatever the size of a page', () => {
		for (const most of ['1', '2', '3', '7', '50']) {
			const seen: string[] = [];
			for (let next: string | null = ''; next !== null;) {
				const page: ReturnType<typeof pageOf<(typeof all)[number]>> = pageOf(
					all,
					asked({ most, ...(next && { after: next }) }),
					ofSpool
				);
				expect(page.total).toBe(7);
				expect(page.things.length).toBeLessThanOrEqual(Number(most));
				seen.push(...page.things.map(({ id }) => id));
				next = page.next;
			}
			expect(seen, most).toEqual(all.map(({ id }) => id));
		}
	});
	it('gives those of one spool, and an end where there is none', () => {
		const page = pageOf(all, asked({ spool: 'odd' }), ofSpool);
		expect(page).toEqual({ things: [all[1], all[3], all[5]], next: null, total: 3 });
		expect(pageOf(all, asked({ spool: 'none' }), ofSpool)).toEqual({ things: [], next: null, total: 0 });
	});
	it('refuses a size that is none', () => {
		for (const most of ['0', '201', 'many', '1.5'])
			expect(PAGE_QUERY.safeParse({ most }).success).toBe(false);
	});
});
