<script lang="ts">
	import { goto } from '$app/navigation';
	import { pathOfScanned } from '$lib/inventory/scanned';
	import Camera from '@lucide/svelte/icons/camera';
	import { onDestroy } from 'svelte';

	/** Opens what a code on a label, a ticket or a bulk spool leads to, with the camera. */
	let video = $state<HTMLVideoElement>();
	let stream = $state.raw<MediaStream>();
	let trouble = $state<string>();
	/** A picture is looked at so often, ms: a code is held still for longer. */
	const EVERY_MS = 200;
	let next: ReturnType<typeof setTimeout> | undefined;

	function stop(): void {
		clearTimeout(next);
		for (const track of stream?.getTracks() ?? []) track.stop();
		stream = undefined;
	}
	let left = false;
	onDestroy(() => {
		left = true;
		stop();
	});

	async function scan(): Promise<void> {
		trouble = undefined;
		// A browser gives the camera to pages on this computer, or to those that come over https.
		if (!navigator.mediaDevices) {
			trouble =
				'The browser gives this page no camera, since the page does not come over https. Type the short code under the code instead.';
			return;
		}
		try {
			stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } });
			// Somebody who left while the browser asked leaves no camera on.
			if (left) return stop();
		} catch {
			trouble =
				'There is no camera, or the browser was not allowed to use it. Allow it, or type the short code under the code.';
			return;
		}
		const read = await import('./code-reader').then(({ codeReader }) => codeReader()).catch(() => undefined);
		if (!read) {
			stop();
			trouble =
				'What reads the code did not load. Try again in a moment, or type the short code under the code.';
			return;
		}
		const look = async (): Promise<void> => {
			if (!stream) return;
			const text = video && video.readyState >= 2 ? await read(video).catch(() => undefined) : undefined;
			const path = text === undefined ? undefined : pathOfScanned(text);
			if (path !== undefined) {
				stop();
				await goto(path);
				return;
			}
			if (text !== undefined) trouble = "This code isn't one of Wendle's. Hold another one in front of it.";
			next = setTimeout(() => void look(), EVERY_MS);
		};
		await look();
	}
	/** Plays what the camera sees. */
	const showing = (element: HTMLVideoElement): void => {
		element.srcObject = stream!;
		void element.play();
	};
</script>

<div class="mt-4">
	{#if stream}
		<video
			bind:this={video}
			{@attach showing}
			class="aspect-[4/3] w-full max-w-md border border-ink object-cover"
			muted
			playsinline
			aria-label="What the camera sees"
		></video>
		<p class="mt-2 text-[15px]" role="status">Hold a code in front of the camera. It opens by itself.</p>
		<button type="button" class="mt-2 action-quiet min-h-10" onclick={stop}>Stop scanning</button>
	{:else}
		<button type="button" class="action-quiet min-h-10" onclick={() => void scan()}
			><Camera size={18} />Scan a code</button
		>
	{/if}
	{#if trouble}<p class="mt-2 max-w-[60ch] text-[15px] text-warn" role="alert">{trouble}</p>{/if}
</div>
