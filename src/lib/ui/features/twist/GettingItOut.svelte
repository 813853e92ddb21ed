<script lang="ts">
	import { CAUTIONS, formatNumber, untwistTechniques, type UntwistTechnique } from '$lib/core';
	import type { TwistQuestion } from '$lib/ui/state/twist-question';
	import { showLong } from '$lib/wording/units';
	import TriangleAlert from '@lucide/svelte/icons/triangle-alert';
	import { usePreferences } from '../../state/preferences.svelte';
	import PhoneFold from '../../primitives/PhoneFold.svelte';
	import NumberField from '../../primitives/NumberField.svelte';
	import LengthInput from './LengthInput.svelte';

	/** Getting twist out of this line, in this place. */
	interface Props {
		question: TwistQuestion;
		turns: number;
		/** The set-up and part under which this very line lies on a spool. */
		wound: { readonly setupId: string; readonly part: string } | undefined;
		/** It is a line of yours that lies on no reel. */
		coiled: boolean;
		onchange: (part: Partial<TwistQuestion>) => void;
	}
	let { question, turns, wound, coiled, onchange }: Props = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const ways = $derived(untwistTechniques({ ...question, turns }));
	const can = $derived(ways.filter(({ lacks }) => lacks === undefined));
	const cannot = $derived(ways.filter(({ lacks }) => lacks !== undefined));
	const [best, ...others] = $derived(can);
	const HAS = [
		['current', 'moving water'],
		['height', 'a high place'],
		['swivel', 'a swivel']
	] as const;
	const percent = ({ share }: UntwistTechnique): string => `${Math.round(100 * share)} %`;
</script>

<section aria-labelledby="get-out" class="mt-6 border-t-2 border-ink pt-3 sm:mt-10" data-get-out>
	<PhoneFold id="get-out" title="Take the twist out" open={wound !== undefined || coiled}
		><div class="mt-2 grid gap-x-10 gap-y-5 lg:grid-cols-[19rem_minmax(0,1fr)]">
			<div class="space-y-3">
				<LengthInput
					label="Longest straight, empty stretch"
					valueMm={question.laneMm}
					leastMm={0}
					onchange={(laneMm) => onchange({ laneMm })}
				/>
				<NumberField
					label="Weakest part that is pulled, lb"
					value={question.weakestLb}
					min={1}
					max={200}
					onchange={(weakestLb) => onchange({ weakestLb: weakestLb ?? question.weakestLb })}
				/>
				<fieldset>
					<legend class="text-[13px] text-soft">There is also</legend>
					{#each HAS as [thing, label] (thing)}
						<label class="flex min-h-8 items-center gap-2 text-[15px]">
							<input
								type="checkbox"
								class="size-4 accent-ink"
								checked={question.has.includes(thing)}
								onchange={({ currentTarget }) =>
									onchange({
										has: currentTarget.checked
											? [...question.has, thing]
											: question.has.filter((one) => one !== thing)
									})}
							/>
							{label}
						</label>
					{/each}
				</fieldset>
				{#if question.has.includes('height')}
					<LengthInput
						label="How high"
						valueMm={question.heightMm}
						leastMm={0}
						onchange={(heightMm) => onchange({ heightMm })}
					/>
				{/if}
			</div>
			<div>
				{#if best}
					<h3 class="text-[24px] leading-tight font-bold tracking-tight">
						<span class="px-1 marked" data-best-way={best.key}>{best.name}</span>
					</h3>
					<p class="figure mt-1 text-[16px]">
						about {Math.round(best.minutes)} min, about {percent(best)} of it goes{#if best.passes}, in {best.passes ===
							1
								? 'one pass'
								: `${best.passes} passes`}, {showLong(best.laneMm!, units)} of lane{best.passes === 1
								? ''
								: ' each'}{/if}{#if best.pullLb}, a steady pull of {formatNumber(best.pullLb, 1)} lb{/if}
					</p>
					<ol class="mt-3 max-w-[62ch] list-decimal space-y-1.5 pl-5 text-[17px]">
						{#each best.steps as step (step)}<li>{step}</li>{/each}
					</ol>
					{#if wound && best.key === 'stretch-and-walk'}
						<a
							class="mt-3 action"
							href="/bench/{wound.setupId}?job=untwist.{encodeURIComponent(wound.part)}.{Math.round(
								question.laneMm
							)}">Take it to the bench</a
						>
					{:else if coiled}
						<p class="mt-3 max-w-[60ch] border-l-[3px] border-line pl-3 text-[16px]">
							It isn't on a reel now. Do this when it next goes on one, or lay it out from its coil.
						</p>
					{/if}
					{#each best.cautions as caution (caution)}
						<p class="mt-2 flex max-w-[62ch] gap-2 text-[16px]">
							<TriangleAlert size={18} class="mt-0.5 shrink-0 text-warn" aria-label="Caution" />{CAUTIONS[
								caution
							]}
						</p>
					{/each}
				{/if}
				{#if others.length > 0}
					<h3 class="mt-5 text-[15px] font-semibold">Other techniques</h3>
					<ul class="text-[15px]">
						{#each others as way (way.key)}
							<li class="border-t border-hair py-1.5">
								<b>{way.name}</b>, about {Math.round(way.minutes)} min, {percent(way)}. {way.steps[0]}
							</li>
						{/each}
					</ul>
				{/if}
				{#if cannot.length > 0}
					<h3 class="mt-5 text-[15px] font-semibold">Not here</h3>
					<ul class="text-[15px]" data-not-here>
						{#each cannot as way (way.key)}
							<li class="border-t border-hair py-1.5">
								{way.name}. <span class="text-soft">{way.lacks}</span>
							</li>
						{/each}
					</ul>
				{/if}
				<p class="mt-3 text-[13.5px] text-soft">
					This is common practice. How much goes and how long it takes are assumptions. Local rules say where
					you may do this.
				</p>
			</div>
		</div></PhoneFold
	>
</section>
