<script lang="ts">
	import { formatLineClass, parseLineClass, type LineClass } from '$lib/core';
	import { wordIssue } from '$lib/wording/issues';
	import Field from '../../primitives/Field.svelte';
	import LineClassFields from './LineClassFields.svelte';
	import MoreButton from './MoreButton.svelte';

	/** A line as its box prints it, WF6F, in a sentence. What is left out of it stays as it was, and shows. */
	interface Props {
		label: string;
		value: LineClass;
		onchange: (value: LineClass) => void;
		/** Its details are shown elsewhere, so there is no button for them here. */
		bare?: boolean;
	}
	let { label, value, onchange, bare = false }: Props = $props();
	let typed = $state<string>();
	/** Taper, class and density stand below, each by its name. */
	let named = $state(false);

	const read = $derived(parseLineClass(typed ?? formatLineClass(value), value));

	function oninput(text: string): void {
		typed = text;
		const now = parseLineClass(text, value);
		if (now.ok) onchange(now.value);
	}
</script>

<Field
	inline
	{label}
	value={typed ?? formatLineClass(value)}
	error={read.ok ? undefined : wordIssue(read.issues[0]!).message}
	{oninput}
	oncommit={() => read.ok && (typed = undefined)}
/>{#if !bare}<MoreButton label="Taper, class and density: {label.toLowerCase()}" bind:open={named} />{/if}
{#if named}
	<div class="my-1 border-l-2 border-hair pl-3 text-[15px] leading-snug">
		<LineClassFields {value} onchange={(chosen) => ((typed = undefined), onchange(chosen))} />
	</div>
{/if}
