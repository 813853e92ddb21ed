<script lang="ts">
	import { usePreferences } from '../../state/preferences.svelte';
	import { v4 as uuid } from 'uuid';
	import { goto } from '$app/navigation';
	import { dayOf, exercisesOf, type Exercise, type DrawnKnot } from '$lib/core';
	import { showDay } from '$lib/wording/dates';
	import { practice } from '../../state/answers';
	import { send } from '../../state/api';
	import InOrder from './InOrder.svelte';
	import PickPicture from './PickPicture.svelte';

	/** A session with one knot: what comes next, in which order, which is wrong; then it is kept, and scheduled. */
	let { knot, seed }: { knot: DrawnKnot; seed: number } = $props();
	const preferences = usePreferences();
	// The session is made anew for another knot.
	// svelte-ignore state_referenced_locally
	const exercises = exercisesOf(knot, seed);
	const id = uuid();
	let at = $state(0);
	/** Whether what is asked now was answered rightly; none before it was answered. */
	let outcome = $state<boolean>();
	let right = $state(0);
	let kept = $state<'not yet' | 'sending' | 'kept' | 'failed'>('not yet');
	let dueOn = $state<string | null>();
	const exercise = $derived(exercises[at]);

	const QUESTIONS: Record<Exercise['kind'], string> = {
		next: 'What comes next?',
		order: 'Tap the pictures in the order in which you tie them.',
		wrong: 'One of these is tied wrong. Which one?'
	};
	function answered(isRight: boolean): void {
		outcome = isRight;
		if (isRight) right += 1;
	}
	function goOn(): void {
		outcome = undefined;
		at += 1;
		if (at === exercises.length) void keep();
	}
	async function keep(): Promise<void> {
		kept = 'sending';
		const reply = await send(
			'POST',
			'/api/practice',
			{ id, slug: knot.slug, right, asked: exercises.length },
			{ answer: practice }
		);
		kept = reply.kind === 'ok' ? 'kept' : 'failed';
		if (reply.kind === 'ok') dueOn = reply.value.knots.find(({ slug }) => slug === knot.slug)?.dueOn;
	}
</script>

<div class="mt-4" data-trainer={exercise?.kind ?? 'done'}>
	{#if exercise}
		<p class="figure text-[15px] text-soft">{at + 1} of {exercises.length}</p>
		<h2 class="text-[24px] leading-tight font-bold tracking-tight">{QUESTIONS[exercise.kind]}</h2>
		{#key at}
			{#if exercise.kind === 'order'}
				<InOrder {knot} {exercise} {answered} />
			{:else}
				<PickPicture {knot} {exercise} {answered} />
			{/if}
		{/key}
		<div class="mt-4 min-h-12" aria-live="polite">
			{#if outcome !== undefined}
				<div class="flex flex-wrap items-center gap-4">
					<p class="text-[19px] font-semibold" data-outcome={outcome}>
						{outcome ? 'Right.' : 'Not yet.'}
					</p>
					<!-- svelte-ignore a11y_autofocus -->
					<button type="button" class="action min-h-11" autofocus onclick={goOn}>Go on</button>
				</div>
			{/if}
		</div>
	{:else}
		<h2 class="text-[24px] leading-tight font-bold tracking-tight">
			{right} of {exercises.length} right
		</h2>
		<p class="mt-1 text-[17px]" aria-live="polite">
			{#if kept === 'kept'}
				Kept. {dueOn ? `This knot comes up again on ${showDay(dayOf(dueOn), preferences.locale)}.` : ''}
			{:else if kept === 'failed'}
				The server doesn't answer, so this session isn't saved yet.
				<button type="button" class="action-quiet" onclick={keep}>Try again</button>
			{:else}
				Saving …
			{/if}
		</p>
		<div class="mt-4 flex flex-wrap gap-3">
			<!-- eslint-disable-next-line svelte/no-navigation-without-resolve -->
			<button type="button" class="action" onclick={() => goto('/knots/practise', { invalidateAll: true })}
				>Others</button
			>
			<a class="action-quiet" href="/knots/{knot.slug}">Look at it again</a>
		</div>
	{/if}
</div>
