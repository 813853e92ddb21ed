<script lang="ts">
	import type { Snippet } from 'svelte';

	/** Something that takes long to draw is drawn when it comes near the window. Whoever uses this gives it its room. */
	let { children }: { children: Snippet } = $props();
	let seen = $state(false);

	/** So far from the window is near. */
	const NEAR = { rootMargin: '600px' };
	const whenNear = (node: HTMLElement): (() => void) => {
		const observer = new IntersectionObserver(([newest]) => {
			if (!newest?.isIntersecting) return;
			seen = true;
			observer.disconnect();
		}, NEAR);
		observer.observe(node);
		return () => observer.disconnect();
	};
</script>

<span class="block size-full" {@attach whenNear}
	>{#if seen}{@render children()}{/if}</span
>
