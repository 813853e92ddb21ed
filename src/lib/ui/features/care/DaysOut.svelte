<script lang="ts">
	import type { Day } from '$lib/core';
	import Field from '../../primitives/Field.svelte';
	import Select from '../../primitives/Select.svelte';
	import OutFields from './OutFields.svelte';
	import type { Write } from '../../state/writing';

	/** Days fished, many at once, for everything that is on one spool. */
	interface Props {
		spools: readonly { readonly id: string; readonly name: string; readonly things: readonly string[] }[];
		today: Day;
		write: Write;
	}
	let { spools, today, write }: Props = $props();
	let picked = $state<string>();
	let out = $state<{ days: number; water: 'fresh' | 'salt' }>({ days: 1, water: 'fresh' });
	let day = $state<string>();
	const spool = $derived(spools.find(({ id }) => id === picked) ?? spools[0]);

	async function add(): Promise<void> {
		if (!spool) return;
		const { name, things } = spool;
		const written = await write(
			things.map((keptId) => ({ keptId, event: { kind: 'fished', ...out, day: day ?? today.toString() } })),
			`${name}: ${out.days === 1 ? 'a day' : `${out.days} days`} out saved.`
		);
		if (written) out = { ...out, days: 1 };
	}
</script>

{#if spool}
	<form
		class="no-print mt-5 grid grid-cols-[1fr_4.5rem_5.5rem] items-end gap-x-5 gap-y-2 sm:flex sm:flex-wrap"
		aria-label="Days out"
		onsubmit={(event) => {
			event.preventDefault();
			void add();
		}}
	>
		<div class="max-sm:col-span-3 sm:min-w-48">
			<Select
				label="Out with"
				options={spools.map(({ id, name }) => ({ value: id, label: name }))}
				value={spool.id}
				onchange={(id) => (picked = id)}
			/>
		</div>
		<div class="sm:w-40">
			<Field
				label="Until"
				type="date"
				max={today.toString()}
				value={day ?? today.toString()}
				oninput={(value) => (day = value || undefined)}
			/>
		</div>
		<OutFields {...out} onchange={(changed) => (out = changed)} />
		<button type="submit" class="action min-h-10 max-sm:col-span-3 max-sm:justify-self-start">Save it</button>
	</form>
{/if}
