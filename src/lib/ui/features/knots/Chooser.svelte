<script lang="ts">
	import {
		chooseKnot,
		findDescribed,
		findKnot,
		formatLength,
		KNOT_PLACES,
		KNOT_TOOLS,
		parseLength,
		type KnotAnswer,
		type KnotPlace,
		type KnotSituation,
		type KnotTool,
		TYPICAL_MM
	} from '$lib/core';
	import { situationQuery } from '$lib/ui/state/knot-question';
	import { smallUnit } from '$lib/wording/units';
	import Field from '../../primitives/Field.svelte';
	import Select from '../../primitives/Select.svelte';
	import { UrlState } from '../../state/url-state.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import ArborHold from './ArborHold.svelte';
	import KnotPicture from './KnotPicture.svelte';

	/** Which knot for a place: what is there, what is wanted; and what follows, with its reasons. */
	let { situation: given }: { situation: KnotSituation } = $props();
	const asked = new UrlState<KnotSituation>(
		() => given,
		(changed) => `?${situationQuery(changed)}`
	);
	const situation = $derived(asked.now);
	const preferences = usePreferences();
	const unit = $derived(smallUnit(preferences.units));
	const answers = $derived(chooseKnot(situation));
	const can = $derived(answers.filter(({ lacks }) => lacks === undefined));
	const cannot = $derived(answers.filter(({ lacks }) => lacks !== undefined));
	const [first, ...others] = $derived(can);
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
		if (part.place === undefined) {
			void asked.change(part);
			return;
		}
		// Another place has other thicknesses.
		typed = {};
		const { thin, thick } = TYPICAL_MM[part.place];
		void asked.change({ ...part, thinMm: thin, thickMm: thick });
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
	const named = ({ slug }: KnotAnswer): string => (findKnot(slug) ?? findDescribed(slug))!.name;
	function taken({ slug, wraps }: KnotAnswer): string {
		const knot = findKnot(slug);
		return knot && knot.wraps.most > knot.wraps.least ? `${wraps} ${knot.wraps.noun}` : '';
	}
	const href = ({ slug, wraps }: KnotAnswer): string => `/knots/${slug}?wraps=${wraps}`;
</script>

{#snippet reasons({ why, against }: KnotAnswer)}
	<ul class="space-y-0.5 text-[15px]">
		{#each why as reason (reason)}<li><span class="figure mr-1.5">+</span>{reason}</li>{/each}
		{#each against as reason (reason)}
			<li class="text-soft"><span class="figure mr-1.5">&minus;</span>{reason}</li>
		{/each}
	</ul>
{/snippet}

<section
	aria-labelledby="which-knot"
	class="grid gap-x-10 gap-y-6 border-t-2 border-ink pt-3 lg:grid-cols-[19rem_minmax(0,1fr)]"
	data-chooser
>
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
					label={onArbor ? 'Comes off again' : 'Changed'}
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
				Has to run smoothly through small guides
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

	<div aria-live="polite">
		{#if first}
			{@const knot = findKnot(first.slug)}
			<a href={href(first)} class="group block" data-answer={first.slug}>
				{#if knot}
					<span class="block h-52 border-b border-hair bg-paper p-3"
						><KnotPicture {knot} wraps={first.wraps} /></span
					>
				{/if}
				<span class="mt-2 block text-[26px] leading-tight font-bold tracking-tight">
					<span class="px-1 marked group-hover:underline">{named(first)}</span>
					<span class="figure ml-1 text-[19px] font-medium">{taken(first)}</span>
				</span>
			</a>
			<div class="mt-2 max-w-[60ch]">{@render reasons(first)}</div>
		{:else}
			<p class="max-w-[60ch] text-[19px]">
				Nothing can be tied here with what is at hand. What is missing stands below.
			</p>
		{/if}
		{#if onArbor}<ArborHold
				grip={situation.arbor !== 'bare' ? 'on-bed' : situation.slick ? 'thin-bare' : 'braid-bare'}
			/>{/if}
		{#if others.length > 0}
			<h3 class="mt-6 text-[15px] font-semibold">Would do as well, in this order</h3>
			<ul class="mt-1 grid gap-x-8 sm:grid-cols-2">
				{#each others as answer (answer.slug)}
					<li class="border-t border-hair py-2">
						<a href={href(answer)} class="text-[17px] font-semibold hover:underline">{named(answer)}</a>
						<span class="figure text-[14px] text-soft">{taken(answer)}</span>
						{@render reasons(answer)}
					</li>
				{/each}
			</ul>
		{/if}
		{#if cannot.length > 0}
			<h3 class="mt-6 text-[15px] font-semibold">Not with what is there</h3>
			<ul class="mt-1 text-[15px]" data-cannot>
				{#each cannot as answer (answer.slug)}
					<li class="border-t border-hair py-1.5">
						<a href={href(answer)} class="hover:underline">{named(answer)}</a>
						<span class="text-soft">{answer.lacks}</span>
					</li>
				{/each}
			</ul>
		{/if}
		<p class="mt-3 text-[13.5px] text-soft">Common practice; the order is this application's judgement.</p>
	</div>
</section>
