<script lang="ts">
	import { SCOPE_WORDS } from '$lib/wording/access';
	import Field from '../../primitives/Field.svelte';
	import Select from '../../primitives/Select.svelte';
	import { FormSend } from '../../state/form-send.svelte';
	import { refreshAll } from '../../state/refresh';
	import { tokenMade } from '../../state/answers';

	const form = new FormSend({ beside: ({ path }) => path[0] === 'name' });
	let name = $state('');
	let scope = $state('command-line');
	let secret = $state<string>();
	const options = Object.entries(SCOPE_WORDS).map(([value, label]) => ({ value, label }));

	async function make(): Promise<void> {
		const reply = await form.send('POST', '/api/access/tokens', { name, scope }, tokenMade);
		if (reply?.kind !== 'ok') return;
		[secret, name] = [reply.value.secret, ''];
		await refreshAll();
	}
</script>

<form
	class="mt-4 grid max-w-[48rem] items-end gap-4 sm:grid-cols-[1fr_1fr_auto]"
	onsubmit={(event) => {
		event.preventDefault();
		void make();
	}}
>
	<Field
		label="What the token is for, in your words"
		value={name}
		maxlength={60}
		error={form.issues[0]?.message}
		oninput={(value) => {
			name = value;
			form.changed('name');
		}}
	/>
	<Select label="What the token opens" value={scope} {options} onchange={(value) => (scope = value)} />
	<button type="submit" class="action-quiet min-h-11" disabled={form.busy}>Make a token</button>
</form>
{#if form.trouble !== undefined}<p role="alert" class="mt-1 text-warn">{form.trouble}</p>{/if}
{#if secret !== undefined}
	<div class="mt-4 max-w-[48rem] border-l-[3px] border-ink pl-4" role="status">
		<p>Copy it now: Wendle keeps only a fingerprint of it and can't show it again.</p>
		<p class="figure mt-1 text-[15px] break-all" data-secret>{secret}</p>
		<p class="mt-1 text-[14px] text-soft">
			Send it as <code class="figure">Authorization: Bearer …</code>, or for the calendar as
			<code class="figure">/calendar.ics?token=…</code>.
		</p>
	</div>
{/if}
