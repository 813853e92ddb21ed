<script lang="ts">
	import { isUnder, ROLE_NAMES, withUnit, type JobSetup, type TwistSource } from '$lib/core';
	import type { BenchJob } from '$lib/bench/work';
	import type { WindingForm, TravelForm } from '$lib/inventory/winding';
	import { showSmall, showTurns, smallUnit } from '$lib/wording/units';
	import type { WordedIssue } from '$lib/wording/issues';
	import Field from '../../primitives/Field.svelte';
	import { type Reply, troubleOf } from '../../state/api';
	import { id } from '../../state/answers';
	import { usedAnswer, Write } from '../../state/write';
	import { notify } from '../../state/notices.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import TravelFields from './TravelFields.svelte';

	interface Props {
		setupId: string;
		job: JobSetup;
		doing: BenchJob;
		plan: JobSetup['plan'];
		/** It was wound elsewhere, so nothing is assumed about how. */
		elsewhere: boolean;
		/** The run that this ends; none when nothing was done in it. */
		run: () => string | undefined;
		/** What was counted and read on the way, to begin with. */
		counted: { turns: number | undefined; depthMm: number | undefined; gapMm: number | undefined };
		/** What has to be over first: the last tick must not arrive after the job is closed. False when it cannot be now. */
		before: () => Promise<boolean>;
		/** Everyone who has wound here. */
		winders: readonly string[];
		/** Who winds now; empty where nobody said. */
		winder: string;
		onrecorded: (record: string) => void;
	}
	let { setupId, job, doing, plan, elsewhere, run, counted, before, winders, winder, onrecorded }: Props =
		$props();
	const preferences = usePreferences();
	// One winding is written down here, however often it is tried.
	const write = new Write({ once: true });
	const unit = $derived(smallUnit(preferences.units));

	// Only the beginning comes from the run; what is typed stays.
	// svelte-ignore state_referenced_locally
	let form = $state<Omit<WindingForm, 'travelled'>>({
		woundOn: preferences.today.toString(),
		turns: counted.turns ? String(Math.round(counted.turns)) : '',
		depth: counted.depthMm === undefined ? '' : showSmall(counted.depthMm, preferences.units),
		gap: counted.gapMm === undefined ? '' : showSmall(counted.gapMm, preferences.units),
		note: '',
		who: winder
	});
	/** In a swap the backing lies as it did. */
	const asksBacking = $derived(
		doing.kind !== 'swap' ||
			doing.on.some(({ part }) => job.parts.some(({ id, role }) => id === part && role === 'backing'))
	);
	/** Strands that were wound on now, each with how it came off what it was on: at this bench, from something that turned. */
	// svelte-ignore state_referenced_locally
	const winds = job.parts.filter(
		({ id, role }) => !isUnder(role) && (doing.kind !== 'swap' || doing.on.some(({ part }) => part === id))
	);
	/** What it came off, most likely: a new line's spool, a coil, another reel. */
	const sourceOf = (part: string): TwistSource => {
		if (doing.kind === 'reverse') return doing.way === 'ground' ? 'laid-out' : 'reel';
		const from = doing.kind === 'swap' ? doing.on.find((on) => on.part === part)?.from : 'new';
		if (from === 'new' && job.schools.newLine === 'stretched') return 'laid-out';
		if (doing.kind === 'swap' && job.schools.swapPlace === 'water') return 'loose';
		return from === 'reel' ? 'reel' : from === 'coil' ? 'maker-coil' : 'line-spool';
	};
	let travels = $state<(TravelForm | undefined)[]>(
		winds.map(({ id }) =>
			elsewhere ? undefined : { part: id, source: sourceOf(id), leaving: 'turning', seen: 'clockwise' }
		)
	);
	let issues = $state<readonly WordedIssue[]>([]);
	let trouble = $state<string>();
	let busy = $state(false);
	/** A changed field is no longer what was complained about. */
	function set(field: keyof typeof form, value: string): void {
		form[field] = value;
		issues = issues.filter(({ path }) => path[0] !== field);
	}
	const error = (field: keyof typeof form): string | undefined =>
		issues.find(({ path }) => path[0] === field)?.message;

	async function submit(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		if (busy) return;
		busy = true;
		preferences.winder = form.who.trim();
		const ready = await before();
		const runId = run();
		const reply: Reply<{ id: string }> = ready
			? await write.send(
					'POST',
					`/api/setups/${setupId}/records`,
					{
						...$state.snapshot(form),
						travelled: $state.snapshot(travels).filter((travel) => travel !== undefined),
						...(runId !== undefined && { run: runId })
					},
					id
				)
			: { kind: 'unreachable' };
		busy = false;
		// An earlier try had reached the server, or another window was first: with what was typed there.
		const earlier = await usedAnswer(reply, id);
		if (earlier) {
			void notify(
				'This winding is already on the rack, from an earlier try or another window, with what you typed there. To change it, open the past windings of this set-up, undo it, and save it again.'
			);
			return onrecorded(earlier.id);
		}
		issues = reply.kind === 'refused' ? reply.issues : [];
		// What is wrong with a field is said beside it.
		const beside = issues.some(({ path }) => String(path[0]) in form);
		trouble = beside ? undefined : troubleOf(reply, 'What you typed stays here');
		if (reply.kind === 'ok') onrecorded(reply.value.id);
	}
</script>

<form onsubmit={submit} aria-labelledby="record-title" class="max-w-[560px]" novalidate>
	<h2
		id="record-title"
		tabindex="-1"
		class="text-[34px] leading-[1.1] font-bold tracking-tight sm:text-[42px]"
	>
		How did it turn out?
	</h2>
	<p class="mt-3 text-[19px]">
		Leave blank what you didn't measure. {asksBacking
			? 'If you type both the turns and the depth, Wendle knows how much backing is on, whatever its thickness.'
			: 'The gap shows how good the plan was.'}
	</p>
	<div class="mt-6 grid gap-x-6 gap-y-4 sm:grid-cols-2">
		{#if asksBacking}
			<Field
				label="Turns of backing"
				inputmode="numeric"
				value={form.turns}
				placeholder="planned {showTurns(plan.turns)}"
				error={error('turns')}
				oninput={(value) => set('turns', value)}
			/>
			<Field
				label="Depth of the backing"
				value={form.depth}
				placeholder="planned {showSmall(plan.stopDepthMm, preferences.units)}"
				error={error('depth')}
				oninput={(value) => set('depth', value)}
				oncommit={(value) => (form.depth = withUnit(value, unit))}
			/>
		{/if}
		<Field
			label="Gap with the line on"
			value={form.gap}
			placeholder="planned {showSmall(plan.gapMm, preferences.units)}"
			error={error('gap')}
			oninput={(value) => set('gap', value)}
			oncommit={(value) => (form.gap = withUnit(value, unit))}
		/>
		<Field
			label="Wound on"
			type="date"
			value={form.woundOn}
			error={error('woundOn')}
			oninput={(value) => set('woundOn', value)}
		/>
		<Field
			label="Wound by"
			value={form.who}
			maxlength={60}
			list="winders"
			error={error('who')}
			oninput={(value) => set('who', value)}
		/>
		<datalist id="winders">
			{#each winders as name (name)}<option value={name}></option>{/each}
		</datalist>
		{#each winds as { id, role }, i (id)}
			<div class="sm:col-span-2">
				<TravelFields
					name={ROLE_NAMES[role]}
					part={id}
					travel={travels[i]}
					onchange={(travel) => (travels[i] = travel)}
				/>
			</div>
		{/each}
		<div class="sm:col-span-2">
			<label for="note" class="block text-[13px] text-soft">Note</label>
			<textarea
				id="note"
				rows="2"
				maxlength="2000"
				bind:value={form.note}
				class="w-full border-b-[1.5px] border-ink bg-transparent py-1 text-[17px]"
			></textarea>
		</div>
	</div>
	{#if trouble}<p role="alert" class="mt-3 text-[16px] text-warn">{trouble}</p>{/if}
	<button type="submit" class="mt-5 action" disabled={busy}>Put it on the rack</button>
</form>
