<script lang="ts">
	import {
		formatLength,
		KNOT_PLACES,
		KNOT_TOOLS,
		parseLength,
		TYPICAL_MM,
		type KnotPlace,
		type KnotSituation,
		type KnotTool
	} from '$lib/core';
	import { smallUnit } from '$lib/wording/units';
	import Field from '../../primitives/Field.svelte';
	import Select from '../../primitives/Select.svelte';
	import { usePreferences } from '../../state/preferences.svelte';

	/** What is there, and what is wanted. */
	interface Props {
		situation: KnotSituation;
		onchange: (part: Partial<KnotSituation>) => void;
	}
	let { situation, onchange }: Props = $props();
	const preferences = usePreferences();
	const unit = $derived(smallUnit(preferences.units));
	const place = $derived(situation.place);
	/** What is asked depends on the place: nothing is asked that changes nothing. */
	const onArbor = $derived(place === 'arbor');
	const joinsLine = $derived(['backing-line', 'line-line', 'leader-line'].includes(place));
	const asksSlick = $derived(['arbor', 'bed', 'loop', 'backing-line', 'tippet'].includes(place));
	const asksSwaps = $derived(joinsLine || place === 'loop' || onArbor);
	const asksThickness = $derived(!['arbor', 'loop', 'wire'].includes(place));

	const options = <K extends string>(labels: Record<K, string>): { value: K; label: string }[] =>
		(Object.entries(labels) as [K, string][]).map(([value, label]) => ({ value, label }));
	const PLACES = options<KnotPlace>(KNOT_PLACES);
	const LOOPS = options({ welded: 'has a loop', none: 'has none' });
	const SWAPS = options({ often: 'often', seldom: 'now and then', never: 'never' });
	const WATERS = options({ fresh: 'fresh', salt: 'salt' });
	const ARBORS = options({ bare: 'nothing', tape: 'a layer of tape', mono: 'a bed of mono' });
	const CAGES = options({ open: 'open', closed: 'closed' });
	const SKILLS = options({ first: 'the first time', yearly: 'every year', daily: 'every day' });

	function change(part: Partial<KnotSituation>): void {
		if (part.place === undefined) return onchange(part);
		// Another place has other thicknesses.
		typed = {};
		const { thin, thick } = TYPICAL_MM[part.place];
		onchange({ ...part, thinMm: thin, thickMm: thick });
	}
	let typed = $state<{ thin?: string; thick?: string }>({});
	function thickness(which: 'thin' | 'thick', text: string): void {
		typed = { ...typed, [which]: text };
		const mm = readMm(text);
		if (mm === undefined) return;
		const other = which === 'thin' ? situation.thickMm : situation.thinMm;
		change({ thinMm: Math.min(mm, other), thickMm: Math.max(mm, other) });
	}
	/** What could be read is shown as it was taken; what could not stays, with what is wrong. */
	function settle(): void {
		typed = Object.fromEntries(Object.entries(typed).filter(([, text]) => readMm(text) === undefined));
	}
	const showMm = (mm: number): string => formatLength(mm, unit, unit === 'mm' ? 2 : 3);
	function readMm(text: string): number | undefined {
		const read = parseLength(text, unit);
		return read.ok && read.value >= 0.05 && read.value <= 4 ? read.value : undefined;
	}
	const complaint = (text: string | undefined): string | undefined =>
		text !== undefined && readMm(text) === undefined ? `Give a thickness, like ${showMm(0.45)}.` : undefined;
	const shown = (which: 'thin' | 'thick'): string =>
		typed[which] ?? showMm(which === 'thin' ? situation.thinMm : situation.thickMm);
	const toggled = (tool: KnotTool, on: boolean): KnotTool[] =>
		on ? [...situation.tools, tool] : situation.tools.filter((one) => one !== tool);
</script>

<form class="space-y-3" onsubmit={(event) => event.preventDefault()}>
	<h2 id="which-knot" class="text-[19px] font-semibold">Which knot here?</h2>
	<Select label="Where" options={PLACES} value={place} onchange={(value) => change({ place: value })} />
	<div class="grid grid-cols-2 gap-x-4 gap-y-3">
		{#if asksThickness}
			<Field
				label="Thinner one"
				value={shown('thin')}
				error={complaint(typed.thin)}
				oninput={(text) => thickness('thin', text)}
				oncommit={settle}
			/>
			<Field
				label="Thicker one"
				value={shown('thick')}
				error={complaint(typed.thick)}
				oninput={(text) => thickness('thick', text)}
				oncommit={settle}
			/>
		{/if}
		{#if joinsLine}
			<Select
				label="The line's end"
				options={LOOPS}
				value={situation.loop}
				onchange={(loop) => change({ loop })}
			/>
		{/if}
		{#if asksSwaps}
			<Select
				label={onArbor ? "You'll take it off again" : 'Changed'}
				options={SWAPS}
				value={situation.swaps}
				onchange={(swaps) => change({ swaps })}
			/>
		{/if}
		{#if onArbor}
			<Select
				label="Under the first turns"
				options={ARBORS}
				value={situation.arbor}
				onchange={(arbor) => change({ arbor })}
			/>
			<Select label="Cage" options={CAGES} value={situation.cage} onchange={(cage) => change({ cage })} />
		{/if}
		{#if !onArbor}
			<Select
				label="Water"
				options={WATERS}
				value={situation.water}
				onchange={(water) => change({ water })}
			/>
		{/if}
		<Select
			label="You tie it"
			options={SKILLS}
			value={situation.skill}
			onchange={(skill) => change({ skill })}
		/>
	</div>
	{#if asksSlick}
		<label class="flex min-h-8 items-center gap-2 text-[15px]">
			<input
				type="checkbox"
				class="size-4 accent-ink"
				checked={situation.slick}
				onchange={(event) => change({ slick: event.currentTarget.checked })}
			/>
			Thin, slick braid
		</label>
	{/if}
	{#if !onArbor && place !== 'wire'}
		<label class="flex min-h-8 items-center gap-2 text-[15px]">
			<input
				type="checkbox"
				class="size-4 accent-ink"
				checked={situation.smooth}
				onchange={(event) => change({ smooth: event.currentTarget.checked })}
			/>
			It has to run smoothly through small guides
		</label>
	{/if}
	{#if joinsLine || place === 'wire'}
		<fieldset>
			<legend class="text-[13px] text-soft">At hand</legend>
			{#each options<KnotTool>(KNOT_TOOLS) as { value: tool, label } (tool)}
				<label class="flex min-h-8 items-center gap-2 text-[15px]">
					<input
						type="checkbox"
						class="size-4 accent-ink"
						checked={situation.tools.includes(tool)}
						onchange={(event) => change({ tools: toggled(tool, event.currentTarget.checked) })}
					/>
					{label}
				</label>
			{/each}
		</fieldset>
	{/if}
</form>
