<script lang="ts">
	import { parseLength, waysOut, withUnit, type CareEvent, type Kept } from '$lib/core';
	import { longUnit } from '$lib/schema/units';
	import Field from '../../primitives/Field.svelte';
	import Select from '../../primitives/Select.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import { eventText } from './words';

	/** Everything else that can be written down of a thing, and what was, each to be taken back. */
	interface Props {
		kept: Kept;
		/** What counts, oldest first. */
		events: readonly CareEvent[];
		write: (event: Record<string, unknown>, said: string) => Promise<void>;
	}
	let { kept, events, write }: Props = $props();
	const preferences = usePreferences();
	const unit = $derived(longUnit(preferences.units));

	type What =
		'loop-test' | 'let-out' | 'shortened' | 'coil' | 'retired' | 'dressed' | 'turned' | 'loop-rebuilt';
	const WHAT = $derived(
		(
			[
				{ value: 'loop-test', label: 'loop test', of: kept.kind !== 'backing' },
				{ value: 'let-out', label: 'twist got out', of: kept.kind !== 'backing' },
				{ value: 'dressed', label: 'dressed', of: kept.kind !== 'backing' },
				{ value: 'turned', label: 'turned end for end', of: kept.doubleTaper || kept.kind === 'backing' },
				{ value: 'loop-rebuilt', label: 'front loop rebuilt', of: kept.kind !== 'backing' },
				{ value: 'shortened', label: 'shortened', of: true },
				{ value: 'coil', label: 'put on a coil', of: true },
				{ value: 'retired', label: 'retired', of: true }
			] as const
		).filter(({ of }) => of)
	);
	let picked = $state<What>();
	const what = $derived(picked ?? WHAT[0]!.value);
	let length = $state('');
	let spins = $state(0);
	let hand = $state<'right' | 'left'>('right');
	let label = $state('');
	/** Every way to get twist out, wherever it was done. */
	const ways = $derived(
		waysOut({
			lengthMm: kept.lengthMm,
			laneMm: Infinity,
			has: ['current', 'height', 'swivel'],
			heightMm: kept.lengthMm,
			weakestLb: 20,
			turns: 0
		})
	);
	let wayKey = $state<string>();
	const way = $derived(ways.find(({ key }) => key === wayKey) ?? ways[0]!);

	/** Asked for a length: what is wrong with it, or how much it is. */
	const asksLength = $derived(what === 'loop-test' || what === 'shortened');
	const read = $derived(parseLength(length, unit));
	const [least, most] = $derived(what === 'loop-test' ? [200, 20_000] : [1, kept.lengthMm]);
	const lengthMm = $derived(read.ok && read.value >= least && read.value <= most ? read.value : undefined);
	const ready = $derived((!asksLength || lengthMm !== undefined) && (what !== 'coil' || label.trim() !== ''));

	function event(): Record<string, unknown> {
		switch (what) {
			case 'loop-test':
				return { kind: what, bightMm: lengthMm, spins: hand === 'right' ? spins : -spins };
			case 'let-out':
				return { kind: what, share: way.share, shareSd: way.shareSd };
			case 'shortened':
				return { kind: what, byMm: lengthMm };
			case 'coil':
				return { kind: 'moved', to: { on: 'coil', label: label.trim() } };
			case 'retired':
				return { kind: 'moved', to: { on: 'retired' } };
			default:
				return { kind: what };
		}
	}
	async function submit(): Promise<void> {
		if (!ready) return;
		await write(event(), `${kept.label}: written down.`);
		[length, label, spins] = ['', '', 0];
	}
</script>

<details class="mt-1 text-[15px]" data-other>
	<summary class="cursor-pointer text-soft">Write something else down, or take it back</summary>
	<form
		class="mt-2 flex flex-wrap items-end gap-x-5 gap-y-3"
		onsubmit={(submitted) => {
			submitted.preventDefault();
			void submit();
		}}
	>
		<div class="w-48">
			<Select label="What happened" options={WHAT} value={what} onchange={(value) => (picked = value)} />
		</div>
		{#if asksLength}
			<div class="w-44">
				<Field
					label={what === 'loop-test' ? 'Line in the bight, both legs' : 'By how much'}
					value={length}
					error={length !== '' && lengthMm === undefined ? `Give a length, like 2 ${unit}.` : undefined}
					oninput={(text) => (length = text)}
					oncommit={(text) => (length = withUnit(text, unit))}
				/>
			</div>
		{/if}
		{#if what === 'loop-test'}
			<label class="w-24">
				<span class="block text-[13px] text-soft">It spins</span>
				<input
					type="number"
					min="0"
					max="50"
					step="0.5"
					required
					bind:value={spins}
					class="figure w-full border-b-[1.5px] border-ink bg-transparent py-1 text-[16px]"
				/>
			</label>
			<div class="w-36">
				<Select
					label="Like a screw that is"
					options={[
						{ value: 'right', label: 'right-handed' },
						{ value: 'left', label: 'left-handed' }
					]}
					value={hand}
					onchange={(value) => (hand = value)}
				/>
			</div>
		{/if}
		{#if what === 'let-out'}
			<div class="w-56">
				<Select
					label="How"
					options={ways.map(({ key, name }) => ({ value: key, label: name }))}
					value={way.key}
					onchange={(key) => (wayKey = key)}
				/>
			</div>
		{/if}
		{#if what === 'coil'}
			<div class="w-52">
				<Field
					label="What is written on it"
					value={label}
					maxlength={80}
					oninput={(text) => (label = text)}
				/>
			</div>
		{/if}
		<button type="submit" class="action-quiet min-h-10" disabled={!ready}>Write it down</button>
	</form>
	<ol class="mt-3" aria-label="What happened to it">
		{#each events.toReversed() as one (one.id)}
			<li class="flex items-center gap-3 border-t border-hair py-1">
				<span class="min-w-0 flex-1">{eventText(one, preferences.units)}</span>
				<!-- What a winding says is put right by putting the winding right. -->
				{#if !/:(came|on|off|respooled)$/.test(one.id)}
					<button
						type="button"
						class="min-h-9 px-2 underline"
						aria-label="Take back: {eventText(one, preferences.units)}"
						onclick={() => void write({ kind: 'undone', of: one.id }, 'Taken back.')}>Take back</button
					>
				{/if}
			</li>
		{/each}
	</ol>
</details>
