<script lang="ts">
	import type { Person } from '$lib/inventory/people';
	import { winderOf } from '$lib/inventory/winder';
	import { showDay } from '$lib/wording/dates';
	import { download } from '../../charts/export/download';
	import { aboutPerson } from '../../state/answers';
	import { send, troubleOf } from '../../state/api';
	import { notify } from '../../state/notices.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import { Write } from '../../state/write';
	import { refreshAll } from '../../state/refresh';

	/** Everybody whose name Wendle has: what it has of them, to take along or to delete. */
	interface Props {
		people: readonly Person[];
		/** Backups that there are: they keep what is deleted here. */
		backups: number;
	}
	let { people, backups }: Props = $props();
	const preferences = usePreferences();
	const write = new Write();
	/** Who is about to be deleted. */
	let asking = $state<string>();
	let busy = $state(false);

	const counted = (count: number, one: string, many: string): string =>
		count === 1 ? `1 ${one}` : `${count} ${many}`;
	function has({ windings, lastWoundOn, orders, openOrders }: Person): string {
		const wound =
			windings > 0
				? `${counted(windings, 'winding', 'windings')}${lastWoundOn ? `, the last on ${showDay(lastWoundOn, preferences.locale)}` : ''}`
				: '';
		const open = orders === 1 ? 'open' : `${openOrders} of them open`;
		const ordered = counted(orders, 'order', 'orders') + (openOrders > 0 ? `, ${open}` : '');
		return [wound, orders > 0 ? ordered : ''].filter(Boolean).join('; ');
	}
	function goes({ windings, orders, openOrders }: Person): string {
		const parts = [
			windings > 0 ? `${counted(windings, 'winding stays', 'windings stay')}, without the name` : '',
			orders > 0 ? `${counted(orders, 'order is', 'orders are')} deleted` : '',
			openOrders > 0 ? 'reels that came with an open order and are not wound leave the rack' : ''
		];
		return parts.filter(Boolean).join('; ');
	}

	async function save({ name }: Person): Promise<void> {
		const reply = await send('POST', '/api/people/export', { name }, { answer: aboutPerson });
		if (reply.kind !== 'ok') return notify(troubleOf(reply, 'Nothing was saved')!);
		download(
			'wendle-about-a-person.json',
			new Blob([JSON.stringify(reply.value, null, '\t')], { type: 'application/json' })
		);
	}
	async function forget({ name }: Person): Promise<void> {
		if (busy) return;
		busy = true;
		const trouble = troubleOf(
			await write.send('POST', '/api/people/forget', { name }),
			'Nothing was deleted'
		);
		busy = false;
		if (trouble !== undefined) return notify(trouble);
		asking = undefined;
		if (winderOf(preferences.winder) === winderOf(name)) preferences.winder = '';
		await refreshAll();
		await notify(`${name} is deleted.`);
	}
</script>

<div class="mx-auto max-w-[1000px] px-4 pb-12 sm:px-8">
	<h1 class="pt-5 text-[26px] leading-tight font-bold tracking-tight">People</h1>
	<p class="mt-1 max-w-[64ch]">
		The names that stand on windings and orders. Wendle asks for no more than a name or a number. Anybody can
		have what is kept about them, or have it deleted.
	</p>
	{#if people.length === 0}
		<p class="mt-4">No names are kept.</p>
	{:else}
		<ul class="mt-4 border-t-[3px] border-ink" data-people>
			{#each people as person (person.name)}
				<li class="border-b border-hair py-2.5" data-person={person.name}>
					<div class="flex flex-wrap items-baseline gap-x-5 gap-y-1">
						<h2 class="figure w-44 text-[17px] font-semibold">{person.name}</h2>
						<p class="min-w-0 flex-1 basis-40 text-[15px]">{has(person)}</p>
						<button
							type="button"
							class="min-h-8 text-[15px] underline underline-offset-4"
							aria-label="Save as a file what Wendle has about {person.name}"
							onclick={() => void save(person)}>Save as a file</button
						>
						<button
							type="button"
							class="min-h-8 text-[15px] underline underline-offset-4"
							aria-label="Delete {person.name}"
							aria-expanded={asking === person.name}
							onclick={() => (asking = asking === person.name ? undefined : person.name)}>Delete</button
						>
					</div>
					{#if asking === person.name}
						<div class="mt-2 max-w-[64ch] border-l-[3px] border-warn pl-3 text-[15px]">
							<p>
								{goes(person)}. This can't be undone.
								{#if backups > 0}
									{counted(backups, 'backup still has', 'backups still have')} the name: a backup goes by itself
									after 12 months at most, or delete its file.
								{/if}
							</p>
							<div class="mt-2 flex flex-wrap gap-3">
								<button type="button" class="action" disabled={busy} onclick={() => void forget(person)}
									>Yes, delete {person.name}</button
								>
								<button type="button" class="action-quiet min-h-11" onclick={() => (asking = undefined)}
									>Keep {person.name}</button
								>
							</div>
						</div>
					{/if}
				</li>
			{/each}
		</ul>
	{/if}
	<p class="mt-4 text-[15px]"><a class="underline underline-offset-4" href="/data">Back to your data</a></p>
</div>
