<script lang="ts">
	import type { LineSection } from '$lib/core';
	import { STRAND_H, STRAND_W, taperPath } from './profile';

	/** Role by colour and by texture: braid woven, line plain in its taper, leader fine. */
	interface Props {
		role: 'backing' | 'line' | 'leader';
		sections?: readonly LineSection[];
	}
	let { role, sections }: Props = $props();
	const id = $props.id();
	const MIDDLE = STRAND_H / 2;
</script>

<svg
	viewBox="0 0 {STRAND_W} {STRAND_H}"
	preserveAspectRatio="none"
	class="block h-5 w-full"
	aria-hidden="true"
>
	{#if role === 'backing'}
		<pattern id="{id}-weave" width="6" height="6" patternUnits="userSpaceOnUse" y="7">
			<rect width="6" height="6" fill="var(--backing)" />
			<path d="M0 0L6 6M6 0L0 6" stroke="var(--paper)" stroke-width="1.1" stroke-opacity="0.75" />
		</pattern>
		<rect y={MIDDLE - 3} width={STRAND_W} height="6" fill="url(#{id}-weave)" />
	{:else if role === 'line' && sections}
		<path d={taperPath(sections, 13)} fill="var(--line)" />
	{:else}
		<path
			d="M0 {MIDDLE - 1.6}L{STRAND_W} {MIDDLE - 0.5}V{MIDDLE + 0.5}L0 {MIDDLE + 1.6}Z"
			fill="var(--leader)"
		/>
	{/if}
</svg>
