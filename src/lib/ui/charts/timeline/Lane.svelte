<script lang="ts">
	import { dayNumber, TWIST_LIMITS, type Due, type Role } from '$lib/core';
	import type { Moment } from '$lib/inventory/care-rows';
	import { ROLE_COLOURS } from '../section/layers';
	import { atDay, daysBars, LANE, nearest, signPath, signs, stays, twistArea } from './lane';
	import type { TimeView } from './view.svelte';

	/** The life of one thing: where it was, its twist, the days it was out, what was done, what is next. */
	interface Props {
		view: TimeView;
		role: Role;
		moments: readonly Moment[];
		dues: readonly Due[];
		/** Days since 1970. */
		today: number;
		mostTwist: number;
		/** A backing has no twist worth showing. */
		twists: boolean;
		name: string;
		/** What happened then, in words. */
		say: (moment: Moment) => string;
		gap: (mm: number) => string;
		onkey: (key: string, shift: boolean) => boolean;
	}
	let { view, role, moments, dues, today, mostTwist, twists, name, say, gap, onkey }: Props = $props();
	const id = $props.id();
	const x = $derived(view.x);
	const places = $derived(stays(moments, x, today));
	const now = $derived(x(atDay(today)));
	const next = $derived(
		dues.flatMap(({ job, overdue, expectedOn }) =>
			overdue || expectedOn === undefined ? [] : [{ job, at: x(atDay(dayNumber(expectedOn))) }]
		)
	);
	const twistTop = LANE.place + 4;
	const middle = twistTop + LANE.twist / 2;
	const floor = twistTop + LANE.twist + LANE.days;
	const bars = $derived(daysBars(moments, x, floor));
	const markY = $derived(twists ? middle : twistTop + 14);
	const marks = $derived(signPath(signs(moments, x), markY));
	const limitY = (turns: number): number => twistTop + LANE.twist * (1 - turns / mostTwist);
	const LETTER_PX = 6.6;
	const LEAST_LETTERS = 5;
	/** What of a text has room, with dots where something is missing; nothing when it would say nothing. */
	function roomFor(text: string, width: number): string {
		const letters = Math.floor((width - 6) / LETTER_PX);
		if (text.length <= letters) return text;
		return letters > LEAST_LETTERS ? `${text.slice(0, letters - 1).trimEnd()}…` : '';
	}

	/** The moment that is pointed at, or stepped to. */
	let at = $state<number>();
	const picked = $derived(at === undefined ? undefined : moments[at]);
	const said = $derived(picked ? say(picked) : '');

	function onkeydown(event: KeyboardEvent): void {
		const step = { ArrowLeft: -1, ArrowRight: 1, Home: -Infinity, End: Infinity }[event.key];
		if (step !== undefined && !event.shiftKey && moments.length > 0) {
			const from = at ?? (step > 0 ? -1 : moments.length);
			at = Math.min(Math.max(from + step, 0), moments.length - 1);
		} else if (!onkey(event.key, event.shiftKey)) return;
		event.preventDefault();
	}
</script>

<div
	role="slider"
	tabindex="0"
	aria-label="{name}: its life, event by event"
	aria-valuemin={0}
	aria-valuemax={Math.max(moments.length - 1, 0)}
	aria-valuenow={at ?? Math.max(moments.length - 1, 0)}
	aria-valuetext={said || 'nothing picked'}
	class="relative min-w-0"
	data-lane
	{onkeydown}
	onpointermove={({ clientX, currentTarget, pointerType }) => {
		if (pointerType === 'mouse')
			at = nearest(moments, x, clientX - currentTarget.getBoundingClientRect().left);
	}}
	onpointerdown={({ clientX, currentTarget }) =>
		(at = nearest(moments, x, clientX - currentTarget.getBoundingClientRect().left))}
	onpointerleave={({ pointerType }) => {
		if (pointerType === 'mouse') at = undefined;
	}}
>
	<svg class="block w-full" height={LANE.height} aria-hidden="true">
		<clipPath id="{id}-clip"><rect width={view.width} height={LANE.height} /></clipPath>
		{#if view.ready}<g clip-path="url(#{id}-clip)">
				{#each places as { x: left, width, on, place, gapMm }, i (i)}
					{#if on === 'retired'}
						<path
							d="M{left} 2v{LANE.place - 2}M{left - 4} 4l8 8m0 -8l-8 8"
							stroke="var(--ink)"
							stroke-width="1.5"
						/>
					{:else}
						<rect
							x={left}
							y="1"
							{width}
							height={LANE.place - 1}
							fill={on === 'spool' ? ROLE_COLOURS[role] : 'none'}
							fill-opacity="0.32"
							stroke={ROLE_COLOURS[role]}
							stroke-width="1.25"
							stroke-dasharray={on === 'coil' ? '3 3' : undefined}
						/>
						{@const text = gapMm === undefined ? place : `${place}, gap ${gap(gapMm)}`}
						<text x={left + 4} y={LANE.place - 3} font-size="11.5" class="figure" fill="var(--ink)"
							>{roomFor(text, width)}</text
						>
					{/if}
				{/each}
				{#if twists}
					<g transform="translate(0 {twistTop})">
						<path d={twistArea(moments, x, today, mostTwist)} fill="var(--soft)" fill-opacity="0.3" />
					</g>
					<line
						x2={view.width}
						y1={limitY(TWIST_LIMITS.loops)}
						y2={limitY(TWIST_LIMITS.loops)}
						stroke="var(--warn)"
						stroke-dasharray="2 4"
					/>
					<line
						x2={view.width}
						y1={limitY(TWIST_LIMITS.noticed)}
						y2={limitY(TWIST_LIMITS.noticed)}
						stroke="var(--hair)"
					/>
				{/if}
				<line x2={view.width} y1={floor} y2={floor} stroke="var(--hair)" />
				<path d={bars.fresh} fill="var(--soft)" data-bars />
				<path d={bars.salt} fill="var(--tip)" />
				<path d={marks.d} fill="var(--paper)" stroke="var(--ink)" stroke-width="1.4" data-signs />
				{#each marks.counts as { x: left, count } (left)}
					<text x={left + 5} y={markY - 3} font-size="11" class="figure" fill="var(--ink)">{count}</text>
				{/each}
				<line x1={now} x2={now} y2={floor} stroke="var(--ink)" stroke-width="1.25" />
				{#each next as { job, at: left }, i (i)}
					<path
						d="M{left} {floor}V{twistTop + 6}h9l-3 4l3 4h-9"
						fill="var(--paper)"
						stroke="var(--ink)"
						stroke-width="1.3"
						data-next={job}
					/>
				{/each}
				{#if picked}
					<line
						x1={x(atDay(picked.day))}
						x2={x(atDay(picked.day))}
						y2={floor}
						stroke="var(--ink)"
						stroke-dasharray="2 2"
					/>
				{/if}
			</g>{/if}
	</svg>
	<p class="figure min-h-5 truncate text-[13.5px]" aria-hidden="true" data-said>{said}</p>
</div>
