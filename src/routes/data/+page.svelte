<script lang="ts">
	import ArchiveSection from '$lib/ui/features/data/ArchiveSection.svelte';
	import BackupList from '$lib/ui/features/data/BackupList.svelte';
	import OpenSent from '$lib/ui/features/data/OpenSent.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Your data · Wendle</title></svelte:head>

<div class="mx-auto max-w-[1100px] px-4 pb-12 sm:px-8">
	<h1 class="pt-5 text-[26px] leading-tight font-bold tracking-tight">Your data</h1>
	<p class="mt-1 max-w-[64ch]">
		Everything you tell Wendle is in one file on the computer that runs it. It belongs to you, and nothing is
		sent anywhere.
	</p>
	<BackupList backups={data.backups} />
	<ArchiveSection />
	<OpenSent />
</div>
