<script lang="ts">
	import { JOINTS, type Joint as JointKind, type LineSection } from '$lib/core';
	import Joint from './Joint.svelte';
	import Strand from './Strand.svelte';

	export type ThreadPart = 'spool' | 'backing' | 'joint' | 'line' | 'leader';

	interface Props {
		arborTurns: number;
		joint: JointKind;
		backing: { label: string; length: string };
		line: { label: string; length: string; sections: readonly LineSection[] };
		leader: { length: string };
		/** Opens the editor of a part. Without it the thread is a picture. */
		onpick?: (part: ThreadPart) => void;
	}
	let { arborTurns, joint, backing, line, leader, onpick }: Props = $props();

	const part = 'min-w-0 rounded-sm px-0 text-left';
</script>

{#snippet strand(part: ThreadPart, role: 'backing' | 'line' | 'leader', label: string, length: string)}
	<span class="figure block truncate text-[14px] max-sm:text-[12.5px]">{label}</span>
	<Strand {role} sections={part === 'line' ? line.sections : []} />
	<span class="figure block truncate text-[14px] font-semibold">{length}</span>
{/snippet}

{#snippet knot(kind: JointKind | 'arbor', label: string)}
	<span class="figure block h-[1.4em] text-[14px]"></span>
	<span class="-my-1 block"><Joint {kind} /></span>
	<span
		class="figure mt-4 block text-[12px] whitespace-nowrap text-soft max-sm:invisible {kind === 'arbor'
			? ''
			: '-mx-6 text-center'}">{label}</span
	>
{/snippet}

<div class="flex items-start" role="group" aria-label="The thread, from arbor to fly">
	{#snippet pick(name: ThreadPart, grow: string, content: import('svelte').Snippet)}
		{#if onpick}
			<button
				type="button"
				class="{part} {grow} hover:bg-paper"
				aria-label="Edit the {name}"
				onclick={() => onpick(name)}>{@render content()}</button
			>
		{:else}
			<div class="{part} {grow}">{@render content()}</div>
		{/if}
	{/snippet}
	{#snippet arborKnot()}{@render knot('arbor', arborTurns === 1 ? '1 turn' : `${arborTurns} turns`)}{/snippet}
	{#snippet backingStrand()}{@render strand('backing', 'backing', backing.label, backing.length)}{/snippet}
	{#snippet jointKnot()}{@render knot(joint, JOINTS[joint])}{/snippet}
	{#snippet lineStrand()}{@render strand('line', 'line', line.label, line.length)}{/snippet}
	{#snippet leaderStrand()}{@render strand('leader', 'leader', 'Leader', leader.length)}{/snippet}

	{@render pick('spool', 'w-14 shrink-0 overflow-visible', arborKnot)}
	{@render pick('backing', 'flex-[10] basis-0', backingStrand)}
	{@render pick('joint', 'w-12 shrink-0 overflow-visible', jointKnot)}
	{@render pick('line', 'flex-[13] basis-0', lineStrand)}
	{@render pick('leader', 'flex-[4] basis-0', leaderStrand)}
	<svg
		viewBox="0 0 22 34"
		class="mt-[1.1em] block h-8 w-5 shrink-0"
		fill="none"
		stroke="var(--ink)"
		stroke-width="1.6"
		aria-hidden="true"
	>
		<path d="M0 10h7c12 0 12 18 4 18c-5 0 -6 -4 -5 -8l3 3" />
	</svg>
</div>
