<script lang="ts">
	import type { Joint, Role } from '$lib/core';
	import { ROLE_COLOURS } from '../section/layers';

	/** A joint's sign in the thread: what kind it is, not how it is tied. */
	interface Props {
		kind: Joint | 'arbor';
		/** The strand toward the arbor, and the one toward the fly. */
		rear: Role;
		front: Role;
	}
	let { kind, rear, front }: Props = $props();
	const [a, b] = $derived([ROLE_COLOURS[rear], ROLE_COLOURS[front]]);
</script>

<svg
	viewBox="0 0 44 28"
	class="block h-7 w-11"
	fill="none"
	stroke="var(--ink)"
	stroke-width="1.7"
	aria-hidden="true"
>
	{#if kind === 'arbor'}
		<circle cx="20" cy="14" r="12.2" />
		<circle cx="20" cy="14" r="5" />
		<path d="M20 9a5 5 0 0 1 5 5c0 2 6 1 19 0" stroke={b} stroke-width="3" />
	{:else if kind === 'loops'}
		<path d="M0 14h5c6 0 8 -7 15 -7s8 3 8 7s-1 7 -8 7s-9 -7 -15 -7" stroke={a} stroke-width="2.6" />
		<path d="M44 14h-5c-6 0 -8 -7 -15 -7s-8 3 -8 7s1 7 8 7s9 -7 15 -7" stroke={b} stroke-width="2.6" />
	{:else}
		<path d="M0 14h44" stroke={b} stroke-width="4" stroke-linecap="butt" />
		{#each kind === 'nail' ? [10, 14.5, 19, 23.5, 28, 32.5] : [6, 10, 14, 18, 22, 26, 30, 34] as x (x)}
			<path d="M{x} 20l3 -12" stroke={a} stroke-width="2.6" />
		{/each}
	{/if}
</svg>
