<script lang="ts">
	import type { Range } from '$lib/core';

	interface Props {
		x: number;
		/** Vertical place of the handle, px. */
		y: number;
		gapMm: number;
		bounds: Range;
		text: string;
		/** Pixels per millimetre. */
		scale: number;
		onchange: (gapMm: number) => void;
	}
	let { x, y, gapMm, bounds, text, scale, onchange }: Props = $props();

	let grabbed = $state<{ clientY: number; gapMm: number }>();

	const STEP_MM = 0.1;
	const PAGE_MM = 1;
	const set = (mm: number): void => {
		const stepped = Math.round(mm / STEP_MM) * STEP_MM;
		onchange(Math.min(Math.max(stepped, bounds.low), bounds.high));
	};

	const KEYS: Record<string, () => number> = {
		ArrowUp: () => gapMm - STEP_MM,
		ArrowDown: () => gapMm + STEP_MM,
		ArrowLeft: () => gapMm - STEP_MM,
		ArrowRight: () => gapMm + STEP_MM,
		PageUp: () => gapMm - PAGE_MM,
		PageDown: () => gapMm + PAGE_MM,
		Home: () => bounds.low,
		End: () => bounds.high
	};

	function onkeydown(event: KeyboardEvent): void {
		const to = KEYS[event.key];
		if (!to) return;
		event.preventDefault();
		set(to());
	}

	/** Screen pixels per drawing pixel: the drawing may be shown smaller than it is. */
	function screenScale(target: SVGGElement): number {
		return target.ownerSVGElement?.getScreenCTM()?.d ?? 1;
	}

	function onpointerdown(event: PointerEvent & { currentTarget: SVGGElement }): void {
		event.currentTarget.setPointerCapture(event.pointerId);
		grabbed = { clientY: event.clientY, gapMm };
	}

	function onpointermove(event: PointerEvent & { currentTarget: SVGGElement }): void {
		if (!grabbed) return;
		set(grabbed.gapMm + (event.clientY - grabbed.clientY) / (scale * screenScale(event.currentTarget)));
	}
</script>

<g
	role="slider"
	tabindex="0"
	aria-label="Gap to leave"
	aria-orientation="vertical"
	aria-valuemin={bounds.low}
	aria-valuemax={bounds.high}
	aria-valuenow={Number(gapMm.toFixed(2))}
	aria-valuetext={text}
	class="cursor-ns-resize touch-none"
	{onkeydown}
	{onpointerdown}
	{onpointermove}
	onpointerup={() => (grabbed = undefined)}
	onpointercancel={() => (grabbed = undefined)}
>
	<rect x={x - 22} y={y - 22} width="44" height="44" fill="transparent" />
	<circle
		cx={x}
		cy={y}
		r="9"
		fill={grabbed ? 'var(--now)' : 'var(--paper)'}
		stroke="var(--ink)"
		stroke-width="2"
	/>
	<path d="M{x} {y - 19}l-5 6h10zM{x} {y + 19}l-5 -6h10z" fill="var(--ink)" />
</g>
