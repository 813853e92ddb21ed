<script lang="ts">
	import { page } from '$app/state';
</script>

<svelte:head><title>{page.status} · Wendle</title></svelte:head>

<div class="mx-auto max-w-[60ch] px-8 py-16">
	<p class="figure text-[64px] leading-none font-bold">{page.status}</p>
	<h1 class="mt-4 text-[22px] font-semibold">{page.error?.message}</h1>
	<p class="mt-6"><a class="action" href="/">To the rack</a></p>
</div>
