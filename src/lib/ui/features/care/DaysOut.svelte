<script lang="ts">
	import Field from '../../primitives/Field.svelte';
	import NumberField from '../../primitives/NumberField.svelte';
	import Select from '../../primitives/Select.svelte';
	import type { Write } from './writing';

	/** Days fished, many at once, for everything that is on one spool. */
	interface Props {
		spools: readonly { readonly id: string; readonly name: string; readonly things: readonly string[] }[];
		today: string;
		write: Write;
	}
	let { spools, today, write }: Props = $props();
	let picked = $state<string>();
	let days = $state(1);
	let day = $state<string>();
	let water = $state<'fresh' | 'salt'>('fresh');
	const spool = $derived(spools.find(({ id }) => id === picked) ?? spools[0]);

	async function add(): Promise<void> {
		if (!spool) return;
		const { name, things } = spool;
		const written = await write(
			things.map((keptId) => ({ keptId, event: { kind: 'fished', days, water, day: day ?? today } })),
			`${name}: ${days === 1 ? 'a day' : `${days} days`} out written down.`
		);
		if (written) days = 1;
	}
</script>

{#if spool}
	<form
		class="no-print mt-5 grid grid-cols-[4.5rem_1fr_5.5rem] items-end gap-x-5 gap-y-2 sm:flex sm:flex-wrap"
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
		<div class="sm:w-20">
			<NumberField label="Days" value={days} min={1} max={366} onchange={(value) => (days = value ?? 1)} />
		</div>
		<div class="sm:w-40">
			<Field
				label="Until"
				type="date"
				max={today}
				value={day ?? today}
				oninput={(value) => (day = value || undefined)}
			/>
		</div>
		<div class="sm:w-28">
			<Select
				label="Water"
				options={[
					{ value: 'fresh', label: 'fresh' },
					{ value: 'salt', label: 'salt' }
				]}
				value={water}
				onchange={(value) => (water = value)}
			/>
		</div>
		<button type="submit" class="action min-h-10 max-sm:col-span-3 max-sm:justify-self-start"
			>Write it down</button
		>
	</form>
{/if}
