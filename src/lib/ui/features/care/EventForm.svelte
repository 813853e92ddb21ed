<script lang="ts">
	import {
		formatLength,
		parseLength,
		untwistTechniques,
		withUnit,
		type CareEvent,
		type Strand
	} from '$lib/core';
	import { longUnit, usualBightMm } from '$lib/wording/units';
	import Field from '../../primitives/Field.svelte';
	import NumberField from '../../primitives/NumberField.svelte';
	import Select from '../../primitives/Select.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import LoopCount from '../twist/LoopCount.svelte';
	import OutFields from './OutFields.svelte';
	import { whatOf, type What } from './event-kinds';

	/** Something that happened to a thing, to be written down or put right. */
	interface Props {
		kept: Strand;
		/** What is put right; the form begins with it. */
		correcting: CareEvent | undefined;
		submit: (event: Readonly<Record<string, unknown>>) => Promise<boolean>;
		onleave: () => void;
	}
	let { kept, correcting, submit, onleave }: Props = $props();
	const preferences = usePreferences();
	const unit = $derived(longUnit(preferences.units));
	// The form begins with what is put right, and is made anew for another.
	// svelte-ignore state_referenced_locally
	const was = correcting;
	const wasWhat = (event: CareEvent): What =>
		event.kind === 'moved' ? (event.to.on === 'coil' ? 'coil' : 'retired') : (event.kind as What);
	// That something came is written when it is brought: here only its day can be put right.
	const options = $derived(was?.kind === 'came' ? [{ value: 'came' as const, label: 'came' }] : whatOf(kept));
	let picked = $state<What | undefined>(was && wasWhat(was));
	const what = $derived(picked ?? options[0]!.value);
	let day = $state((was?.day ?? preferences.today).toString());
	let note = $state(was?.note ?? '');
	let bight = $state(
		was?.kind === 'loop-test'
			? { bightMm: was.bightMm, spins: was.spins }
			: { bightMm: usualBightMm(preferences.units), spins: 0 }
	);
	// svelte-ignore state_referenced_locally
	let by = $state(was?.kind === 'shortened' ? formatLength(was.byMm, unit, 2) : '');
	let label = $state(was?.kind === 'moved' && was.to.on === 'coil' ? was.to.label : '');
	let result = $state<'passed' | 'doubtful' | 'failed'>(was?.kind === 'tug-test' ? was.result : 'passed');
	let times = $state(was?.kind === 'wetted' ? was.times : 1);
	let out = $state<{ days: number; water: 'fresh' | 'salt' }>(
		was?.kind === 'fished' ? { days: was.days, water: was.water } : { days: 1, water: 'fresh' }
	);
	/** Every way to get twist out, wherever it was done. */
	const ways = $derived(
		untwistTechniques({
			lengthMm: kept.lengthMm,
			laneMm: Infinity,
			has: ['current', 'height', 'swivel'],
			heightMm: kept.lengthMm,
			weakestLb: 20,
			turns: 0
		})
	);
	// svelte-ignore state_referenced_locally
	let wayKey = $state(
		was?.kind === 'let-out' ? ways.find(({ share }) => share === was.share)?.key : undefined
	);
	const way = $derived(ways.find(({ key }) => key === wayKey) ?? ways[0]!);
	const read = $derived(parseLength(by, unit));
	const byMm = $derived(read.ok && read.value >= 1 && read.value <= kept.lengthMm ? read.value : undefined);
	const ready = $derived(
		day !== '' && (what !== 'shortened' || byMm !== undefined) && (what !== 'coil' || label.trim() !== '')
	);

	function body(): Record<string, unknown> {
		switch (what) {
			case 'loop-test':
				return { kind: what, ...bight };
			case 'let-out':
				return { kind: what, share: way.share, shareSd: way.shareSd };
			case 'shortened':
				return { kind: what, byMm };
			case 'tug-test':
				return { kind: what, result };
			case 'wetted':
				return { kind: what, times };
			case 'fished':
				return { kind: what, ...out };
			case 'coil':
				return { kind: 'moved', to: { on: 'coil', label: label.trim() } };
			case 'retired':
				return { kind: 'moved', to: { on: 'retired' } };
			default:
				return { kind: what };
		}
	}
	async function onsubmit(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		if (!ready) return;
		if (await submit({ ...body(), day, ...(note.trim() !== '' && { note: note.trim() }) }))
			[by, label, note] = ['', '', ''];
	}
</script>

<form
	class="mt-2 flex flex-wrap items-end gap-x-5 gap-y-3"
	aria-label="What happened to {kept.label}"
	{onsubmit}
>
	<div class="w-48">
		<Select label="What happened" {options} value={what} onchange={(value) => (picked = value)} />
	</div>
	<div class="w-36">
		<Field label="On" type="date" value={day} oninput={(value) => (day = value)} />
	</div>
	{#if what === 'loop-test'}
		<div class="flex flex-wrap items-end gap-x-5 gap-y-3">
			<LoopCount {...bight} onchange={(changed) => (bight = changed)} />
		</div>
	{:else if what === 'shortened'}
		<div class="w-40">
			<Field
				label="By how much"
				value={by}
				error={by !== '' && byMm === undefined ? `Give a length, like 2 ${unit}.` : undefined}
				oninput={(text) => (by = text)}
				oncommit={(text) => (by = withUnit(text, unit))}
			/>
		</div>
	{:else if what === 'let-out'}
		<div class="w-56">
			<Select
				label="How"
				options={ways.map(({ key, name }) => ({ value: key, label: name }))}
				value={way.key}
				onchange={(key) => (wayKey = key)}
			/>
		</div>
	{:else if what === 'tug-test'}
		<div class="w-36">
			<Select
				label="It"
				options={(['passed', 'doubtful', 'failed'] as const).map((value) => ({
					value,
					label: value === 'doubtful' ? 'is doubtful' : value
				}))}
				value={result}
				onchange={(value) => (result = value)}
			/>
		</div>
	{:else if what === 'wetted'}
		<div class="w-28">
			<NumberField
				label="How many times"
				value={times}
				min={1}
				max={1000}
				onchange={(n) => (times = n ?? 1)}
			/>
		</div>
	{:else if what === 'fished'}
		<OutFields {...out} onchange={(changed) => (out = changed)} />
	{:else if what === 'coil'}
		<div class="w-52">
			<Field label="What is written on it" value={label} maxlength={80} oninput={(text) => (label = text)} />
		</div>
	{/if}
	<div class="w-48">
		<Field label="Note" value={note} maxlength={500} oninput={(text) => (note = text)} />
	</div>
	<button type="submit" class="action-quiet min-h-10" disabled={!ready}
		>{correcting ? 'Save the correction' : 'Save it'}</button
	>
	{#if correcting}
		<button type="button" class="min-h-10 underline" onclick={onleave}>Leave without saving</button>
	{/if}
</form>
