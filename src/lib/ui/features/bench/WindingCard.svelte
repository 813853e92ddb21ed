<script lang="ts">
	import { ROLE_NAMES, withUnit, type JobSetup } from '$lib/core';
	import { showSmall, showTurns, smallUnit } from '$lib/wording/units';
	import Field from '../../primitives/Field.svelte';
	import TextArea from '../../primitives/TextArea.svelte';
	import CutFrom from './CutFrom.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import TravelFields from './TravelFields.svelte';
	import { WindingDraft, type Finished } from './winding-draft.svelte';

	interface Props extends Finished {
		plan: JobSetup['plan'];
		/** Everyone who has wound here. */
		winders: readonly string[];
	}
	let { plan, winders, ...finished }: Props = $props();
	const preferences = usePreferences();
	const unit = $derived(smallUnit(preferences.units));
	// What was counted by the time this opens stays, whatever is counted elsewhere meanwhile.
	// svelte-ignore state_referenced_locally
	const { counted, winder } = finished;
	const draft = new WindingDraft(() => ({ ...finished, counted, winder }), preferences);
	const { winds } = draft;
	const form = $derived(draft.form);
	/** In a swap the backing lies as it did. */
	const asksBacking = $derived(draft.asksBacking);
	const error = (field: keyof typeof form): string | undefined => draft.error(field);
	const set = (field: keyof typeof form, value: string): void => draft.set(field, value);
</script>

<form
	onsubmit={(event) => {
		event.preventDefault();
		void draft.save();
	}}
	aria-labelledby="record-title"
	class="max-w-[560px]"
	novalidate
>
	<h2
		id="record-title"
		tabindex="-1"
		class="text-[34px] leading-[1.1] font-bold tracking-tight sm:text-[42px]"
	>
		How did it turn out?
	</h2>
	<p class="mt-3 text-[19px]">
		Leave blank what you didn't measure. {asksBacking
			? 'If you type both the turns and the depth, Wendle knows how much backing is on, whatever its thickness.'
			: 'The gap shows how good the plan was.'}
	</p>
	<div class="mt-6 grid gap-x-6 gap-y-4 sm:grid-cols-2">
		{#if asksBacking}
			<Field
				label="Turns of backing"
				inputmode="numeric"
				value={form.turns}
				placeholder="planned {showTurns(plan.turns)}"
				error={error('turns')}
				oninput={(value) => set('turns', value)}
			/>
			<Field
				label="Depth of the backing"
				value={form.depth}
				placeholder="planned {showSmall(plan.stopDepthMm, preferences.units)}"
				error={error('depth')}
				oninput={(value) => set('depth', value)}
				oncommit={(value) => set('depth', withUnit(value, unit))}
			/>
		{/if}
		<Field
			label="Gap with the line on"
			value={form.gap}
			placeholder="planned {showSmall(plan.gapMm, preferences.units)}"
			error={error('gap')}
			oninput={(value) => set('gap', value)}
			oncommit={(value) => set('gap', withUnit(value, unit))}
		/>
		<Field
			label="Wound on"
			type="date"
			value={form.woundOn}
			error={error('woundOn')}
			oninput={(value) => set('woundOn', value)}
		/>
		<Field
			label="Wound by"
			value={form.who}
			maxlength={60}
			list="winders"
			error={error('who')}
			oninput={(value) => set('who', value)}
		/>
		<datalist id="winders">
			{#each winders as name (name)}<option value={name}></option>{/each}
		</datalist>
		<CutFrom
			choices={finished.cuts}
			from={draft.cutFrom}
			onchange={(part, source) => draft.setCutFrom(part, source)}
		/>
		{#each winds as { id, role }, i (id)}
			<div class="sm:col-span-2">
				<TravelFields
					name={ROLE_NAMES[role]}
					part={id}
					travel={draft.travels[i]}
					onchange={(travel) => (draft.travels[i] = travel)}
				/>
			</div>
		{/each}
		<div class="sm:col-span-2">
			<TextArea label="Note" value={form.note} oninput={(note) => set('note', note)} />
		</div>
	</div>
	{#if draft.trouble}<p role="alert" class="mt-3 text-[16px] text-warn">{draft.trouble}</p>{/if}
	<button type="submit" class="mt-5 action" disabled={draft.busy}>Put it on the rack</button>
</form>
