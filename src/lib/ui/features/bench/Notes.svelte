<script lang="ts">
	import { formatNumber, loopTest, remedySign, ROLE_NAMES, type LogEntry, type RunEvent } from '$lib/core';
	import { type Part } from '$lib/setup/read-strands';
	import { showSmall, showTurns } from '$lib/wording/units';
	import Camera from '@lucide/svelte/icons/camera';
	import Undo from '@lucide/svelte/icons/undo-2';
	import Field from '../../primitives/Field.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import type { Run } from '../../state/run.svelte';
	import type { BenchState } from './bench-state.svelte';
	import { smallJpeg } from './photo';
	import { TAKEN_AS_SAYS } from './surprise';

	/** Remarks and photos of the step in hand, and everything that was noted, each of which can be undone. */
	interface Props {
		bench: BenchState;
		run: Run;
		parts: readonly Part[];
		/** Turns of the spool for one that is counted. */
		gear: number;
	}
	let { bench, run, parts, gear }: Props = $props();
	const preferences = usePreferences();
	const step = $derived(bench.step?.id);
	const photos = $derived(run.state.photos.filter((photo) => photo.step === step));
	const remarks = $derived(run.state.remarks.filter((remark) => remark.step === step));

	let text = $state('');
	let trouble = $state<string>();
	let open = $state(false);

	function remark(event: SubmitEvent): void {
		event.preventDefault();
		if (text.trim() === '') return;
		void run.add({ kind: 'remark', text: text.trim(), ...(step !== undefined && { step }) });
		text = '';
	}
	async function take(input: HTMLInputElement): Promise<void> {
		const file = input.files?.[0];
		input.value = '';
		if (!file || step === undefined) return;
		const jpeg = await smallJpeg(file);
		trouble = jpeg ? undefined : "This browser can't read that picture. Try a JPEG or PNG.";
		if (jpeg) await run.addPhoto(jpeg, step);
	}

	const name = (part: string): string => {
		const found = parts.find(({ id }) => id === part);
		return found ? ROLE_NAMES[found.role] : 'something else';
	};
	const title = (id: string): string => bench.steps.find((s) => s.id === id)?.title ?? id;
	/** What was found out on the way, in words. */
	function found(event: RunEvent): string {
		switch (event.kind) {
			case 'coil':
				return `On a coil: ${event.label}`;
			case 'loop-test':
				return `Loop test: ${formatNumber(Math.abs(loopTest(event.bightMm, event.spins).mean), 1)} turns a metre`;
			case 'lost-count':
				return `Lost count of the ${name(event.part)}`;
			case 'taken-as':
				return `What you said about that depth: ${TAKEN_AS_SAYS[event.as]}`;
			case 'tug':
				return `Tug test: ${event.result}`;
			default:
				return '';
		}
	}
	function describe({ first, turns }: LogEntry): string {
		switch (first.kind) {
			case 'step':
				return `${first.done ? 'Done' : 'Step not done after all'}: ${title(first.step)}`;
			case 'tool':
				return `${first.here ? 'There' : 'Not there'}: ${first.tool.replace(/^part:/, '')}`;
			case 'turns':
				return `${showTurns(turns / gear)} turns on the ${name(first.part)}${first.by === 'pace' ? ', at a pace' : first.by === 'weight' ? ', weighed' : first.by === 'set' ? ', count set by hand' : ''}`;
			case 'counter':
				return `${showTurns(turns / gear)} turns on the ${name(first.part)}, by the counter`;
			case 'depth':
				return `${name(first.part)} read ${showSmall(first.depthMm, preferences.units)} below the rim`;
			case 'remedy':
				return `${remedySign(first.remedy)}: back to ${title(first.back)}`;
			case 'remark':
				return `Remark: ${first.text}`;
			case 'photo':
				return `Photo on ${title(first.step)}`;
			default:
				return found(first);
		}
	}
	const PORTION = 30;
	let shown = $state(PORTION);
	const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });
</script>

<div class="no-print mt-8 max-w-3xl border-t border-hair pt-4">
	{#if remarks.length > 0}
		<ul class="mb-3 space-y-1 text-[17px]">
			{#each remarks as { id, text: said } (id)}<li>“{said}”</li>{/each}
		</ul>
	{/if}
	{#if photos.length > 0}
		<ul class="mb-3 flex flex-wrap gap-3">
			{#each photos as { id, photo } (id)}
				<li>
					{#await run.photoUrl(photo) then url}
						<img src={url} alt="Taken on this step" class="h-32 border border-ink" data-photo={photo} />
					{/await}
				</li>
			{/each}
		</ul>
	{/if}
	<form class="flex flex-wrap items-end gap-4" onsubmit={remark}>
		<div class="min-w-60 flex-1">
			<Field label="Remark on this step" value={text} maxlength={500} oninput={(value) => (text = value)} />
		</div>
		<button type="submit" class="action-quiet min-h-12" disabled={text.trim() === ''}>Note it</button>
		<label class="action-quiet min-h-12 cursor-pointer has-focus-visible:outline-2">
			<Camera size={18} />Photo
			<input
				type="file"
				accept="image/*"
				capture="environment"
				class="sr-only"
				aria-label="Photo of this step"
				onchange={(event) => void take(event.currentTarget)}
			/>
		</label>
	</form>
	{#if trouble}<p role="alert" class="mt-1 text-warn">{trouble}</p>{/if}
	<details class="mt-3" bind:open>
		<summary class="figure cursor-pointer py-2 text-[15px] text-soft"
			>Everything you noted so far ({run.state.log.length})</summary
		>
		{#if open}
			<ol class="figure text-[15px]" data-log>
				{#each run.state.log.slice(-shown).reverse() as entry (entry.first.id)}
					<li class="flex items-center gap-3 border-b border-hair">
						<span class="text-soft">{clock.format(entry.first.at)}</span>
						<span class="flex-1">{describe(entry)}</span>
						<button
							type="button"
							class="grid size-9 place-items-center"
							aria-label="Undo: {describe(entry)}"
							onclick={() => void run.undo(entry)}><Undo size={16} /></button
						>
					</li>
				{/each}
			</ol>
			{#if run.state.log.length > shown}
				<button type="button" class="mt-2 action-quiet" onclick={() => (shown += PORTION)}
					>Show {Math.min(PORTION, run.state.log.length - shown)} before that</button
				>
			{/if}
		{/if}
	</details>
</div>
