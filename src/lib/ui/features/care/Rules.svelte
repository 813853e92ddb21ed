<script lang="ts">
	import {
		JOB_NAMES,
		STRAND_KINDS,
		keys,
		ROLE_NAMES,
		type CareJob,
		type CareRule,
		type StrandKind
	} from '$lib/core';
	import X from '@lucide/svelte/icons/x';
	import NumberField from '../../primitives/NumberField.svelte';
	import NumberInput from '../../primitives/NumberInput.svelte';
	import Select from '../../primitives/Select.svelte';
	import { type Reply, troubleOf } from '../../state/api';
	import { currentRules } from '../../state/answers';
	import { staleAnswer, Write } from '../../state/write';
	import { tellChange } from '../../state/undo.svelte';
	import { notify } from '../../state/notices.svelte';
	import { mergedRules } from './merged-rules';
	import { refreshAll } from '../../state/refresh';

	/** What falls due, and when: anyone's to edit. An empty field does not count. */
	interface Props {
		rules: readonly CareRule[];
		usual: boolean;
		/** The version that is shown: changes are saved over that one. */
		version: number;
	}
	let { rules, usual, version }: Props = $props();

	const write = new Write();
	const JOB_OPTIONS = keys(JOB_NAMES).map((value) => ({
		value,
		label: JOB_NAMES[value]
	}));
	const KIND_OPTIONS = STRAND_KINDS.map((value) => ({ value, label: ROLE_NAMES[value] }));
	let job = $state<CareJob>('clean');
	let kind = $state<StrandKind>('line');
	let everyDays = $state(365);

	const FIELDS = [
		{ key: 'everyDays', label: 'days', least: 1, most: 10_000, step: 1 },
		{ key: 'everyDaysOut', label: 'days out', least: 1, most: 1000, step: 1 },
		{ key: 'saltCounts', label: 'a day in salt water counts as', least: 0, most: 100, step: 0.5 },
		{ key: 'freshCounts', label: 'in fresh', least: 0, most: 100, step: 0.5 },
		{ key: 'fromTwistPerMetre', label: 'turns a metre', least: 0.1, most: 50, step: 0.1 },
		{ key: 'paceCounts', label: 'fished seldom or often, times', least: 1, most: 5, step: 0.1 },
		{ key: 'everyWettings', label: 'times wet', least: 1, most: 1000, step: 1 }
	] as const;
	type Field = (typeof FIELDS)[number]['key'];

	/** Rules, or none for the usual ones; `over` is the version that was seen. */
	const put = (changed: readonly CareRule[] | undefined, over: number): Promise<Reply<unknown>> =>
		changed
			? write.send('PUT', '/api/care/rules', { rules: changed, version: over })
			: write.send('DELETE', `/api/care/rules?version=${over}`);

	async function save(
		changed: readonly CareRule[] | undefined,
		said = 'The rules are saved.'
	): Promise<void> {
		// What they were, to be restored.
		const [before, wereUsual] = [rules, usual];
		let reply = await put(changed, version);
		const theirs = await staleAnswer(reply, currentRules);
		if (theirs && changed) {
			const merged = mergedRules(before, changed, theirs.rules as CareRule[]);
			if (merged.clash !== undefined) {
				await refreshAll();
				return notify(`Another window changed the rules as well. ${merged.clash}`, {
					action: { label: "Use this window's", onClick: () => void save(merged.rules, said) }
				});
			}
			reply = await put(merged.rules, theirs.version);
		}
		// What was refused is shown as it was before.
		await refreshAll();
		const trouble = troubleOf(reply, 'The rules are as they were');
		if (trouble !== undefined) await notify(trouble);
		else
			await tellChange({
				said,
				undo: () => put(wereUsual ? undefined : before, version),
				stays: 'The rules are as you changed them',
				refresh: refreshAll
			});
	}
	function change(at: number, key: Field, value: number | undefined): Promise<void> {
		const changed = rules.map((rule, i): CareRule => {
			if (i !== at) return rule;
			const { [key]: _, ...rest } = rule;
			return value === undefined ? rest : { ...rest, [key]: value };
		});
		return save(changed);
	}
	function changeAtLine(at: number, yes: boolean): Promise<void> {
		const changed = rules.map((rule, i): CareRule => {
			if (i !== at) return rule;
			const { atLineChange: _, ...rest } = rule;
			return yes ? { ...rest, atLineChange: true } : rest;
		});
		return save(changed);
	}
</script>

<details class="mt-5 border-t-2 border-ink pt-3 sm:mt-10" data-rules>
	<summary class="cursor-pointer text-[19px] font-semibold">What falls due, and when</summary>
	<p class="mt-1 max-w-[64ch] text-[15px] text-soft">
		A job falls due after so many days, after so many days of fishing, or from so much twist, whichever comes
		first. Leave a field blank if it doesn't matter. What you fish seldom has that many times as long, and
		what you fish a lot has that many times less. {usual ? 'These rules are common practice.' : ''}
	</p>
	<div class="overflow-x-auto">
		<table class="figure mt-3 text-[15px]">
			<thead>
				<tr class="text-left text-soft">
					<th class="pr-6 font-normal" scope="col">what</th>
					<th class="pr-6 font-normal" scope="col">of</th>
					{#each FIELDS as { key, label } (key)}<th class="pr-4 font-normal" scope="col">{label}</th>{/each}
					<th class="pr-4 font-normal" scope="col">at a change of line</th>
					<th scope="col"><span class="sr-only">Leave out</span></th>
				</tr>
			</thead>
			<tbody>
				{#each rules as rule, i (i)}
					<tr class="border-t border-hair">
						<th class="py-1.5 pr-6 text-left font-semibold" scope="row">{JOB_NAMES[rule.job]}</th>
						<td class="pr-6">{rule.kinds.map((kind) => ROLE_NAMES[kind]).join(', ')}</td>
						{#each FIELDS as { key, label, least, most, step } (key)}
							<td class="pr-4">
								<NumberInput
									min={least}
									max={most}
									{step}
									value={rule[key]}
									empty
									late
									aria-label="{JOB_NAMES[rule.job]}: {label}"
									class="w-20 border-b-[1.5px] border-ink bg-transparent py-0.5 text-[16px]"
									onchange={(typed) => change(i, key, typed)}
								/>
							</td>
						{/each}
						<td>
							<input
								type="checkbox"
								class="size-4 accent-ink"
								checked={rule.atLineChange ?? false}
								aria-label="{JOB_NAMES[rule.job]}: at a change of line"
								onchange={({ currentTarget }) => void changeAtLine(i, currentTarget.checked)}
							/>
						</td>
						<td>
							<button
								type="button"
								class="grid size-8 place-items-center text-soft hover:text-ink"
								aria-label="Leave out: {JOB_NAMES[rule.job]}, {rule.kinds
									.map((kind) => ROLE_NAMES[kind])
									.join(', ')}"
								onclick={() => void save(rules.toSpliced(i, 1), 'Rule removed.')}><X size={15} /></button
							>
						</td>
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
	<form
		class="mt-4 flex flex-wrap items-end gap-x-5 gap-y-3"
		aria-label="Another rule"
		onsubmit={(event) => {
			event.preventDefault();
			void save([...rules, { job, kinds: [kind], everyDays }], 'Rule added.');
		}}
	>
		<div class="w-56">
			<Select label="Another rule" options={JOB_OPTIONS} value={job} onchange={(value) => (job = value)} />
		</div>
		<div class="w-36">
			<Select label="Of" options={KIND_OPTIONS} value={kind} onchange={(value) => (kind = value)} />
		</div>
		<div class="w-28">
			<NumberField
				label="Every so many days"
				value={everyDays}
				min={1}
				max={10_000}
				onchange={(value) => (everyDays = value ?? 365)}
			/>
		</div>
		<button type="submit" class="action-quiet min-h-10">Add it</button>
	</form>
	{#if !usual}
		<button type="button" class="mt-3 action-quiet min-h-10" onclick={() => void save(undefined)}
			>Restore defaults</button
		>
	{/if}
</details>
