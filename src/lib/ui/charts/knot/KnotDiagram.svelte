<script lang="ts">
	import type { KnotStrand, KnotStrandRole } from '$lib/core';
	import { ROLE_COLOURS } from '../section/layers';
	import { knotDrawing, type Box, type View } from './layout';

	/** A stage of a knot, drawn from its shape in space: what is under has a gap where something passes over it. */
	interface Props {
		strands: readonly KnotStrand[];
		view: View;
		label: string;
		/** Another picture that is taking this one's place, and how far it has come, 0–1. */
		fading?: { readonly strands: readonly KnotStrand[]; readonly share: number } | undefined;
		/** What part of the plane is shown; as much as the strands need where nothing is said. */
		box?: Box | undefined;
	}
	let { strands, view, label, fading, box }: Props = $props();
	const drawing = $derived(knotDrawing(strands, view));
	const coming = $derived(fading && knotDrawing(fading.strands, view));
	const shown = $derived(box ?? drawing.box);

	const COLOURS: Record<KnotStrandRole, string> = {
		...ROLE_COLOURS,
		tippet: 'var(--tip)',
		tool: 'var(--hair)',
		arbor: 'var(--hair)',
		sleeve: 'var(--hair)'
	};
	/** Texture beside colour, so that colour is never the only sign: dashes along the middle, in strand widths. */
	const TEXTURES: Partial<Record<KnotStrandRole, string>> = {
		bed: '0.25 0.6',
		backing: '0.5 0.7',
		'running-line': '1.4 0.5',
		tippet: '2.4 1.2',
		tip: '2.4 1.2'
	};
	const OBJECTS: ReadonlySet<KnotStrandRole> = new Set(['tool', 'arbor', 'sleeve']);
	/** Paper beside what passes over, mm; the outline, mm, less on what is thin itself. */
	const GAP = 0.34;
	const OUTLINE = 0.22;
	const outline = (radius: number): number => Math.min(OUTLINE, 0.3 * radius);
</script>

{#snippet picture({ pieces, ends }: typeof drawing)}
	{#each pieces as { path, edge, margin, role, radius, lies, from, strand }, i (i)}
		<g fill="none" data-strand={strand} data-lies={lies}>
			{#if margin}<path d={margin} stroke="var(--paper)" stroke-width={2 * (radius + GAP)} />{/if}
			<path d={edge} stroke="var(--ink)" stroke-width={2 * radius} stroke-linejoin="round" data-outline />
			<path
				d={path}
				stroke={COLOURS[role]}
				stroke-width={2 * (radius - outline(radius))}
				stroke-linejoin="round"
			/>
			{#if TEXTURES[role]}
				<path
					d={path}
					stroke="color-mix(in srgb, {COLOURS[role]}, var(--paper) 60%)"
					stroke-width={0.9 * radius}
					stroke-dasharray={TEXTURES[role]}
					stroke-dashoffset={from}
				/>
			{:else if !OBJECTS.has(role)}
				<path
					d={path}
					stroke="color-mix(in srgb, {COLOURS[role]}, var(--paper) 45%)"
					stroke-width={0.35 * radius}
				/>
			{/if}
		</g>
	{/each}
	{#each ends as { x, y, kind, radius, toward }, i (i)}
		<g transform="translate({x} {y}) rotate({toward})" data-end={kind}>
			{#if kind === 'tag'}
				<circle r={1.15 * radius} fill="var(--now)" stroke="var(--ink)" stroke-width={OUTLINE} />
			{:else}
				<path d="M0.7 0H4.2" stroke="var(--ink)" stroke-width="0.55" stroke-dasharray="0.8 0.7" />
			{/if}
		</g>
	{/each}
{/snippet}

<svg
	viewBox="{shown.x} {shown.y} {shown.width} {shown.height}"
	class="block size-full"
	role="img"
	aria-label={label}
	data-knot
>
	{#if coming}
		<g opacity={1 - fading!.share}>{@render picture(drawing)}</g>
		<g opacity={fading!.share} data-coming>{@render picture(coming)}</g>
	{:else}
		{@render picture(drawing)}
	{/if}
</svg>
