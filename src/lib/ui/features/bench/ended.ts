import { goto } from '$app/navigation';
import { resolve } from '$app/paths';
import type { Ended } from '$lib/bench/run';
import type { Day } from '$lib/core';
import { notify } from '../../state/notices.svelte';
import { made, rememberChange } from '../../state/undo.svelte';
import { teller } from '../../state/writing';
import { refreshAll } from '../../state/refresh';

/** A winding was saved: says so, with its label at hand, and goes to its order where it is one's, and otherwise to the rack. */
export async function windingSaved(
	spool: string,
	record: string,
	order: { readonly id: string } | undefined
): Promise<void> {
	const said = `${spool || 'The spool'} is on the rack, as wound.`;
	void notify(said, {
		action: {
			label: 'Print its label',
			onClick: () => void goto(resolve('/label/[id]', { id: record }))
		}
	});
	rememberChange({
		said,
		...made(`/api/records/${record}`),
		stays: 'The winding is still on the rack',
		refresh: refreshAll
	});
	await goto(order ? resolve('/orders/[id]', order) : resolve('/'), { invalidateAll: true });
}

/** A job that winds nothing new is over: says what was written down, and goes on. */
export async function jobSaved(written: Ended['written'], today: Day, to: '/' | '/care'): Promise<void> {
	if (written.length > 0)
		void teller(() => today)(
			written.map(({ keptId, id }) => ({ keptId, event: { id } })),
			'Written down.'
		);
	await goto(resolve(to), { invalidateAll: true });
}
