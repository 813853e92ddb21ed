<script lang="ts">
	import type { KnotSituation } from '$lib/core';
	import { situationQuery } from '$lib/ui/state/knot-question';
	import { UrlState } from '../../state/url-state.svelte';
	import KnotAnswers from './KnotAnswers.svelte';
	import KnotQuestion from './KnotQuestion.svelte';

	/** Which knot for a place: what is there, what is wanted; and what follows, with its reasons. */
	let { situation: given }: { situation: KnotSituation } = $props();
	const asked = new UrlState<KnotSituation>(
		() => given,
		(changed) => `?${situationQuery(changed)}`
	);
</script>

<section
	aria-labelledby="which-knot"
	class="grid gap-x-10 gap-y-6 border-t-2 border-ink pt-3 lg:grid-cols-[19rem_minmax(0,1fr)]"
	data-chooser
>
	<KnotQuestion situation={asked.now} onchange={(part) => void asked.change(part)} />
	<KnotAnswers situation={asked.now} />
</section>
