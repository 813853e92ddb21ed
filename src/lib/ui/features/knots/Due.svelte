<script lang="ts">
	import { usePreferences } from '../../state/preferences.svelte';
	import { dayOf, findKnot } from '$lib/core';
	import type { Practice } from '$lib/bench/practice';
	import { showDay } from '$lib/wording/dates';
	import { troubleOf } from '../../state/api';
	import { Write } from '../../state/write';
	import { rememberChange } from '../../state/undo.svelte';
	import { notify } from '../../state/notices.svelte';
	import { refreshAll } from '../../state/refresh';

	/** What is due, in the order it should be looked at, and the day it all has to be ready for. */
	let { practice, now }: { practice: Practice; now: number } = $props();
	const preferences = usePreferences();
	type Progress = Practice['knots'][number];

	const isDue = ({ dueAt }: Progress): boolean => dueAt !== null && Date.parse(dueAt) <= now;
	const byDue = (a: Progress, b: Progress): number =>
		Date.parse(a.dueAt ?? '9999-01-01') - Date.parse(b.dueAt ?? '9999-01-01');
	const groups = $derived([
		{ title: 'Due now', knots: practice.knots.filter(isDue).sort(byDue) },
		{
			title: 'On your reels, and not practised yet',
			knots: practice.knots.filter(({ inUse, dueAt }) => inUse && dueAt === null)
		},
		{
			title: 'Later',
			knots: practice.knots.filter((knot) => knot.dueAt !== null && !isDue(knot)).sort(byDue)
		},
		{
			title: 'The others',
			knots: practice.knots.filter(({ inUse, dueAt }) => !inUse && dueAt === null)
		}
	]);

	const write = new Write();
	/** The day that is being typed; what is kept stands there otherwise. */
	let draft = $state<string>();
	async function setSeason(): Promise<void> {
		const windsOn = draft;
		const before = practice.windsOn ?? null;
		const put = (day: typeof before) => write.send('PUT', '/api/practice', { windsOn: day });
		const trouble = troubleOf(await put(windsOn || null), 'The date was not saved');
		if (trouble !== undefined) return notify(trouble);
		await refreshAll();
		if (draft === windsOn) draft = undefined;
		rememberChange({
			said: 'The day you next wind your spools was changed.',
			undo: () => put(before),
			stays: 'The date is as you changed it',
			refresh: refreshAll
		});
	}
	function told({ dueAt, dueOn, sessions, remembered }: Progress): string {
		if (dueAt === null || dueOn === null) return 'not practised yet';
		const times = sessions === 1 ? 'once' : `${sessions} times`;
		return `${times}, remembered about ${Math.round(100 * remembered)} %, ${
			Date.parse(dueAt) <= now ? 'due since' : 'due'
		} ${showDay(dayOf(dueOn), preferences.locale)}`;
	}
</script>

<label class="mt-5 block max-w-xs">
	<span class="block text-[13px] text-soft">The day you next wind your spools</span>
	<input
		type="date"
		bind:value={() => draft ?? practice.windsOn ?? '', (typed) => (draft = typed)}
		class="figure w-full border-b-[1.5px] border-ink bg-transparent py-1 text-[17px]"
		onchange={() => void setSeason()}
	/>
	<span class="mt-1 block text-[13.5px] text-soft">
		{practice.windsOn
			? 'Every knot that you practise comes up at least a week before that day.'
			: 'Optional.'}
	</span>
</label>

<div class="mt-6 grid gap-x-10 gap-y-6 lg:grid-cols-2">
	{#each groups as { title, knots } (title)}
		{#if knots.length > 0}
			<section aria-label={title}>
				<h2 class="border-t-2 border-ink pt-2 text-[17px] font-semibold">{title}</h2>
				<ul>
					{#each knots as progress (progress.slug)}
						<li class="flex items-baseline gap-3 border-b border-hair py-2" data-progress={progress.slug}>
							<span class="min-w-0 flex-1">
								<span class="block text-[17px]">{findKnot(progress.slug)!.name}</span>
								<span class="figure block text-[14px] text-soft">{told(progress)}</span>
							</span>
							<a
								class={isDue(progress) ? 'action min-h-10' : 'action-quiet min-h-10'}
								href="/knots/practise?knot={progress.slug}"
								aria-label="Practise {findKnot(progress.slug)!.name}">Practise</a
							>
						</li>
					{/each}
				</ul>
			</section>
		{/if}
	{/each}
</div>
