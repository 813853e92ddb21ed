<script lang="ts">
	import Field from '../../primitives/Field.svelte';
	import { send, troubleOf } from '../../state/api';
	import { notify } from '../../state/notices.svelte';
	import { refreshAll } from '../../state/refresh';

	interface Props {
		role: string;
		isSet: boolean;
		/** The owner's comes first. */
		possible: boolean;
	}
	let { role, isSet, possible }: Props = $props();
	let passcode = $state('');
	let trouble = $state<string>();

	async function put(to: string | null, said: string): Promise<void> {
		trouble = troubleOf(
			await send('PUT', `/api/access/passcodes/${role}`, { passcode: to }),
			'What you typed stays here'
		);
		if (trouble !== undefined) return;
		passcode = '';
		notify(said);
		// Whoever changes their own passcode is signed out with it, and comes in with the new one.
		if (role === 'owner') location.assign('/sign-in?to=/access');
		else await refreshAll();
	}
</script>

<form
	class="mt-1"
	onsubmit={(event) => {
		event.preventDefault();
		void put(passcode, isSet ? 'The passcode is changed.' : 'The passcode is set.');
	}}
>
	<div class="flex items-end gap-3">
		<div class="min-w-0 flex-1">
			<Field
				label={isSet ? `New passcode of the ${role}` : `Passcode of the ${role}`}
				type="password"
				autocomplete="new-password"
				required
				maxlength={200}
				disabled={!possible}
				value={passcode}
				error={trouble}
				oninput={(value) => ([passcode, trouble] = [value, undefined])}
			/>
		</div>
		<button type="submit" class="action-quiet min-h-11 shrink-0" disabled={!possible}
			>{isSet ? 'Change passcode' : 'Set passcode'}</button
		>
	</div>
	{#if isSet}
		<p class="mt-1 text-[14px]">
			A passcode is set.
			<button
				type="button"
				class="min-h-8 underline underline-offset-4"
				onclick={() => void put(null, `The passcode of the ${role} is removed.`)}
				>Remove passcode<span class="sr-only"> of the {role}</span></button
			>
		</p>
	{:else if !possible}
		<p class="mt-1 text-[14px] text-soft">Set the passcode of the owner first.</p>
	{/if}
</form>
