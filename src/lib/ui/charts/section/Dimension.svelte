<script lang="ts">
	/** A dimension line of a workshop drawing: two arrowheads, extension lines, and the measure on it. */
	interface Props {
		x: number;
		from: number;
		to: number;
		text: string;
		/** Where the extension lines begin, px across. */
		reach?: { from?: number; to?: number };
		hot?: boolean;
	}
	let { x, from, to, text, reach = {}, hot = false }: Props = $props();
	const CHAR_PX = 8;
	const width = $derived(text.length * CHAR_PX + 10);
	const short = $derived(Math.abs(to - from) < 44);
	const labelY = $derived(short ? Math.min(from, to) - 16 : (from + to) / 2);
	const head = $derived(Math.min(8, Math.abs(to - from) / 2));
</script>

<g>
	{#if reach.from !== undefined}
		<path
			d="M{reach.from} {from}H{x + Math.sign(x - reach.from) * 7}"
			stroke="var(--soft)"
			stroke-width="0.8"
		/>
	{/if}
	{#if reach.to !== undefined}
		<path d="M{reach.to} {to}H{x + Math.sign(x - reach.to) * 7}" stroke="var(--soft)" stroke-width="0.8" />
	{/if}
	<path
		d="M{x} {from}V{to}M{x - 3.5} {from + head}l3.5 {-head}l3.5 {head}M{x - 3.5} {to -
			head}l3.5 {head}l3.5 {-head}"
		fill="none"
		stroke="var(--ink)"
		stroke-width="1.3"
	/>
	<rect x={x - width / 2} y={labelY - 12} {width} height="24" fill={hot ? 'var(--now)' : 'var(--paper)'} />
	<text
		{x}
		y={labelY + 5}
		text-anchor="middle"
		style="font-size: 15px; font-weight: 600; {hot ? 'fill: var(--on-now)' : ''}">{text}</text
	>
</g>
