<script lang="ts">
	import AddressSection from '$lib/ui/features/data/AddressSection.svelte';
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
	<AddressSection address={data.address} />
	<OpenSent />
	<section aria-labelledby="access-title" class="mt-9">
		<h2 id="access-title" class="text-[19px] font-semibold">Who may come in</h2>
		<p class="mt-1 max-w-[64ch]">
			Let phones and other computers on your network in, each with a passcode that says what they may do.
		</p>
		<p class="mt-3"><a class="action-quiet min-h-11" href="/access">Passcodes and devices</a></p>
	</section>
	<section aria-labelledby="list-title" class="mt-9">
		<h2 id="list-title" class="text-[19px] font-semibold">Bring in a list of reels or lines</h2>
		<p class="mt-1 max-w-[64ch]">
			Do you keep a list in a spreadsheet? Save it as CSV: Wendle shows what it makes of it before anything is
			written.
		</p>
		<p class="mt-3"><a class="action-quiet min-h-11" href="/data/list">Bring in a list</a></p>
	</section>
	<section aria-labelledby="people-title" class="mt-9">
		<h2 id="people-title" class="text-[19px] font-semibold">People</h2>
		<p class="mt-1 max-w-[64ch]">
			Windings and orders can have names on them. See what is kept about whom, give it to them, or delete it.
		</p>
		<p class="mt-3"><a class="action-quiet min-h-11" href="/data/people">See whose names are kept</a></p>
	</section>
	<section aria-labelledby="orders-title" class="mt-9">
		<h2 id="orders-title" class="text-[19px] font-semibold">Do you wind for other people?</h2>
		<p class="mt-1 max-w-[64ch]">
			A shop, a lending room or a guide can take in orders. Once there is one, <em>Orders</em> stands at the head
			of every page.
		</p>
		<p class="mt-3"><a class="action-quiet min-h-11" href="/orders/new">Take in an order</a></p>
		<p class="mt-4 max-w-[64ch]">
			Do you cut backing from bulk spools? Wendle tells you what is left on each, and takes off what you wind.
			Once there is one, <em>Stock</em> stands at the head of every page as well.
		</p>
		<p class="mt-3"><a class="action-quiet min-h-11" href="/stock/new">Add to the stock</a></p>
	</section>
</div>
