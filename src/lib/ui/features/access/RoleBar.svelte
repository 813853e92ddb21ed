<script lang="ts">
	import { send, troubleOf } from '../../state/api';
	import { notify } from '../../state/notices.svelte';

	/** At the foot of every page: as what this device came in, and the way out. */
	let { role }: { role: string } = $props();
	const SAYS: Readonly<Record<string, string>> = {
		owner: 'You are signed in as the owner.',
		bench: 'You are signed in at the bench.',
		viewer: 'You are signed in as a viewer: you can look, and nothing you change is saved.'
	};

	async function signOut(): Promise<void> {
		const trouble = troubleOf(await send('DELETE', '/api/session'), 'You are still signed in');
		if (trouble !== undefined) return notify(trouble);
		location.assign('/sign-in');
	}
</script>

<section
	class="no-print figure mt-6 flex flex-wrap items-center gap-x-5 gap-y-1 border-t border-hair px-4 py-2 text-[14px] text-soft sm:px-8"
	aria-label="This device"
>
	<p class="mr-auto">{SAYS[role]}</p>
	{#if role === 'owner'}<a class="min-h-8 leading-8 underline underline-offset-4" href="/access"
			>Who may come in</a
		>{/if}
	<button type="button" class="min-h-8 underline underline-offset-4" onclick={() => void signOut()}
		>Sign out</button
	>
</section>
