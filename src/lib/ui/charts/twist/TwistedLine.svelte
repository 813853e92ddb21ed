<script lang="ts">
	import { stripedLine } from './ribbon';

	/** A metre of line with a stripe painted along it: it comes round as often as the line is twisted. */
	interface Props {
		perMetre: number;
		label: string;
		/** How much of it has come off its spool, 0–1. */
		off?: number;
	}
	let { perMetre, label, off = 1 }: Props = $props();
	const [WIDTH, HEIGHT] = [600, 22];
	const striped = $derived(stripedLine(perMetre, 1, WIDTH, HEIGHT - 4));
	const id = $props.id();
</script>

<div class="relative">
	<svg
		viewBox="0 0 {WIDTH} {HEIGHT + 16}"
		class="block w-full"
		role="img"
		aria-label={label}
		data-turns={striped.turns.toFixed(3)}
	>
		<clipPath id="{id}-off"><rect width={WIDTH * off} height={HEIGHT} /></clipPath>
		<g clip-path="url(#{id}-off)">
			<rect y="2" width={WIDTH} height={HEIGHT - 4} fill="var(--line)" />
			<g transform="translate(0 2)" fill="none" stroke="var(--ink)" stroke-width="3.2">
				{#each striped.stripes as stripe, i (i)}<path d={stripe} />{/each}
			</g>
			<path d="M0 2H{WIDTH}M0 {HEIGHT - 2}H{WIDTH}" stroke="var(--ink)" stroke-width="1.4" />
		</g>
		<g stroke="var(--soft)" fill="none">
			<path d="M0.5 {HEIGHT + 3}v8M{WIDTH - 0.5} {HEIGHT + 3}v8M0 {HEIGHT + 7}H{WIDTH}" />
		</g>
	</svg>
	<span class="absolute inset-x-0 -bottom-1 text-center text-[11px] leading-none text-soft" aria-hidden="true"
		><span class="bg-ground px-1.5">1 m</span></span
	>
</div>
