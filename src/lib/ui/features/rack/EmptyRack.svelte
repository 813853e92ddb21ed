<script lang="ts">
	const LESSONS = [
		[
			'Say which reel it is',
			'The figure on its box is enough: a line and so many yards of backing. Measure the spool for a closer answer.'
		],
		[
			'Read when to stop',
			'Wendle tells you the depth to stop at, how much backing to buy, the turns and the gap, each with its uncertainty.'
		],
		[
			'Wind it, step by step',
			'Tick off the steps and save how it turned out. The spool then shows here with what is on it.'
		]
	] as const;
</script>

<div class="grid gap-10 py-10 lg:grid-cols-[1fr_1.4fr]">
	<div>
		<p class="figure max-w-[16ch] text-[40px] leading-[1.05] font-bold tracking-tight">Your rack is empty.</p>
		<a href="/fit/new" class="mt-6 action"
			>Set up the first spool<kbd class="text-[13px] font-normal opacity-70">N</kbd></a
		>
	</div>
	<ol class="border-t-[3px] border-ink">
		{#each LESSONS as [title, text], i (title)}
			<li class="grid grid-cols-[2.5rem_1fr] border-b border-hair py-4">
				<span class="figure text-[26px] leading-none font-bold">{i + 1}</span>
				<span
					><span class="figure block text-[18px] font-semibold">{title}</span><span class="text-soft"
						>{text}</span
					></span
				>
			</li>
		{/each}
	</ol>
</div>
