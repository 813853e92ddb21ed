<script lang="ts">
	import { JOINTS, type Joint as JointKind, type LineSection, type Role } from '$lib/core';
	import { tick } from 'svelte';
	import { fromAction } from 'svelte/attachments';
	import Joint from './Joint.svelte';
	import Strand from './Strand.svelte';

	/** A component as the thread shows it; its joint is the one at its rear, toward the arbor. */
	export interface ThreadItem {
		readonly id: string;
		readonly role: Role;
		readonly label: string;
		readonly length: string;
		readonly sections: readonly LineSection[];
		readonly joint: JointKind;
	}

	interface Props {
		items: readonly ThreadItem[];
		arborTurns: number;
		leader: string;
		/** The component, or 'arbor' or 'leader', whose editor is open. */
		selected?: string | undefined;
		/** Opens the editor of a strand, of the arbor's knot, or of the leader; `joint`: of what joins it to the one before.
		 * Without it the thread is a picture. */
		onpick?: ((id: string, joint?: boolean) => void) | undefined;
		/** The components in another order. */
		onorder?: ((ids: string[]) => void) | undefined;
		onremove?: ((id: string) => void) | undefined;
	}
	let { items, arborTurns, leader, selected, onpick, onorder, onremove }: Props = $props();

	let root = $state<HTMLElement>();
	/** Dragging is no part of the first load: it comes with the first sign of a pointer anywhere on the page, well before
	 * that pointer can have pressed a strand. Keys never need it. */
	let dnd = $state<typeof import('svelte-dnd-action')>();
	async function loadDragging(): Promise<void> {
		if (onorder) dnd ??= await import('svelte-dnd-action');
	}
	/** While dragging, the order as it would be; else none. */
	let dragged = $state<readonly ThreadItem[]>();
	const shown = $derived(dragged ?? items);

	const zone = $derived(
		dnd &&
			fromAction(dnd.dndzone, () => ({
				items: [...shown] as { id: string }[],
				flipDurationMs: 120,
				dropTargetStyle: {},
				// Keys are handled here, and told in the words of the thread.
				autoAriaDisabled: true,
				zoneTabIndex: -1,
				zoneItemTabIndex: -1,
				delayTouchStart: true
			}))
	);

	/** Strands are as wide as their lengths compare, roughly: a root, so that the short stay readable. */
	const GROW: Record<Role, number> = {
		bed: 3,
		backing: 10,
		'running-line': 7,
		line: 12,
		head: 8,
		tip: 4,
		leader: 4
	};

	/** Moves a strand, and keeps the focus on it although its place in the page has changed. */
	async function move(id: string, by: number): Promise<void> {
		const ids = items.map((item) => item.id);
		const from = ids.indexOf(id);
		const to = from + by;
		if (to < 0 || to >= ids.length) return;
		ids.splice(to, 0, ...ids.splice(from, 1));
		onorder?.(ids);
		await tick();
		root?.querySelector<HTMLElement>(`[data-strand="${id}"]`)?.focus();
	}

	function onkeydown(event: KeyboardEvent, id: string): void {
		const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
		if (by !== undefined && event.altKey) void move(id, by);
		else if (event.key === 'Delete' && items.length > 1) onremove?.(id);
		else if (by !== undefined) {
			const strands = [...root!.querySelectorAll<HTMLElement>('[data-strand]')];
			strands[strands.indexOf(event.currentTarget as HTMLElement) + by]?.focus();
		} else return;
		event.preventDefault();
	}
</script>

{#snippet knot(item: ThreadItem, i: number)}
	{@const arbor = i === 0}
	<span class="figure block h-[1.4em] text-[14px]"></span>
	<span class="-my-1 block"
		><Joint
			kind={arbor ? 'arbor' : item.joint}
			rear={shown[i - 1]?.role ?? item.role}
			front={item.role}
		/></span
	>
	<span
		class="figure mt-4 block text-[12px] whitespace-nowrap text-soft max-sm:invisible {arbor
			? ''
			: '-mx-6 text-center'} {!arbor && shown.length > 3 ? 'max-xl:invisible' : ''}"
		>{arbor ? (arborTurns === 1 ? '1 turn' : `${arborTurns} turns`) : JOINTS[item.joint]}</span
	>
{/snippet}

{#snippet strand(item: ThreadItem)}
	<span class="figure block truncate text-[14px] max-sm:text-[12.5px]">{item.label}</span>
	<Strand role={item.role} sections={item.sections} />
	<span class="figure block truncate text-[14px] font-semibold">{item.length}</span>
{/snippet}

<svelte:window onpointermove={loadDragging} onpointerdown={loadDragging} />

<div
	class="flex items-start"
	role="group"
	aria-label="The thread, from arbor to fly"
	data-thread
	bind:this={root}
>
	<div
		class="flex min-w-0 flex-1 items-start"
		{@attach zone}
		onconsider={(event) => (dragged = event.detail.items)}
		onfinalize={(event) => {
			const order: readonly ThreadItem[] = event.detail.items;
			dragged = undefined;
			onorder?.(order.map(({ id }) => id));
		}}
	>
		{#each shown as item, i (item.id)}
			<div class="flex min-w-0 items-start" style="flex: {GROW[item.role]} 1 {i === 0 ? 56 : 48}px">
				{#if onpick}
					<button
						type="button"
						class="shrink-0 overflow-visible text-left {i === 0 ? 'w-14' : 'w-12 max-sm:w-9'}"
						aria-label={i === 0 ? 'Edit the arbor knot' : `Edit the joint under the ${item.label}`}
						onclick={() => onpick(i === 0 ? 'arbor' : item.id, true)}>{@render knot(item, i)}</button
					>
					<button
						type="button"
						class="min-w-0 flex-1 rounded-sm text-left hover:bg-paper {selected === item.id
							? 'bg-paper'
							: ''}"
						aria-label="Edit the {item.label}"
						aria-pressed={selected === item.id}
						data-strand={item.id}
						onclick={() => onpick(item.id)}
						onkeydown={(event) => onkeydown(event, item.id)}>{@render strand(item)}</button
					>
				{:else}
					<div class="shrink-0 {i === 0 ? 'w-14' : 'w-12'}">{@render knot(item, i)}</div>
					<div class="min-w-0 flex-1">{@render strand(item)}</div>
				{/if}
			</div>
		{/each}
	</div>
	<svelte:element
		this={onpick ? 'button' : 'div'}
		type={onpick ? 'button' : undefined}
		role={onpick ? 'button' : undefined}
		class="w-16 shrink-0 rounded-sm text-left sm:w-24"
		aria-label={onpick ? 'Edit the leader' : undefined}
		onclick={() => onpick?.('leader')}
	>
		<span class="figure block truncate text-[14px] max-sm:text-[12.5px]">Leader</span>
		<Strand role="leader" />
		<span class="figure block truncate text-[14px] font-semibold">{leader}</span>
	</svelte:element>
	<svg
		viewBox="0 0 22 34"
		class="mt-[1.1em] block h-8 w-5 shrink-0"
		fill="none"
		stroke="var(--ink)"
		stroke-width="1.6"
		aria-hidden="true"
	>
		<path d="M0 10h7c12 0 12 18 4 18c-5 0 -6 -4 -5 -8l3 3" />
	</svg>
</div>
