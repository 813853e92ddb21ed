<script lang="ts">
	import LabelPage from '$lib/ui/features/paper/LabelPage.svelte';

	let { data } = $props();
</script>

<LabelPage
	name={data.label.name}
	leads="its life under Care"
	labels={[data]}
	loopback={data.loopback}
	leader={false}
/>
