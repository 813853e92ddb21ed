<script lang="ts">
	import {
		gapOfTechnique,
		JOINT_BUYS,
		parseLength,
		JOINTS,
		jointsBetween,
		ROLE_NAMES,
		concerns,
		TECHNIQUE_KEYS,
		TECHNIQUES,
		type ChosenTechniques,
		type JobSetup,
		type TechniqueKey,
		type Techniques
	} from '$lib/core';
	import type { SaveTechniques } from '$lib/setup/form';
	import { leaderUnit, showLeader as showSpan } from '$lib/wording/units';
	import Field from '../../primitives/Field.svelte';
	import Segmented from '../../primitives/Segmented.svelte';
	import { useHandsBusy } from '../../state/hands-busy.svelte';
	import { troubleOf, type Reply } from '../../state/api';
	import { rememberChange } from '../../state/undo.svelte';
	import { Write } from '../../state/write';
	import { usePreferences } from '../../state/preferences.svelte';
	import { refreshAll } from '../../state/refresh';

	/** Where people differ: each way with what it buys, for this set-up or for every one of this person's. */
	interface Props {
		setupId: string;
		job: JobSetup;
		own: ChosenTechniques;
		/** The set-up was changed: it has to be read again. */
		onchanged: () => Promise<void>;
	}
	let { setupId, job, own, onchanged }: Props = $props();
	const preferences = usePreferences();

	/** Measured once: lengths at the bench are then said in spans as well. */
	const hands = useHandsBusy();
	let span = $state(hands.get('spanMm') > 0 ? showSpan(hands.get('spanMm'), preferences.units) : '');
	let spanTrouble = $state<string>();
	const [SHORTEST_MM, LONGEST_MM] = [800, 2600];
	function measured(text: string): void {
		const read = text.trim() === '' ? undefined : parseLength(text, leaderUnit(preferences.units));
		const mm = read?.ok ? read.value : 0;
		spanTrouble =
			!read || (mm >= SHORTEST_MM && mm <= LONGEST_MM)
				? undefined
				: 'Type a length such as 5 ft 9 in, or 1.75 m.';
		if (!spanTrouble) hands.set('spanMm', mm);
	}

	let scope = $state<'setup' | 'person'>('setup');
	let trouble = $state<string>();
	const write = new Write();

	const put = (ways: SaveTechniques): Promise<Reply<undefined>> =>
		write.send('PUT', `/api/setups/${setupId}/ways`, ways);
	/** @param before what undoes it */
	async function save(ways: SaveTechniques, before: SaveTechniques): Promise<void> {
		const reply = await put(ways);
		trouble = troubleOf(reply, 'Your choice was not saved');
		if (reply.kind !== 'ok') return;
		await onchanged();
		rememberChange({
			said: 'A technique was changed.',
			undo: () => put(before),
			redo: () => put(ways),
			stays: 'The technique is as you chose it',
			refresh: refreshAll
		});
	}
	const usedTo = (key: TechniqueKey): SaveTechniques => ({ schools: { [key]: own[key] ?? null } });
	/** A gap is a number of the set-up; everything else is a way. */
	async function choose<K extends TechniqueKey>(key: K, way: Techniques[K]): Promise<void> {
		if (scope === 'person') {
			preferences.schools = { ...preferences.schools, [key]: way };
			if (key !== 'gap' && own[key] !== undefined) await save({ schools: { [key]: null } }, usedTo(key));
		} else if (key === 'gap')
			await save({ gap: `${gapOfTechnique(way as Techniques['gap'])} mm` }, { gap: `${job.plan.gapMm} mm` });
		else await save({ schools: { [key]: way } }, usedTo(key));
	}
	const chosen = (key: TechniqueKey): string | undefined =>
		key !== 'gap'
			? job.schools[key]
			: scope === 'person'
				? (preferences.schools.gap ?? TECHNIQUES.gap.usual)
				: Object.entries(TECHNIQUES.gap.ways).find(
						([, { gapMm }]) => Math.abs(gapMm - job.plan.gapMm) < 0.05
					)?.[0];
	/** A loop passed over the whole spool is for open cages. */
	const waysOf = (key: TechniqueKey) =>
		(
			Object.entries(TECHNIQUES[key].ways) as [Techniques[typeof key], { label: string; buys: string }][]
		).filter(([way]) => job.cage === 'open' || way !== 'spool-loop');
	const TURNS = [1, 2, 3].map((n) => ({ value: String(n), label: String(n) }));
</script>

<Segmented
	label="What you choose holds for"
	options={[
		{ value: 'setup', label: 'this set-up' },
		{ value: 'person', label: 'all of mine' }
	]}
	value={scope}
	onchange={(value) => (scope = value)}
	shown
/>
<div class="mt-4 max-w-xs">
	<Field
		label="Your arm span, fingertip to fingertip"
		value={span}
		placeholder="about your height"
		aside=""
		error={spanTrouble}
		oninput={(value) => ([span, spanTrouble] = [value, undefined])}
		oncommit={measured}
	/>
</div>
{#if trouble}<p role="alert" class="mt-2 text-warn">{trouble}</p>{/if}
<div class="mt-4 space-y-5">
	{#each TECHNIQUE_KEYS.filter((key) => concerns(job, key)) as key (key)}
		<fieldset>
			<legend class="figure text-[16px] font-semibold">{TECHNIQUES[key].title}</legend>
			{#each waysOf(key) as [way, { label, buys }] (way)}
				<label class="flex cursor-pointer items-baseline gap-2.5 py-1.5">
					<input
						type="radio"
						name="school-{key}"
						checked={chosen(key) === way}
						class="translate-y-0.5 accent-current"
						onchange={() => void choose(key, way)}
					/>
					<span><span class="font-semibold">{label}.</span> <span class="text-soft">{buys}</span></span>
				</label>
			{/each}
		</fieldset>
	{/each}
	<Segmented
		label="Turns round the arbor: more hold better"
		options={TURNS}
		value={String(job.arborTurns)}
		onchange={(turns) => void save({ arborTurns: Number(turns) }, { arborTurns: job.arborTurns })}
		shown
	/>
	{#each job.parts.slice(1) as part, i (part.id)}
		<fieldset>
			<legend class="figure text-[16px] font-semibold"
				>Joint of {ROLE_NAMES[job.parts[i]!.role]} and {ROLE_NAMES[part.role]}</legend
			>
			{#each new Set([...jointsBetween(job.parts[i]!.role, part.role), part.joint]) as value (value)}
				{@const label = JOINTS[value]}
				<label class="flex cursor-pointer items-baseline gap-2.5 py-1.5">
					<input
						type="radio"
						name="joint-{part.id}"
						checked={part.joint === value}
						class="translate-y-0.5 accent-current"
						onchange={() =>
							void save({ joints: { [part.id]: value } }, { joints: { [part.id]: part.joint } })}
					/>
					<span
						><span class="font-semibold">{label[0]!.toUpperCase() + label.slice(1)}.</span>
						<span class="text-soft">{JOINT_BUYS[value]}</span></span
					>
				</label>
			{/each}
		</fieldset>
	{/each}
</div>
