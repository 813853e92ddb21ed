<script lang="ts">
	import type { Hand, KnotStrand, Laid } from '$lib/core';
	import { knotDrawing, type Box, type View } from './layout';
	import { handMarksOf, labelsOf, waysOf } from './marks';
	import { OBJECTS, STRAND_COLOURS, TEXTURES } from './strand-looks';

	/** A stage of a knot, drawn from its shape in space: what is under has a gap where something passes over it. */
	interface Props {
		strands: readonly KnotStrand[];
		view: View;
		label: string;
		/** Another picture that is taking this one's place, and how far it has come, 0–1. */
		fading?: { readonly strands: readonly KnotStrand[]; readonly share: number } | undefined;
		/** What helps to tie the knot: words at the ends, `high` mm high, arrows along what is laid, and hands. */
		help?:
			{ readonly high: number; readonly laid: readonly Laid[]; readonly hands: readonly Hand[] } | undefined;
		/** What part of the plane is shown; as much as the strands need where nothing is said. */
		box?: Box | undefined;
	}
	let { strands, view, label, fading, help, box }: Props = $props();
	const drawing = $derived(knotDrawing(strands, view));
	const coming = $derived(fading && knotDrawing(fading.strands, view));
	const shown = $derived(box ?? drawing.box);
	const ways = $derived(help ? waysOf(strands, help.laid, view, drawing) : []);
	const hands = $derived(help ? handMarksOf(help.hands, view) : []);
	const labels = $derived(help ? labelsOf(strands, view, help.high, hands) : []);

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
				stroke={STRAND_COLOURS[role]}
				stroke-width={2 * (radius - outline(radius))}
				stroke-linejoin="round"
			/>
			{#if TEXTURES[role]}
				<path
					d={path}
					stroke="color-mix(in srgb, {STRAND_COLOURS[role]}, var(--paper) 60%)"
					stroke-width={0.9 * radius}
					stroke-dasharray={TEXTURES[role]}
					stroke-dashoffset={from}
				/>
			{:else if !OBJECTS.has(role)}
				<path
					d={path}
					stroke="color-mix(in srgb, {STRAND_COLOURS[role]}, var(--paper) 45%)"
					stroke-width={0.35 * radius}
				/>
			{/if}
		</g>
	{/each}
	{#each ends as { x, y, kind, radius, toward }, i (i)}
		<g transform="translate({x} {y}) rotate({toward})" data-end={kind}>
			{#if kind === 'tag'}
				<circle r={1.15 * radius} fill="var(--now)" stroke="var(--ink)" stroke-width={OUTLINE} />
			{:else if kind === 'butt'}
				<rect x="-0.6" y={-1.7 * radius} width="2" height={3.4 * radius} fill="var(--ink)" />
			{:else if kind === 'fine'}
				<path d="M-0.4 {-0.9 * radius}L4 0L-0.4 {0.9 * radius}Z" fill="var(--ink)" />
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
	{#each ways as { x, y, toward, radius }, i (i)}
		<g transform="translate({x} {y}) rotate({toward}) scale({radius})" fill="none" data-way>
			<path d="M-0.9 -0.85L0.5 0L-0.9 0.85" stroke="var(--paper)" stroke-width="0.95" />
			<path d="M-0.9 -0.85L0.5 0L-0.9 0.85" stroke="var(--ink)" stroke-width="0.42" />
		</g>
	{/each}
	{#each hands as { with: finger, x, y, toward, pulls }, i (i)}
		<g transform="translate({x} {y})" fill="var(--paper)" stroke="var(--ink)" stroke-width="0.3">
			{#if finger === 'thumb'}
				<g data-hand="hold">
					<path d="M-1.9 -0.4a1.9 2.4 0 0 1 3.8 0L2.2 3.6H-2.2Z" fill-opacity="0.9" />
					<path d="M-1 -0.6a1 1.4 0 0 1 2 0V0.4H-1Z" fill="none" />
				</g>
			{:else}
				<g transform="rotate({toward})" data-hand={pulls === undefined ? 'hold' : 'pull'}>
					<rect x="-1.1" y="-4.1" width="2.2" height="3.4" rx="1.1" />
					<rect x="-1.1" y="0.7" width="2.2" height="3.4" rx="1.1" />
				</g>
			{/if}
			{#if pulls !== undefined}
				<path
					transform="rotate({pulls})"
					d="M2 -0.45H5.2V-1.5L8 0L5.2 1.5V0.45H2Z"
					fill="var(--ink)"
					stroke="var(--paper)"
				/>
			{/if}
		</g>
	{/each}
	{#each labels as { text, box: { x, y, width, height } }, i (i)}
		<text
			x={x + width / 2}
			y={y + 0.8 * height}
			text-anchor="middle"
			font-size={height}
			fill="var(--ink)"
			class="figure"
			data-end-label>{text}</text
		>
	{/each}
</svg>
