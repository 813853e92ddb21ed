<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { formatNumber, JOB_NAMES, twistVerdict, type CareEvent, type CareJob, type Due } from '$lib/core';
	import { ROLE_NAMES } from '$lib/schema/parts';
	import type { KeptEntry } from '$lib/schema/kept';
	import { showDay } from '../dates';
	import { send } from '../../state/api';
	import { getNoticesReady, notify } from '../../state/notices.svelte';
	import DaysOut from './DaysOut.svelte';
	import OtherEvents from './OtherEvents.svelte';

	/** Every line and backing: where it is, how it is, what is due; and the ways to write down what was done. */
	let { care, today }: { care: { readonly entries: readonly KeptEntry[] }; today: string } = $props();
	// What is said when the server is away has to be here before it is.
	$effect(() => void getNoticesReady());
	let retired = $state(false);
	const shown = $derived(care.entries.filter(({ state }) => retired || state.whereabouts?.on !== 'retired'));
	const hidden = $derived(
		care.entries.length - care.entries.filter(({ state }) => state.whereabouts?.on !== 'retired').length
	);

	/** What doing a job is written down as. */
	const DONE: Record<CareJob, Pick<CareEvent, 'kind'> & Record<string, unknown>> = {
		clean: { kind: 'cleaned' },
		respool: { kind: 'respooled' },
		'tug-test': { kind: 'tug-test', result: 'passed' },
		rinse: { kind: 'rinsed' },
		judge: { kind: 'moved', to: { on: 'retired' } }
	};
	const DONE_NAMES: Record<CareJob, string> = {
		clean: 'Cleaned',
		respool: 'Respooled',
		'tug-test': 'Passed',
		rinse: 'Rinsed',
		judge: 'Retire it'
	};

	/** Writes events down, and offers to take them back. */
	async function write(
		events: { keptId: string; event: Record<string, unknown> }[],
		said: string
	): Promise<void> {
		const stamped = events.map(({ keptId, event }, i) => ({
			keptId,
			event: { id: crypto.randomUUID(), day: today, at: Date.now() + i, ...event } as Record<string, unknown>
		}));
		const reply = await send('POST', '/api/care', { events: stamped });
		if (reply.kind !== 'ok') {
			await notify(
				reply.kind === 'refused'
					? (reply.issues[0]?.message ?? 'That could not be written down.')
					: 'The server is not there. Nothing was written down: try again in a moment.'
			);
			return;
		}
		await invalidateAll();
		await notify(said, {
			action: {
				label: 'Undo',
				onClick: () =>
					void write(
						stamped.map(({ keptId, event }) => ({ keptId, event: { kind: 'undone', of: event['id'] } })),
						'Taken back.'
					)
			}
		});
	}
	const WHY: Record<Due['because'], string> = {
		date: 'due',
		'days-out': 'due: out often enough',
		twist: 'due: too much twist',
		failed: 'due: it did not pass',
		'line-change': 'due: the line over it was changed',
		wet: 'due: wet and dried often enough',
		'not yet': ''
	};
	function dueText({ on, daysOutLeft, because, overdue }: Due): string {
		const day = on === undefined ? undefined : showDay(new Date(on));
		if (overdue) return because === 'date' ? `due since ${day}` : WHY[because];
		return [
			...(day ? [`by ${day}`] : []),
			...(daysOutLeft === undefined ? [] : [`${formatNumber(daysOutLeft, 0)} days out left`])
		].join(', ');
	}
	const twisted = ({ state }: KeptEntry): string =>
		`${formatNumber(Math.abs(state.twist.perMetre.mean), 1)} turns a metre`;
</script>

{#if care.entries.length === 0}
	<p class="mt-6 max-w-[60ch] border-l-[3px] border-line pl-3 text-[17px]">
		Nothing was wound yet. When a winding is written down at the bench, its backing and line appear here, with
		what falls due.
	</p>
{:else}
	<DaysOut entries={shown} {today} {write} />
	<ul class="mt-6" data-kept-list>
		{#each shown as entry (entry.kept.id)}
			{@const { kept, where, state, dues } = entry}
			<li
				class="grid gap-x-8 gap-y-2 border-t-2 border-ink py-3 lg:grid-cols-[20rem_minmax(0,1fr)]"
				data-kept={kept.id}
			>
				<div>
					<h2 class="text-[19px] leading-tight font-semibold">{kept.label}</h2>
					<p class="text-[15px]">{ROLE_NAMES[kept.kind]}, {where}</p>
					<p class="figure text-[14px] text-soft">
						{state.daysOut === 1 ? '1 day' : `${state.daysOut} days`} out{#if state.saltDays > 0}, {state.saltDays}
							in salt{/if}{#if kept.kind !== 'backing'}, {twisted(entry)}{/if}
					</p>
					{#if kept.kind !== 'backing' && twistVerdict(state.twist.perMetre.mean) !== 'none'}
						<a class="text-[15px] underline" href="/twist?length={Math.round(state.lengthMm)}"
							>Get the twist out</a
						>
					{/if}
				</div>
				<ul>
					{#each dues as due (due.job)}
						<li
							class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-hair py-1.5"
							data-due={due.job}
							data-overdue={due.overdue || undefined}
						>
							<span class="min-w-0 flex-1 text-[16px] {due.overdue ? 'font-semibold' : ''}">
								{#if due.overdue}<span class="px-1 marked">{JOB_NAMES[due.job]}</span>{:else}{JOB_NAMES[
										due.job
									]}{/if}
								<span class="figure ml-2 text-[14px] font-normal text-soft">{dueText(due)}</span>
							</span>
							{#if due.job === 'tug-test'}
								<button
									type="button"
									class="action-quiet min-h-10"
									onclick={() =>
										void write(
											[{ keptId: kept.id, event: { kind: 'tug-test', result: 'failed' } }],
											`${kept.label}: did not pass. Replace it before it is fished.`
										)}>Failed</button
								>
							{/if}
							<button
								type="button"
								class={due.overdue ? 'action min-h-10' : 'action-quiet min-h-10'}
								onclick={() =>
									void write([{ keptId: kept.id, event: DONE[due.job] }], `${kept.label}: written down.`)}
								>{DONE_NAMES[due.job]}</button
							>
						</li>
					{/each}
				</ul>
				<div class="lg:col-start-2">
					<OtherEvents
						{kept}
						events={state.events}
						write={(event, said) => write([{ keptId: kept.id, event }], said)}
					/>
				</div>
			</li>
		{/each}
	</ul>
	{#if hidden > 0}
		<label class="flex min-h-10 items-center gap-2 text-[15px]">
			<input type="checkbox" class="size-4 accent-ink" bind:checked={retired} />
			show what is retired ({hidden})
		</label>
	{/if}
{/if}
