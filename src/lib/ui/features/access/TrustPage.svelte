<script lang="ts">
	import { renderSVG } from 'uqr';

	/** How a phone comes to trust this Wendle's own certificate. */
	let { address }: { address: string } = $props();
	const here = $derived(`${address}/trust`);
</script>

<div class="mx-auto grid max-w-[1000px] gap-8 px-4 pt-5 pb-12 sm:px-8 md:grid-cols-[1fr_15rem]">
	<div>
		<h1 class="text-[26px] leading-tight font-bold tracking-tight">Trust this Wendle on a phone</h1>
		<p class="mt-2 max-w-[60ch]">
			Wendle made a certificate for this network alone. A phone that trusts it lets Wendle keep the screen on
			and use the camera, and nobody on the network can read along. Do this once for each phone.
		</p>
		<ol class="mt-5 grid max-w-[60ch] list-decimal gap-3 pl-6">
			<li>
				Open <b class="figure font-semibold break-all">{here}</b> on the phone: point its camera at the code. The
				phone warns you the first time, because it doesn't know the certificate yet. Go on to the page.
			</li>
			<li>
				Press <a class="underline underline-offset-4" href="/authority.crt">Download the certificate</a> and keep
				it.
			</li>
			<li>
				Open the phone's settings and search for <em>certificate</em>. Install the file that you downloaded as
				a certificate of an authority. Some phones ask once more, in another place, whether to trust it fully.
			</li>
			<li>Open Wendle again. The warning is gone.</li>
		</ol>
		<p class="mt-5 max-w-[60ch] text-[14px] text-soft">
			Install it only on your own devices. The certificate can vouch for addresses on this network, and its
			key stays on the computer that runs Wendle. When you no longer use Wendle, remove the certificate in the
			same place.
		</p>
	</div>
	<div
		class="w-[15rem] max-w-full self-start bg-white p-3"
		role="img"
		aria-label="A code that leads to this page"
	>
		<!-- eslint-disable-next-line svelte/no-at-html-tags -- made here, from an address of ours -->
		{@html renderSVG(here, { border: 1 })}
	</div>
</div>
