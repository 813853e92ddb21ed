<script lang="ts">
	import { tick } from 'svelte';
	import Select from '../../primitives/Select.svelte';
	import { MOST_NAME } from '../../state/cookies';
	import { usePreferences } from '../../state/preferences.svelte';

	interface Props {
		/** Everyone who has wound here, the one who wound last first. */
		winders: readonly string[];
		/** Who winds now; empty where nobody said. */
		winder: string;
		onchanged: () => void;
	}
	/** Who winds: people differ in how tightly they wind, and the plan starts from whoever this is. */
	let { winders, winder, onchanged }: Props = $props();
	const preferences = usePreferences();
	/** No name: nobody can type a line break. */
	const SOMEBODY_ELSE = '\n';
	let adding = $state(false);
	let name = $state('');
	let field = $state<HTMLInputElement>();

	const options = $derived([
		...[...new Set(winder ? [winder, ...winders] : winders)].map((one) => ({ value: one, label: one })),
		{ value: '', label: 'Not said' },
		{ value: SOMEBODY_ELSE, label: 'Somebody else' }
	]);

	async function choose(value: string): Promise<void> {
		adding = value === SOMEBODY_ELSE;
		if (adding) {
			await tick();
			field?.focus();
			return;
		}
		preferences.winder = value;
		onchanged();
	}
	function add(event: SubmitEvent): void {
		event.preventDefault();
		if (name.trim() === '') return;
		preferences.winder = name.trim();
		[adding, name] = [false, ''];
		onchanged();
	}
</script>

<div class="no-print mt-3 max-w-64">
	<Select label="Who winds" {options} value={winder} onchange={(value) => void choose(value)} />
	{#if adding}
		<form class="mt-2 flex items-end gap-2" onsubmit={add}>
			<label class="min-w-0 flex-1">
				<span class="block text-[13px] text-soft">Name</span>
				<input
					bind:this={field}
					bind:value={name}
					maxlength={MOST_NAME}
					autocomplete="off"
					class="w-full border-b-[1.5px] border-ink bg-transparent py-0.5 text-[16px] font-medium"
				/>
			</label>
			<button type="submit" class="action-quiet">Add name</button>
		</form>
	{/if}
</div>
