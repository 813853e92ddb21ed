<script lang="ts">
	import type { RackView } from '../../state/rack-query';
	import Field from '../../primitives/Field.svelte';
	import Segmented from '../../primitives/Segmented.svelte';
	import Select from '../../primitives/Select.svelte';

	/** Which spools are shown, and how. */
	interface Props {
		sought: string;
		view: RackView;
		onchange: (part: Partial<RackView>) => void;
		/** Several spools are being chosen. */
		choosing: boolean;
		onchoosing: () => void;
	}
	let { sought = $bindable(), view, onchange, choosing, onchoosing }: Props = $props();
	const SHOWS = [
		{ value: 'all', label: 'all spools' },
		{ value: 'due', label: 'something is due' },
		{ value: 'bench', label: 'on the bench' },
		{ value: 'planned', label: 'planned, not begun' }
	] as const;
	const SORTS = [
		{ value: 'added', label: 'as added' },
		{ value: 'name', label: 'name' },
		{ value: 'wound', label: 'newest winding' },
		{ value: 'due', label: 'most due' }
	] as const;
	const GROUPS = [
		{ value: 'none', label: 'nothing' },
		{ value: 'reel', label: 'reel' },
		{ value: 'who', label: 'who wound it' },
		{ value: 'water', label: 'water it was in' },
		{ value: 'due', label: 'what is due' }
	] as const;
	const LOOKS = [
		{ value: 'pictures', label: 'pictures' },
		{ value: 'lines', label: 'lines' }
	] as const;
</script>

<search class="grid grid-cols-2 items-end gap-x-5 gap-y-2 pb-2 sm:flex sm:flex-wrap" aria-label="The rack">
	<div class="sm:w-52">
		<Field
			label="Look for"
			value={sought}
			placeholder="name, line, who wound it"
			oninput={(text) => (sought = text)}
		/>
	</div>
	<div class="sm:w-44">
		<Select label="Show" options={SHOWS} value={view.show} onchange={(show) => onchange({ show })} />
	</div>
	<div class="sm:w-36">
		<Select label="Sort by" options={SORTS} value={view.sort} onchange={(sort) => onchange({ sort })} />
	</div>
	<div class="sm:w-36">
		<Select label="Group by" options={GROUPS} value={view.group} onchange={(group) => onchange({ group })} />
	</div>
	<div class="max-sm:col-span-2 sm:w-44">
		<Segmented label="Shown as" options={LOOKS} value={view.as} onchange={(as) => onchange({ as })} />
	</div>
	<button type="button" class="action-quiet min-h-10" aria-pressed={choosing} onclick={onchoosing}
		>{choosing ? 'Stop choosing' : 'Choose several'}</button
	>
</search>
