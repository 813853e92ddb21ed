<script lang="ts">
	import type { SpoolForm } from '$lib/setup/form';

	/** What to measure on a spool of this shape, and where the calipers go. */
	interface Props {
		shape: SpoolForm['shape'];
		frame: boolean;
	}
	let { shape, frame }: Props = $props();

	/** Half a section, axle at the bottom: flanges, arbor, and the jaws at each measure. */
	const flange = $derived(shape === 'flared' ? [38, 46] : [42, 42]);
	const left = $derived(100 - flange[1]!);
	const right = $derived(100 + flange[1]!);
	const [inLeft, inRight] = $derived([100 - flange[0]!, 100 + flange[0]!]);
	const arbor = $derived(
		shape === 'dished'
			? `M${inLeft} 62L100 76L${inRight} 62V84H${inLeft}Z`
			: `M${inLeft} 66H${inRight}V84H${inLeft}Z`
	);
</script>

<svg viewBox="0 0 260 112" class="mt-1 block w-full" role="img" aria-label="Where to measure the spool">
	<g fill="none" stroke="var(--ink)" stroke-width="1.4">
		<path d="M{left - 4} 10L{inLeft - 4} 84M{left} 10L{inLeft} 84M{left - 4} 10H{left}" />
		<path d="M{right + 4} 10L{inRight + 4} 84M{right} 10L{inRight} 84M{right + 4} 10H{right}" />
		<path d={arbor} fill="var(--hair)" />
		<path d="M20 104H180" stroke="var(--soft)" stroke-dasharray="9 2 2 2" />
		{#if frame}<path d="M{left - 12} 4H{right + 12}" stroke-width="2.4" />{/if}
	</g>
	<g stroke="var(--ink)" fill="none">
		<!-- across the rims: outside jaws on the flange edges -->
		<path d="M222 10H238M230 10V104" />
		<path d="M{right + 6} 10H222" stroke="var(--soft)" stroke-dasharray="2 2" />
		<!-- across the arbor -->
		<path d="M176 {shape === 'dished' ? 62 : 66}H192M184 {shape === 'dished' ? 62 : 66}V104" />
		<path d="M{inRight} {shape === 'dished' ? 62 : 66}H176" stroke="var(--soft)" stroke-dasharray="2 2" />
		<!-- between the flanges: inside jaws -->
		<path d="M{left + 1} 24H{right - 1}M{left + 1} 20V28M{right - 1} 20V28" />
		{#if shape === 'flared'}<path
				d="M{inLeft + 1} 58H{inRight - 1}M{inLeft + 1} 54V62M{inRight - 1} 54V62"
			/>{/if}
		{#if shape === 'dished'}<path d="M92 76H108M100 76V104" />{/if}
	</g>
	<g class="figure" font-size="10.5" fill="var(--ink)">
		<text x="234" y="22">rims</text>
		<text x="188" y="92">arbor</text>
		<text x="100" y="18" text-anchor="middle">between</text>
		{#if shape === 'flared'}<text x="100" y="52" text-anchor="middle">at the arbor</text>{/if}
		{#if shape === 'dished'}<text x="106" y="98">lowest</text>{/if}
		{#if frame}<text x="14" y="8">frame</text>{/if}
	</g>
</svg>
<ul class="mt-1 list-disc pl-4 text-soft">
	<li>
		Measure the rims and the arbor straight across, with the outside jaws. The drawing shows the half above
		the axle.
	</li>
	<li>
		Measure between the flanges with the inside jaws, {shape === 'flared'
			? 'once at the rim and once at the arbor'
			: 'half way down'}.
	</li>
	{#if shape === 'dished'}<li>Measure the arbor beside the flanges, and again where it is lowest.</li>{/if}
	<li>A rule will do. The ranges then get a little wider.</li>
</ul>
