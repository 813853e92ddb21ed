<script lang="ts">
	import { withUnit } from '$lib/core';
	import type { StockEntry, StockEventKind } from '$lib/stock/stock';
	import { EVENT_NAMES } from '$lib/stock/words';
	import { longUnit, smallUnit } from '$lib/wording/units';
	import Field from '../../primitives/Field.svelte';
	import Select from '../../primitives/Select.svelte';
	import { id as madeId } from '../../state/answers';
	import { FormSend } from '../../state/form-send.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import { made, tellChange } from '../../state/undo.svelte';
	import { refreshStock } from './changes';

	/** Something happened to what is on the shelf: it is cut, weighed, measured; boxes came, were taken, were counted. */
	let { entry }: { entry: StockEntry } = $props();
	const preferences = usePreferences();
	const KINDS: Readonly<Record<'boxed' | 'bulk' | 'end', readonly StockEventKind[]>> = {
		bulk: ['cut', 'weighed', 'depth', 'length'],
		end: ['cut', 'length'],
		boxed: ['took', 'came', 'counted']
	};
	const options = $derived(
		KINDS[entry.form.kind].map((value) => ({ value, label: EVENT_NAMES[value].label }))
	);
	let chosen = $state<StockEventKind>();
	const kind = $derived(options.find(({ value }) => value === chosen)?.value ?? options[0]!.value);
	let amount = $state('');
	let places = $state('1');
	let day = $state<string>();
	const sending = new FormSend({ beside: ({ path }) => ['amount', 'day'].includes(String(path[0])) });
	const error = (field: string): string | undefined =>
		sending.issues.find(({ path }) => path[0] === field)?.message;

	const unit = $derived(
		kind === 'weighed' ? 'g' : kind === 'depth' ? smallUnit(preferences.units) : longUnit(preferences.units)
	);
	const ofBoxes = $derived(entry.form.kind === 'boxed');

	async function save(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const body = {
			kind,
			day: day ?? preferences.today.toString(),
			amount,
			places: kind === 'depth' ? Number(places) : 1,
			note: ''
		};
		const reply = await sending.send('POST', `/api/stock/${entry.id}/events`, body, madeId);
		if (reply?.kind !== 'ok') return;
		amount = '';
		await refreshStock();
		await tellChange({
			said: `Written down: ${EVENT_NAMES[kind].label.toLowerCase()}.`,
			...made(`/api/stock/${entry.id}/events/${reply.value.id}`),
			stays: 'It is still written down',
			refresh: refreshStock
		});
	}
</script>

<form
	class="grid items-end gap-x-6 gap-y-3 sm:grid-cols-[minmax(0,14rem)_minmax(0,12rem)_minmax(0,11rem)_auto]"
	aria-label="Write down what happened"
	novalidate
	onsubmit={(event) => void save(event)}
>
	<Select label="What happened" {options} value={kind} onchange={(value) => (chosen = value)} />
	<Field
		label={EVENT_NAMES[kind].amount}
		value={amount}
		aside={ofBoxes || amount.trim() !== '' ? '' : unit}
		error={error('amount')}
		oninput={(value) => {
			amount = value;
			sending.changed('amount');
		}}
		oncommit={(value) => (amount = ofBoxes ? value : withUnit(value, unit))}
	/>
	<Field
		label="On"
		type="date"
		value={day ?? preferences.today.toString()}
		error={error('day')}
		oninput={(value) => (day = value)}
	/>
	<button type="submit" class="action-quiet min-h-10 justify-self-start" disabled={sending.busy}
		>Write it down</button
	>
	{#if kind === 'depth'}
		<div class="sm:col-span-4 sm:max-w-56">
			<Select
				label="Places that you read and averaged"
				options={[1, 2, 3, 4].map((count) => ({ value: String(count), label: String(count) }))}
				value={places}
				onchange={(value) => (places = value)}
			/>
		</div>
	{/if}
</form>
{#if sending.trouble}<p role="alert" class="mt-2 text-[16px] text-warn">{sending.trouble}</p>{/if}
