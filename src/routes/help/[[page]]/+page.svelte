<script lang="ts">
	let { data } = $props();
</script>

<svelte:head><title>{data.page.title} · Help · Wendle</title></svelte:head>

<div class="mx-auto grid max-w-[1100px] gap-x-12 px-4 pb-12 sm:px-8 lg:grid-cols-[260px_minmax(0,1fr)]">
	<nav aria-label="Pages of Help" class="pt-5 max-lg:border-b max-lg:border-hair max-lg:pb-3">
		<p class="text-[20px] font-bold tracking-tight">Help</p>
		<ul class="mt-1">
			{#each data.pages as { slug, title } (slug)}
				<li>
					<a
						href="/help/{slug}"
						aria-current={slug === data.page.slug ? 'page' : undefined}
						class="block py-1 text-[15px] {slug === data.page.slug ? 'font-semibold' : 'underline'}"
						>{title}</a
					>
				</li>
			{/each}
		</ul>
	</nav>
	<article class="guide min-w-0 pt-5">
		<!-- The team's own Markdown, rendered on the server. -->
		<!-- eslint-disable-next-line svelte/no-at-html-tags -->
		{@html data.page.html}
	</article>
</div>

<style>
	.guide :global(h1) {
		font-size: 28px;
		font-weight: 700;
		line-height: 1.15;
		letter-spacing: -0.01em;
	}
	.guide :global(p),
	.guide :global(li),
	.guide :global(td) {
		font-size: 17px;
		line-height: 1.5;
		max-width: 66ch;
	}
	.guide :global(p),
	.guide :global(ol),
	.guide :global(ul),
	.guide :global(table) {
		margin-top: 0.8em;
	}
	.guide :global(ol) {
		list-style: decimal;
		padding-left: 1.4em;
	}
	.guide :global(ul) {
		list-style: disc;
		padding-left: 1.4em;
	}
	.guide :global(li) {
		margin-top: 0.35em;
	}
	.guide :global(code) {
		font-family: inherit;
		font-weight: 600;
	}
	.guide :global(img) {
		max-width: 100%;
		height: auto;
		border: 1px solid var(--hair);
	}
	.guide :global(th) {
		text-align: left;
		font-weight: 600;
		border-bottom: 1px solid var(--ink);
	}
	.guide :global(td) {
		border-bottom: 1px solid var(--hair);
		padding: 0.25em 1em 0.25em 0;
		vertical-align: top;
	}
</style>
