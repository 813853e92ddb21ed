<script lang="ts" module>
	import type { Goes, SwapChoice } from '$lib/inventory/swap';

	/** Something that was chosen to go on. */
	export interface Going {
		/** The very strand, where it was wound before. */
		readonly keptId?: string;
		readonly label: string;
		readonly where: string;
		readonly component: Goes;
	}
</script>

<script lang="ts">
	import { ROLE_NAMES, type Role } from '$lib/core';
	import { newComponent } from '$lib/setup/presets';
	import { roleName } from '$lib/wording/strands';
	import { showSmall } from '$lib/wording/units';
	import Field from '../../primitives/Field.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import { componentOf, newStrand, strandLabel } from '../fit/strand-text';
	import StrandFields from '../fit/StrandFields.svelte';

	/** What could go on, each with the gap it would leave; or something that is new. */
	interface Props {
		choice: SwapChoice;
		/** What is like what comes off stands first. */
		like: Role | undefined;
		/** What it would go over. */
		under: Role | undefined;
		/** What is chosen already. */
		taken: readonly string[];
		gapWith: (going: Going) => { gapMm: number; fits: boolean } | undefined;
		onadd: (going: Going) => void;
	}
	let { choice, like, under, taken, gapWith, onadd }: Props = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);

	/** What was wound before, and what Fit was told goes on here as well. */
	const described = $derived(
		choice.now.record.form.fill.swaps.map((swap, i): Going => {
			const role = choice.now.record.form.fill.stack.find(({ id }) => id === swap.of)?.role ?? 'line';
			return {
				label: swap.note || `${roleName(role)} ${i + 1} from Fit`,
				where: 'described in Fit, not wound yet',
				component: { ...newComponent(role, role, swap.made), length: swap.length, note: swap.note }
			};
		})
	);
	const all = $derived(
		[
			...choice.candidates.map(({ keptId, label, where, from, component }): Going => ({
				keptId,
				label,
				where: from === 'coil' ? `on a coil: ${where}` : `on ${where}`,
				component
			})),
			...described
		].sort((a, b) => Number(b.component.role === like) - Number(a.component.role === like))
	);
	/** A head belongs over a running line: straight on the backing it is offered only to whoever asks for it. */
	let anyway = $state(false);
	const bare = $derived(under === 'backing' || under === 'bed');
	const isHead = ({ component: { role } }: Going): boolean => role === 'head' || role === 'tip';
	const hidden = $derived(bare && !anyway ? all.filter(isHead).length : 0);
	let sought = $state('');
	const shown = $derived(
		all
			.filter((going) => hidden === 0 || !isHead(going))
			.filter(({ keptId }) => keptId === undefined || !taken.includes(keptId))
			.filter(({ label, where }) => `${label} ${where}`.toLowerCase().includes(sought.trim().toLowerCase()))
	);
	/** More than this are looked through by name. */
	const MANY = 8;

	let text = $state.raw(newStrand('line'));
	const fresh = $derived<Going>({
		label: strandLabel(text),
		where: 'new',
		component: componentOf(text, units)
	});
	const freshGap = $derived(gapWith(fresh));
</script>

{#snippet gapOf(gap: ReturnType<typeof gapWith>)}
	<span class="figure text-[20px] font-bold whitespace-nowrap {gap?.fits ? '' : 'text-warn'}" data-gap
		>{gap ? showSmall(gap.gapMm, units) : '–'}</span
	>
	{#if gap && !gap.fits}<span class="block text-[13px] text-warn">is too high</span>{/if}
{/snippet}

{#if all.length > MANY}
	<div class="mt-2 max-w-xs">
		<Field label="Look for" value={sought} oninput={(value) => (sought = value)} />
	</div>
{/if}
{#if shown.length > 0}
	<div class="overflow-x-auto">
		<table class="mt-3 w-full text-[16px]">
			<thead>
				<tr class="text-left text-[13px] text-soft">
					<th class="font-normal" scope="col">what</th>
					<th class="px-3 font-normal max-sm:hidden" scope="col">where it is</th>
					<th class="px-3 font-normal" scope="col">gap with it on</th>
					<th><span class="sr-only">Choose</span></th>
				</tr>
			</thead>
			<tbody>
				{#each shown as going (going.keptId ?? going.label)}
					<tr class="border-t border-hair" data-candidate={going.label}>
						<th class="py-2 text-left font-semibold" scope="row"
							>{going.label}
							<span class="font-normal text-soft">{ROLE_NAMES[going.component.role]}</span><span
								class="block text-[14px] font-normal sm:hidden">{going.where}</span
							></th
						>
						<td class="px-3 max-sm:hidden">{going.where}</td>
						<td class="px-3">{@render gapOf(gapWith(going))}</td>
						<td class="text-right">
							<button
								type="button"
								class="action-quiet min-h-9 whitespace-nowrap"
								aria-label="Put on {going.label}"
								onclick={() => onadd(going)}>Put on</button
							>
						</td>
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
{:else if all.length === 0}
	<p class="mt-2 max-w-[60ch] text-[16px]">
		Nothing is on a coil, or outermost on another reel. You can put something new on. If you have had the line
		for a while, <a class="underline" href="/care?add=1">add it in Care</a> first.
	</p>
{/if}
{#if bare && all.some(isHead)}
	<label class="mt-3 flex min-h-8 cursor-pointer items-center gap-2 text-[15px]">
		<input type="checkbox" bind:checked={anyway} class="size-4 accent-current" />
		Show heads and tips too, although there is no running line under them
	</label>
{/if}
<form
	class="mt-5 grid max-w-2xl gap-x-5 gap-y-3 sm:grid-cols-[9rem_1fr]"
	aria-label="Something new"
	onsubmit={(event) => {
		event.preventDefault();
		onadd(fresh);
		text = { ...text, called: '' };
	}}
>
	<StrandFields label="Something new" value={text} onchange={(changed) => (text = changed)} />
	<p class="flex items-center gap-4 sm:col-start-2">
		<span>{@render gapOf(freshGap)}</span>
		<button type="submit" class="action-quiet min-h-10 whitespace-nowrap" disabled={!freshGap}
			>Put it on</button
		>
	</p>
</form>
