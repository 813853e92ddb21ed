<script lang="ts">
	import { dayNumber, type Day } from '$lib/core';
	import { momentsOf, USUAL_FILTER, type CareFilter, type CarePage } from '$lib/inventory/care-rows';
	import { careQuery } from '$lib/ui/state/care-query';
	import { mostTwist } from '../../charts/timeline/lane';
	import SaveDrawing from '../../charts/export/SaveDrawing.svelte';
	import TimeAxis from '../../charts/timeline/TimeAxis.svelte';
	import { TimeView } from '../../charts/timeline/view.svelte';
	import { UrlState } from '../../state/url-state.svelte';
	import { getNoticesReady } from '../../state/notices.svelte';
	import AllAtOnce from './AllAtOnce.svelte';
	import Bring from './Bring.svelte';
	import CareItem from './CareItem.svelte';
	import DaysOut from './DaysOut.svelte';
	import Filters from './Filters.svelte';
	import { byReel } from './groups';
	import Legend from './Legend.svelte';
	import { teller, writer } from '../../state/writing';

	/** Every line and backing: its life, where it is, what is due; and the ways to write down what was done. */
	interface Props {
		care: CarePage;
		today: Day;
		/** The form for what is not there yet is open. */
		adding: boolean;
	}
	let { care, today, adding }: Props = $props();
	// What is said when the server is away has to be here before it is.
	$effect(() => void getNoticesReady());
	const write = writer(() => today);
	const told = teller(() => today);
	const asked = new UrlState<CareFilter>(
		() => care.filter,
		(changed) => `/care${careQuery(changed)}`,
		true
	);
	const filter = $derived(asked.now);
	const rows = $derived(care.rows.map((row) => ({ row, moments: momentsOf(row.history) })));
	const groups = $derived(byReel(rows));
	const now = $derived(dayNumber(today));

	function change(part: Partial<CareFilter>): void {
		void asked.change({ spool: null, thing: null, show: USUAL_FILTER.show, ...part });
	}

	/** How far ahead what is next is shown, days; and the least that is. */
	const [MOST_AHEAD, LEAST_AHEAD, LEAST_BEHIND] = [400, 90, 90];
	const stretch = $derived.by((): readonly [number, number] => {
		const first = Math.min(...rows.flatMap(({ moments }) => moments[0]?.day ?? []), now - LEAST_BEHIND);
		const next = rows.flatMap(({ row }) =>
			row.dues.flatMap(({ expectedOn }) => (expectedOn === undefined ? [] : [dayNumber(expectedOn)]))
		);
		const last = Math.max(...next.filter((day) => day <= now + MOST_AHEAD), now + LEAST_AHEAD);
		return [first - 10, last + 30];
	});
	const view = new TimeView(() => stretch);
	const most = $derived(mostTwist(rows.map(({ moments }) => moments)));
	const YEAR = 365;
	const KEYS: Record<string, () => void> = {
		'+': () => view.zoom(1.5),
		'=': () => view.zoom(1.5),
		'-': () => view.zoom(1 / 1.5),
		'0': () => view.all()
	};
	const SHIFTED: Record<string, () => void> = {
		ArrowLeft: () => view.pan(-0.2),
		ArrowRight: () => view.pan(0.2)
	};
	function onkey(key: string, shift: boolean): boolean {
		const act = KEYS[key] ?? (shift ? SHIFTED[key] : undefined);
		act?.();
		return act !== undefined;
	}
	let axis = $state<HTMLElement>();
	let list = $state<HTMLElement>();
	/** The names and the lives of what is shown, under their common months and years. */
	const timeLines = (): readonly HTMLElement[] =>
		axis && list ? [axis, ...list.querySelectorAll<HTMLElement>('h2, h3, [data-lane]')] : [];
	const one = $derived(filter.spool !== null || filter.thing !== null);
</script>

{#if care.total === 0}
	<p class="mt-6 max-w-[60ch] border-l-[3px] border-line pl-3 text-[17px]">
		Nothing is wound yet. When you save a winding at the bench, its backing and its line appear here with what
		falls due. You can add a line that is on a coil right away.
	</p>
	<Bring {today} open={adding} {told} />
{:else}
	{#if !one}
		<DaysOut spools={care.spools} {today} {write} />
		<Bring {today} open={adding} {told} />
		<div class="no-print mt-4 sm:mt-6"><Filters {filter} onchange={change} /></div>
	{/if}
	<div class="mt-3 grid items-end gap-x-8 gap-y-2 sm:mt-5 lg:grid-cols-[19rem_minmax(0,1fr)]">
		<p class="figure text-[15px] text-soft" role="status" data-matching>
			{care.matching === care.total ? `${care.total}` : `${care.matching} of ${care.total}`}
			{care.total === 1 ? 'strand' : 'strands'}, {care.overdue === 0
				? 'nothing is due'
				: `${care.overdue} with something due`}
		</p>
		<div class="no-print flex flex-wrap items-center gap-2" role="group" aria-label="Stretch of time">
			<button
				type="button"
				class="action-quiet min-h-9"
				onclick={() => view.last(YEAR / 2 + stretch[1] - now)}>Half a year</button
			>
			<button
				type="button"
				class="action-quiet min-h-9"
				onclick={() => view.last(2 * YEAR + stretch[1] - now)}>Two years</button
			>
			<button type="button" class="action-quiet min-h-9" onclick={() => view.all()}>All</button>
			<button type="button" class="action-quiet min-h-9" aria-label="Zoom in" onclick={() => view.zoom(1.5)}
				>+</button
			>
			<button
				type="button"
				class="action-quiet min-h-9"
				aria-label="Zoom out"
				disabled={!view.zoomed}
				onclick={() => view.zoom(1 / 1.5)}>−</button
			>
			<Legend />
		</div>
	</div>
	{#if groups.length > 1 && filter.spool !== null}
		<div class="no-print mt-2 flex flex-wrap gap-2">
			<AllAtOnce rows={rows.map(({ row }) => row)} of="{groups.length} reels" {write} />
		</div>
	{/if}
	<div class="sticky top-0 z-10 mt-2 grid gap-x-8 bg-ground pt-1 lg:grid-cols-[19rem_minmax(0,1fr)]">
		<div class="max-lg:hidden"></div>
		<div bind:clientWidth={view.width} bind:this={axis} class="min-w-0"><TimeAxis {view} today={now} /></div>
	</div>
	<div data-kept-list bind:this={list} {@attach view.dragged} class="touch-pan-y">
		{#each groups as { id, heading, spoolId, rows: own } (id)}
			<!-- No landmark: two reels may have one name, and reels that left the rack have none. -->
			<div class="border-t-[3px] border-ink" data-reel={heading}>
				<div class="flex flex-wrap items-center gap-x-5 gap-y-1 pt-2">
					<h2 id="reel-{id}" class="figure text-[21px] leading-tight font-semibold">
						{#if spoolId}<a class="hover:underline" href="/spool/{spoolId}">{heading}</a>{:else}{heading}{/if}
					</h2>
					<AllAtOnce rows={own.map(({ row }) => row)} of={heading} {write} />
				</div>
				<ul>
					{#each own as { row, moments } (row.kept.id)}
						<CareItem
							{row}
							{moments}
							{view}
							today={now}
							mostTwist={most}
							{write}
							{onkey}
							open={filter.thing !== null}
						/>
					{/each}
				</ul>
			</div>
		{/each}
	</div>
	{#if rows.length === 0}
		<p class="mt-4 text-[17px]">
			{filter.spool === null
				? 'No line or backing matches these filters.'
				: 'Nothing is on these spools now.'}
		</p>
	{/if}
	{#if rows.length > 0}
		<div class="mt-4"><SaveDrawing drawing={timeLines} name="time lines" what="these time lines" /></div>
	{/if}
	{#if care.matching > rows.length}
		<button
			type="button"
			class="mt-4 action-quiet min-h-11"
			onclick={() => change({ spool: filter.spool, show: filter.show + 2 * USUAL_FILTER.show })}
			>{care.matching - rows.length} more</button
		>
	{/if}
{/if}
