<script lang="ts">
	import Field from '../../primitives/Field.svelte';
	import type { Ended } from '$lib/bench/run';
	import { ended } from '../../state/answers';
	import { type Reply, send, troubleOf } from '../../state/api';
	import { usePreferences } from '../../state/preferences.svelte';

	/** The end of a job that winds nothing new: written down, or left as if it had not been. */
	interface Props {
		kind: 'off' | 'untwist' | 'repair' | 'outing';
		/** The run; none when nothing was done. */
		run: () => string | undefined;
		/** What has to be over first: the last tick must not arrive after the job is closed. False when it cannot be now. */
		before: () => Promise<boolean>;
		onended: (written: Ended['written']) => void;
	}
	let { kind, run, before, onended }: Props = $props();
	/** What Wendle then knows. */
	const SAYS: Record<Props['kind'], string> = {
		off: 'Wendle then knows that the line is on its coil and that only the backing is on the spool.',
		untwist:
			'Wendle then counts less twist in the line: what walking takes out, and what the loop test says.',
		repair: 'Wendle then knows that the line is a little shorter. Make the new loop in the evening.',
		outing: 'Everything is ready: tie the fly on.'
	};
	const preferences = usePreferences();
	let day = $state(preferences.today.toString());
	let trouble = $state<string>();
	let busy = $state(false);

	async function end(leave: boolean): Promise<void> {
		if (busy) return;
		busy = true;
		const id = run();
		// What was noted on the way has to be there before the job is over.
		const reply: Reply<Ended> = !(await before())
			? { kind: 'unreachable' }
			: id === undefined
				? { kind: 'ok', value: { written: [] } }
				: await send('POST', `/api/runs/${id}/end`, { day, leave }, { answer: ended });
		busy = false;
		trouble = troubleOf(reply, 'What was done stays here');
		if (reply.kind === 'ok') onended(reply.value.written);
	}
</script>

<form
	onsubmit={(event) => {
		event.preventDefault();
		void end(false);
	}}
	aria-labelledby="record-title"
	class="max-w-[560px]"
>
	<h2
		id="record-title"
		tabindex="-1"
		class="text-[34px] leading-[1.1] font-bold tracking-tight sm:text-[42px]"
	>
		Save this job?
	</h2>
	<p class="mt-3 text-[19px]">
		{SAYS[kind]}
	</p>
	<div class="mt-5 max-w-56">
		<Field label="Done on" type="date" value={day} oninput={(value) => (day = value)} required />
	</div>
	{#if trouble}<p role="alert" class="mt-3 text-[16px] text-warn">{trouble}</p>{/if}
	<div class="mt-5 flex flex-wrap gap-3">
		<button type="submit" class="action" disabled={busy}>Save it</button>
		<button type="button" class="action-quiet min-h-11" disabled={busy} onclick={() => void end(true)}
			>Leave without saving</button
		>
	</div>
</form>
