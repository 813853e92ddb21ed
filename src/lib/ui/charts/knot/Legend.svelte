<script lang="ts">
	import { ROLE_NAMES, type KnotStrand, type KnotStrandRole } from '$lib/core';
	import { OBJECTS, STRAND_COLOURS, TEXTURES } from './strand-looks';

	/** Which strand is which in the picture of a knot: its colour, its texture and its name. */
	let { strands }: { strands: readonly KnotStrand[] } = $props();
	const NAMES: Record<KnotStrandRole, string> = {
		...ROLE_NAMES,
		tippet: 'tippet',
		tool: 'tool',
		arbor: 'arbor',
		sleeve: 'sleeve'
	};
	const roles = $derived([...new Set(strands.map(({ role }) => role))]);
</script>

<ul class="figure flex flex-wrap gap-x-5 gap-y-1 text-[15px]" aria-label="Strands in the picture" data-legend>
	{#each roles as role (role)}
		<li class="flex items-center gap-2">
			<svg viewBox="0 0 9 3" class="h-3 w-9" aria-hidden="true">
				<path d="M0 1.5H9" stroke="var(--ink)" stroke-width="2.4" />
				<path d="M0 1.5H9" stroke={STRAND_COLOURS[role]} stroke-width="1.9" />
				{#if !OBJECTS.has(role)}
					<path
						d="M0 1.5H9"
						stroke="color-mix(in srgb, {STRAND_COLOURS[role]}, var(--paper) 55%)"
						stroke-width={TEXTURES[role] ? 1 : 0.4}
						stroke-dasharray={TEXTURES[role]}
					/>
				{/if}
			</svg>
			{NAMES[role]}
		</li>
	{/each}
</ul>
