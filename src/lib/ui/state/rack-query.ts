/** How the rack is looked through. What is looked for is no part of it: a name that is typed there belongs into no address. */
export interface RackView {
	readonly show: (typeof RACK_SHOWS)[number];
	readonly sort: (typeof RACK_SORTS)[number];
	readonly group: (typeof RACK_GROUPS)[number];
	/** Drawn to scale, or one line each. */
	readonly as: (typeof RACK_LOOKS)[number];
}
export const RACK_SHOWS = ['all', 'due', 'bench', 'planned'] as const;
export const RACK_SORTS = ['added', 'name', 'wound', 'due'] as const;
export const RACK_GROUPS = ['none', 'reel', 'who', 'water', 'due'] as const;
export const RACK_LOOKS = ['pictures', 'lines'] as const;

export const USUAL_RACK: RackView = { show: 'all', sort: 'added', group: 'none', as: 'pictures' };

/** The view of an address; what makes no sense is as usual. */
export const readRackView = (query: URLSearchParams): RackView => ({
	show: RACK_SHOWS.find((show) => show === query.get('show')) ?? USUAL_RACK.show,
	sort: RACK_SORTS.find((sort) => sort === query.get('sort')) ?? USUAL_RACK.sort,
	group: RACK_GROUPS.find((group) => group === query.get('group')) ?? USUAL_RACK.group,
	as: RACK_LOOKS.find((as) => as === query.get('as')) ?? USUAL_RACK.as
});

/** The address of a view: only what is not as usual. */
export function rackQuery(view: RackView): string {
	const query = new URLSearchParams();
	for (const key of ['show', 'sort', 'group', 'as'] as const)
		if (view[key] !== USUAL_RACK[key]) query.set(key, view[key]);
	return query.size > 0 ? `?${query}` : '';
}
