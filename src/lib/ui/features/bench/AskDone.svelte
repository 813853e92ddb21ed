<script lang="ts">
	import { ROLE_NAMES } from '$lib/core';
	import { showSmall, showTurns } from '$lib/wording/units';
	import { usePreferences } from '../../state/preferences.svelte';
	import type { WindingState } from './winding.svelte';

	/** Asked once when a winding step is said to be done and nothing says so: a slip of the thumb then costs nothing. */
	interface Props {
		winding: WindingState;
		onkeep: () => void;
		ondone: () => void;
	}
	let { winding, onkeep, ondone }: Props = $props();
	const preferences = usePreferences();
	const name = $derived(ROLE_NAMES[winding.part.role]);
	const show = (dialog: HTMLDialogElement): void => dialog.showModal();
</script>

<dialog
	{@attach show}
	class="m-auto w-[min(40rem,94vw)] border-2 border-ink bg-paper p-6 text-ink backdrop:bg-black/50"
	aria-labelledby="ask-done"
	onclose={onkeep}
	data-ask-done
>
	<h2 id="ask-done" class="text-[34px] leading-tight font-bold">Is all of the {name} on?</h2>
	<p class="figure mt-3 text-[28px] leading-tight">
		{#if winding.placed}
			<b>{showTurns(winding.turns)}</b> of {showTurns(winding.whole)} turns counted,
			<b>{showTurns(Math.max(winding.left, 0))} to go</b>.
		{:else}
			You lost count, and no depth has been read since.
		{/if}
	</p>
	{#if winding.toDepth}
		<p class="mt-2 text-[21px] leading-snug">
			It should end {showSmall(winding.stopDepthMm, preferences.units)} below the rim.
			{winding.measured ? 'The depth that you read says it is not there yet.' : 'No depth has been read.'}
		</p>
	{/if}
	<div class="mt-6 flex flex-wrap justify-between gap-4">
		<!-- svelte-ignore a11y_autofocus -->
		<button type="button" class="action min-h-16 px-8 text-[22px]" autofocus onclick={onkeep}
			>Keep winding</button
		>
		<button type="button" class="action-quiet min-h-16 px-6 text-[18px]" onclick={ondone}
			>Yes, go to the next step</button
		>
	</div>
</dialog>
