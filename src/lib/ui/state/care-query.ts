import { STRAND_KINDS } from '$lib/core';
import { USUAL_FILTER, type CareFilter } from '$lib/inventory/care-rows';

const MOST_ROWS = 2000;
const WHERES = ['kept', 'spool', 'coil', 'retired', 'all'] as const;

/** The filter of an address; what makes no sense is as usual. */
export function readCareFilter(query: URLSearchParams): CareFilter {
	const show = Number(query.get('show'));
	return {
		sought: (query.get('q') ?? '').slice(0, 80),
		kind: STRAND_KINDS.find((kind) => kind === query.get('kind')) ?? USUAL_FILTER.kind,
		where: WHERES.find((where) => where === query.get('where')) ?? USUAL_FILTER.where,
		due: query.get('due') === '1',
		spool: query.get('spool'),
		thing: query.get('thing'),
		show: Number.isInteger(show) && show > 0 && show <= MOST_ROWS ? show : USUAL_FILTER.show
	};
}

/** The address of a filter: only what is not as usual. */
export function careQuery({ sought, kind, where, due, spool, thing, show }: CareFilter): string {
	const query = new URLSearchParams();
	if (sought !== '') query.set('q', sought);
	if (kind !== USUAL_FILTER.kind) query.set('kind', kind);
	if (where !== USUAL_FILTER.where) query.set('where', where);
	if (due) query.set('due', '1');
	if (spool !== null) query.set('spool', spool);
	if (thing !== null) query.set('thing', thing);
	if (show !== USUAL_FILTER.show) query.set('show', String(show));
	return query.size > 0 ? `?${query}` : '';
}
