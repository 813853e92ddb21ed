<script lang="ts">
	import { STRAND_KINDS, ROLE_NAMES } from '$lib/core';
	import type { CareFilter } from '$lib/inventory/care-rows';
	import Field from '../../primitives/Field.svelte';
	import Select from '../../primitives/Select.svelte';

	/** Which things are shown. */
	let { filter, onchange }: { filter: CareFilter; onchange: (part: Partial<CareFilter>) => void } = $props();
	const KINDS = [
		{ value: 'all' as const, label: 'everything' },
		...STRAND_KINDS.map((value) => ({ value, label: ROLE_NAMES[value] }))
	];
	const WHERES = [
		{ value: 'kept', label: 'in use or on a coil' },
		{ value: 'spool', label: 'on a spool' },
		{ value: 'coil', label: 'on a coil' },
		{ value: 'retired', label: 'retired' },
		{ value: 'all', label: 'anywhere' }
	] as const;
	/** A name is looked for once typing rests, ms. */
	const REST_MS = 250;
	let resting: ReturnType<typeof setTimeout> | undefined;
	let typed = $state<string>();
	function look(text: string): void {
		typed = text;
		clearTimeout(resting);
		resting = setTimeout(() => onchange({ sought: text }), REST_MS);
	}
</script>

<search class="grid grid-cols-2 items-end gap-x-5 gap-y-2 sm:flex sm:flex-wrap">
	<div class="sm:w-48">
		<Field label="Look for" value={typed ?? filter.sought} placeholder="name or place" oninput={look} />
	</div>
	<div class="sm:w-36">
		<Select label="What" options={KINDS} value={filter.kind} onchange={(kind) => onchange({ kind })} />
	</div>
	<div class="sm:w-40">
		<Select label="Where" options={WHERES} value={filter.where} onchange={(where) => onchange({ where })} />
	</div>
	<label class="flex min-h-10 items-center gap-2 text-[15px]">
		<input
			type="checkbox"
			class="size-4 accent-ink"
			checked={filter.due}
			onchange={({ currentTarget }) => onchange({ due: currentTarget.checked })}
		/>
		only what is due
	</label>
</search>
