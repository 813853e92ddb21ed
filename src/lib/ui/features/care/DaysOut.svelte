<script lang="ts">
	import type { KeptEntry } from '$lib/schema/kept';

	/** Days fished, many at once, for everything that is on one spool. */
	interface Props {
		entries: readonly KeptEntry[];
		today: string;
		write: (events: { keptId: string; event: Record<string, unknown> }[], said: string) => Promise<void>;
	}
	let { entries, today, write }: Props = $props();
	const spools = $derived([
		...new Map(entries.flatMap(({ spoolId, where }) => (spoolId ? [[spoolId, where] as const] : [])))
	]);
	let picked = $state<string>();
	let days = $state(1);
	let day = $state<string>();
	let water = $state<'fresh' | 'salt'>('fresh');
	const spool = $derived(spools.find(([id]) => id === picked) ?? spools[0]);

	async function add(): Promise<void> {
		if (!spool) return;
		const [id, name] = spool;
		await write(
			entries
				.filter(({ spoolId }) => spoolId === id)
				.map(({ kept }) => ({ keptId: kept.id, event: { kind: 'fished', days, water, day: day ?? today } })),
			`${name}: ${days === 1 ? 'a day' : `${days} days`} out written down.`
		);
		days = 1;
	}
</script>

{#if spool}
	<form
		class="mt-5 flex flex-wrap items-end gap-x-5 gap-y-3"
		aria-label="Days out"
		onsubmit={(event) => {
			event.preventDefault();
			void add();
		}}
	>
		<label class="min-w-48">
			<span class="block text-[13px] text-soft">Out with</span>
			<select
				class="w-full border-b-[1.5px] border-ink bg-transparent py-1 text-[15.5px] font-medium"
				value={spool[0]}
				onchange={(event) => (picked = event.currentTarget.value)}
			>
				{#each spools as [id, name] (id)}<option value={id} class="bg-paper text-ink">{name}</option>{/each}
			</select>
		</label>
		<label class="w-20">
			<span class="block text-[13px] text-soft">Days</span>
			<input
				type="number"
				min="1"
				max="366"
				required
				bind:value={days}
				class="figure w-full border-b-[1.5px] border-ink bg-transparent py-1 text-[17px] font-medium"
			/>
		</label>
		<label class="w-40">
			<span class="block text-[13px] text-soft">Until</span>
			<input
				type="date"
				max={today}
				value={day ?? today}
				class="figure w-full border-b-[1.5px] border-ink bg-transparent py-1 text-[15.5px]"
				onchange={(event) => (day = event.currentTarget.value || undefined)}
			/>
		</label>
		<label class="w-28">
			<span class="block text-[13px] text-soft">Water</span>
			<select
				class="w-full border-b-[1.5px] border-ink bg-transparent py-1 text-[15.5px] font-medium"
				bind:value={water}
			>
				<option value="fresh" class="bg-paper text-ink">fresh</option>
				<option value="salt" class="bg-paper text-ink">salt</option>
			</select>
		</label>
		<button type="submit" class="action min-h-10">Write it down</button>
	</form>
{/if}
