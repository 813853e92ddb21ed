<script lang="ts">
	import Contrast from '@lucide/svelte/icons/contrast';
	import Eye from '@lucide/svelte/icons/eye';
	import Maximize from '@lucide/svelte/icons/maximize';
	import Speech from '@lucide/svelte/icons/speech';
	import Volume2 from '@lucide/svelte/icons/volume-2';
	import { useHandsBusy } from '../../state/hands-busy.svelte';

	/** What helps while both hands are busy, each on or off. */
	let { onaloud }: { onaloud: () => void } = $props();
	const hands = useHandsBusy();

	const SWITCHES = [
		{ key: 'aloud', label: 'Read aloud', Icon: Speech },
		{ key: 'sound', label: 'Sounds', Icon: Volume2 },
		{ key: 'awake', label: 'Screen on', Icon: Eye },
		{ key: 'contrast', label: 'Big contrast', Icon: Contrast }
	] as const;
	function toggle(key: (typeof SWITCHES)[number]['key']): void {
		hands.set(key, !hands.get(key));
		if (key === 'aloud' && hands.get('aloud')) onaloud();
	}
	const button =
		'figure grid min-h-12 min-w-11 justify-items-center gap-0.5 px-1.5 py-1 text-[11.5px] leading-none rounded-[3px] border border-hair aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-paper';
</script>

<div class="flex gap-1.5 max-sm:w-full" role="group" aria-label="While your hands are busy">
	{#each SWITCHES as { key, label, Icon } (key)}
		{@const cannot = key === 'awake' && !hands.canHold}
		<button
			type="button"
			class="{button} disabled:opacity-40 max-sm:flex-1"
			disabled={cannot}
			aria-pressed={hands.get(key) && !cannot}
			title={cannot ? `${label}: not in this browser, or not without https` : undefined}
			onclick={() => toggle(key)}><Icon size={20} />{label}</button
		>
	{/each}
	<button
		type="button"
		class="{button} max-sm:flex-1"
		aria-pressed={hands.whole}
		title="F"
		onclick={() => void hands.toggleWhole()}><Maximize size={20} />Whole screen</button
	>
</div>
