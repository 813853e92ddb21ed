<script lang="ts">
	import Field from '../../primitives/Field.svelte';
	import { send, troubleOf } from '../../state/api';

	interface Props {
		/** Where to go once signed in. */
		to: string;
		signedIn: boolean;
		/** What was asked for is the owner's. */
		needsOwner: boolean;
	}
	let { to, signedIn, needsOwner }: Props = $props();
	let passcode = $state('');
	let device = $state('');
	let trouble = $state<string>();
	let busy = $state(false);

	// A link from elsewhere comes without the cookie; from here it is sent, and whoever is signed in goes on.
	$effect(() => {
		if (!signedIn)
			void fetch('/api/session')
				.then((reply) => reply.json() as Promise<{ role: string | null }>)
				.then(({ role }) => role !== null && location.replace(to))
				.catch(() => undefined);
	});

	async function signIn(): Promise<void> {
		if (busy) return;
		busy = true;
		const reply = await send('POST', '/api/session', { passcode, ...(device.trim() && { device }) });
		busy = false;
		trouble = troubleOf(reply, 'What you typed stays here');
		// The page begins anew, as whoever this is.
		if (trouble === undefined) location.assign(to);
	}
</script>

<div class="mx-auto max-w-[30rem] px-4 pt-10 pb-16 sm:px-8">
	<h1 class="text-[26px] leading-tight font-bold tracking-tight">Sign in</h1>
	<p class="mt-2">
		{#if needsOwner}
			Only the owner may open that page. Sign in with the passcode of the owner, or go
			<a class="underline underline-offset-4" href="/">back to the rack</a>.
		{:else}
			This Wendle asks for a passcode. Whoever set it up can tell you yours: what you may do depends on it.
		{/if}
	</p>
	<form
		class="mt-6 grid gap-5"
		onsubmit={(event) => {
			event.preventDefault();
			void signIn();
		}}
	>
		<Field
			label="Passcode"
			type="password"
			autocomplete="current-password"
			required
			maxlength={200}
			value={passcode}
			error={trouble}
			oninput={(value) => ([passcode, trouble] = [value, undefined])}
		/>
		<Field
			label="What this device is called (you may leave it empty)"
			autocomplete="off"
			maxlength={80}
			placeholder="bench tablet"
			value={device}
			oninput={(value) => (device = value)}
		/>
		<p><button type="submit" class="action min-h-11" disabled={busy}>Sign in</button></p>
	</form>
</div>
