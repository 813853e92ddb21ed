<script lang="ts">
	import type { PlannedCut } from '$lib/stock/planned';
	import type { StockEntry } from '$lib/stock/stock';
	import { bulkBar } from './bulk';

	/** A length of backing that lies on no measured spool, as a bar: what is left, and what is to be cut off it. */
	interface Props {
		entry: StockEntry;
		cuts?: readonly PlannedCut[];
		/** The length that is as wide as the drawing, mm of backing; one for the whole shelf. */
		longestMm: number;
		colour: string;
		label: string;
	}
	let { entry, cuts = [], longestMm, colour, label }: Props = $props();
	const id = $props.id();
	const bar = $derived(bulkBar(entry, cuts));
	const at = (mm: number): number => (100 * mm) / longestMm;
	const left = $derived(entry.leftMm!);
</script>

<svg
	viewBox="0 0 100 10"
	preserveAspectRatio="none"
	class="block h-4 w-full overflow-visible"
	role="img"
	aria-label={label}
	data-bar
>
	<pattern id="{id}-cut" width="1.2" height="3" patternUnits="userSpaceOnUse">
		<path d="M0 0V3" stroke="var(--ink)" stroke-width="0.5" />
	</pattern>
	<rect x="0" y="0" width={at(bar.rest)} height="10" fill={colour} fill-opacity="0.75" />
	{#each bar.cuts as { cut, from, to } (cut.id)}
		<g data-cut={cut.id}>
			<title>{cut.label}</title>
			<rect x={at(from)} y="0" width={at(to - from)} height="10" fill={colour} fill-opacity="0.25" />
			<rect x={at(from)} y="0" width={at(to - from)} height="10" fill="url(#{id}-cut)" />
		</g>
	{/each}
	<rect
		x={at(left.range.low)}
		y="0"
		width={at(Math.min(left.range.high, longestMm) - left.range.low)}
		height="10"
		fill={colour}
		fill-opacity="0.3"
	/>
	<rect
		x="0"
		y="0"
		width={at(left.value)}
		height="10"
		fill="none"
		stroke="var(--ink)"
		stroke-width="1.1"
		vector-effect="non-scaling-stroke"
	/>
</svg>
