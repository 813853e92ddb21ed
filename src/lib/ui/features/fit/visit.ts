import { beforeNavigate, goto } from '$app/navigation';
import { resolve } from '$app/paths';
import type { SetupForm } from '$lib/setup/form';
import { onDestroy } from 'svelte';
import { send, troubleOf } from '../../state/api';
import { notify } from '../../state/notices.svelte';
import { made, rememberChange, takenAway, tellChange } from '../../state/undo.svelte';
import type { SetupStore } from './store.svelte';
import { refreshAll } from '../../state/refresh';

/** A visit to a set-up. */
interface Visit {
	/** The set-up as it was when the page was opened. */
	readonly began: SetupForm;
	/** The page was opened on no spool: what is saved here makes one. */
	readonly isNew: boolean;
	readonly form: () => SetupForm;
}

const nameOf = ({ spool }: SetupForm): string => spool.name.trim() || 'The spool';

/**
 * What was changed on a visit can be undone as a whole after it. A spool that was only tried out, without a name, is taken
 * off the rack again when its page is left for the rack.
 */
export function rememberVisit(store: SetupStore, { began, isNew, form }: Visit): void {
	let to: string | null | undefined;
	beforeNavigate((navigation) => {
		to = navigation.to?.route.id;
	});
	onDestroy(() => {
		const known = store.known;
		if (!known || JSON.stringify(form()) === JSON.stringify(began)) return;
		const { id, spoolId, version } = known;
		const toRack = (): Promise<void> => goto(resolve('/'), { invalidateAll: true });
		if (!isNew)
			rememberChange({
				said: `${nameOf(form())} was changed.`,
				undo: () => send('PUT', `/api/setups/${id}`, { form: began, version }),
				stays: 'It is as you changed it',
				refresh: refreshAll
			});
		else if (to === '/' && form().spool.name.trim() === '') void takeOff(spoolId);
		else
			rememberChange({
				said: `${nameOf(form())} was added.`,
				...made(`/api/spools/${spoolId}`),
				stays: 'It is still on the rack',
				refresh: toRack
			});
	});
}

async function takeOff(spoolId: string): Promise<void> {
	const trouble = troubleOf(
		await send('DELETE', `/api/spools/${spoolId}`),
		'The set-up without a name is on the rack'
	);
	if (trouble !== undefined) return notify(trouble);
	await refreshAll();
	await tellChange({
		said: "The set-up had no name, so it isn't on the rack.",
		label: 'Keep it',
		...takenAway(`/api/spools/${spoolId}`),
		stays: "It still isn't on the rack",
		refresh: refreshAll
	});
}
