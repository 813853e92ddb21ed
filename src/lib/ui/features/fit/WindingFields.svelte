<script lang="ts">
	import { WINDING_HANDS, type WindingHand } from '$lib/core';
	import { leaderUnit, showSmall } from '$lib/wording/units';
	import Field from '../../primitives/Field.svelte';
	import Fold from '../../primitives/Fold.svelte';
	import Segmented from '../../primitives/Segmented.svelte';
	import Select from '../../primitives/Select.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import type { FitState } from './fit-state.svelte';
	import HowTied from './HowTied.svelte';
	import LengthField from './LengthField.svelte';
	import { arborTurnOptions, windingOptions } from './options';

	/** The reel's hand and cage, how it is wound, the arbor's knot and the leader: set once, rarely changed. */
	let { fit }: { fit: FitState } = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const spool = $derived(fit.form.spool);
	const fill = $derived(fit.form.fill);

	const ASSUMED: Record<WindingHand, string> = {
		machine: 'Assumes winding at an even machine tension.',
		firm: 'Assumes firm, even winding.',
		loose: 'Assumes loose winding.'
	};
	const set = $derived(
		[
			`${spool.hand}-hand wind`,
			`${spool.cage} cage`,
			WINDING_HANDS[fill.winding].label,
			`${arborTurnOptions.find(({ value }) => value === fill.arborTurns)!.label} round the arbor`,
			...(spool.gear.trim() === '' ? [] : [`gear ${spool.gear}`]),
			...(fill.leader.trim() === '' ? [] : [`${fill.leader} leader`])
		].join(', ')
	);
</script>

<Fold
	label="Reel and winding"
	{set}
	bind:open={fit.showsWinding}
	wrong={fit.error('fill', 'leader') !== undefined || fit.error('spool', 'gear') !== undefined}
>
	<div class="grid grid-cols-2 gap-4">
		<Segmented
			label="Wind with the"
			shown
			options={[
				{ value: 'left', label: 'left' },
				{ value: 'right', label: 'right' }
			]}
			value={spool.hand}
			onchange={(hand) => fit.change((form) => (form.spool.hand = hand))}
		/>
		<Segmented
			label="Cage"
			shown
			options={[
				{ value: 'open', label: 'open' },
				{ value: 'closed', label: 'closed' }
			]}
			value={spool.cage}
			onchange={(cage) => fit.change((form) => (form.spool.cage = cage))}
		/>
	</div>
	<Select
		label="Wound"
		options={windingOptions}
		value={fill.winding}
		onchange={(winding) => fit.change((form) => (form.fill.winding = winding))}
	/>
	<p class="text-[13.5px] text-soft">
		{ASSUMED[fill.winding]} The stop depth doesn't depend on it, nor on how thick the backing is: it stays {showSmall(
			fit.workout?.fit.layers[fit.workout.stopIndex]?.depthMm ?? 0,
			units
		)}.
	</p>
	<div class="grid grid-cols-2 gap-4">
		<div data-part="arbor">
			<Select
				label="Round the arbor"
				options={arborTurnOptions}
				value={fill.arborTurns}
				onchange={(turns) => fit.change((form) => (form.fill.arborTurns = turns))}
			/>
			<div class="mt-2"><HowTied {fit} id="arbor" /></div>
		</div>
		<div data-part="leader">
			<LengthField
				{fit}
				unit={leaderUnit(units)}
				label="Leader"
				path={['fill', 'leader']}
				get={({ fill }) => fill.leader}
				set={({ fill }, value) => (fill.leader = value)}
				aside=""
			/>
		</div>
	</div>
	<Field
		label="Turns of the spool for one turn of the handle"
		value={spool.gear}
		placeholder="1"
		aside=""
		error={fit.error('spool', 'gear')}
		oninput={(gear) => fit.change((form) => (form.spool.gear = gear))}
	/>
	<p class="text-[13.5px] text-soft">
		1 on a fly reel. A casting or trolling reel, or a winding machine, turns its spool faster. Turn the handle
		ten times, count the spool, and type what you saw, such as <em>47 in 10</em>.
	</p>
</Fold>
