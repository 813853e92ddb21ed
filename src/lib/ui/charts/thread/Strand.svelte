<script lang="ts">
	import type { LineSection, Role } from '$lib/core';
	import { ROLE_COLOURS } from '../section/layers';
	import { STRAND_H, STRAND_W, taperPath } from './profile';

	/** Role by colour and by texture: braid woven, mono dotted, running line ribbed, lines plain in their taper, leader fine. */
	interface Props {
		role: Role;
		sections?: readonly LineSection[];
	}
	let { role, sections = [] }: Props = $props();
	const id = $props.id();
	const MIDDLE = STRAND_H / 2;
	const colour = $derived(ROLE_COLOURS[role]);
	const tapered = $derived(sections.some((s) => s.lengthMm > 0) && (role === 'line' || role === 'head'));
	const half = $derived(role === 'backing' ? 3 : role === 'tip' ? 3.6 : 2.4);
</script>

<svg
	viewBox="0 0 {STRAND_W} {STRAND_H}"
	preserveAspectRatio="none"
	class="block h-5 w-full"
	aria-hidden="true"
>
	{#if role === 'backing'}
		<pattern id="{id}-weave" width="6" height="6" patternUnits="userSpaceOnUse" y="7">
			<rect width="6" height="6" fill={colour} />
			<path d="M0 0L6 6M6 0L0 6" stroke="var(--paper)" stroke-width="1.1" stroke-opacity="0.75" />
		</pattern>
		<rect y={MIDDLE - half} width={STRAND_W} height={2 * half} fill="url(#{id}-weave)" />
	{:else if role === 'leader'}
		<path d="M0 {MIDDLE - 1.6}L{STRAND_W} {MIDDLE - 0.5}V{MIDDLE + 0.5}L0 {MIDDLE + 1.6}Z" fill={colour} />
	{:else if tapered}
		<path d={taperPath(sections, 13)} fill={colour} />
		{#if role === 'head'}
			<path d="M0 {MIDDLE}H{STRAND_W}" stroke="var(--paper)" stroke-opacity="0.7" stroke-width="1.2" />
		{/if}
	{:else if role === 'bed'}
		<path d="M0 {MIDDLE}H{STRAND_W}" stroke={colour} stroke-width="3" stroke-dasharray="9 5" />
	{:else if role === 'running-line'}
		<rect y={MIDDLE - half} width={STRAND_W} height={2 * half} fill={colour} />
		<path
			d="M0 {MIDDLE}H{STRAND_W}"
			stroke="var(--paper)"
			stroke-opacity="0.75"
			stroke-width={2 * half}
			stroke-dasharray="2 22"
		/>
	{:else}
		<path
			d="M0 {MIDDLE - half}L{STRAND_W} {MIDDLE - half / 2}V{MIDDLE + half / 2}L0 {MIDDLE + half}Z"
			fill={colour}
		/>
	{/if}
</svg>
