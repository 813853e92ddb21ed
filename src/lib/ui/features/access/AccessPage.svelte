<script lang="ts">
	import { ROLE_WORDS, SCOPE_WORDS } from '$lib/wording/access';
	import { send, troubleOf } from '../../state/api';
	import { notify } from '../../state/notices.svelte';
	import { refreshAll } from '../../state/refresh';
	import PasscodeForm from './PasscodeForm.svelte';
	import TokenForm from './TokenForm.svelte';

	interface Props {
		set: readonly string[];
		sessions: readonly { id: string; role: string; device: string; seen: string; isThis: boolean }[];
		tokens: readonly { id: string; name: string; scope: string; seen: string | null }[];
		deeds: readonly { who: string; what: string; path: string; at: string; times: number }[];
		/** Whether it speaks https with a certificate of its own. */
		https: boolean;
	}
	let { set, sessions, tokens, deeds, https }: Props = $props();

	async function remove(path: string, said: string): Promise<void> {
		const trouble = troubleOf(await send('DELETE', path), 'Nothing has changed');
		notify(trouble ?? said);
		await refreshAll();
	}
</script>

<div class="mx-auto max-w-[1100px] px-4 pb-12 sm:px-8">
	<h1 class="pt-5 text-[26px] leading-tight font-bold tracking-tight">Who may come in</h1>
	<p class="mt-1 max-w-[64ch]">
		{#if set.length === 0}
			Wendle doesn't ask anyone for a passcode, and only this computer can reach it. Set a passcode before you
			let phones and other computers in.
		{:else}
			Everyone who opens Wendle is asked for a passcode. There are no user names: the passcode decides what
			someone may do.
		{/if}
	</p>

	<section aria-labelledby="passcodes" class="mt-6 border-t-[3px] border-ink pt-3">
		<h2 id="passcodes" class="text-[19px] font-semibold">Passcodes</h2>
		<ul class="mt-2 grid gap-x-8 gap-y-5 md:grid-cols-3">
			{#each ['owner', 'bench', 'viewer'] as role (role)}
				<li>
					<h3 class="font-semibold">{ROLE_WORDS[role]!.name}</h3>
					<p class="text-[14px] text-soft">{ROLE_WORDS[role]!.may}</p>
					<PasscodeForm
						{role}
						isSet={set.includes(role)}
						possible={role === 'owner' || set.includes('owner')}
					/>
				</li>
			{/each}
		</ul>
	</section>

	{#if set.length > 0}
		<section aria-labelledby="devices" class="mt-9">
			<h2 id="devices" class="text-[19px] font-semibold">Signed in</h2>
			<ul class="mt-2 max-w-[48rem]">
				{#each sessions as { id, role, device, seen, isThis } (id)}
					<li class="flex flex-wrap items-center gap-x-4 border-b border-hair py-1">
						<span class="mr-auto"
							><b class="font-semibold">{device}</b>, {ROLE_WORDS[role]!.name.toLowerCase()}{isThis
								? ' (this device)'
								: ''}</span
						>
						<span class="text-[14px] text-soft">used {seen}</span>
						<button
							type="button"
							class="min-h-9 underline underline-offset-4"
							onclick={() => void remove(`/api/access/sessions/${id}`, `${device} is signed out.`)}
							>Sign out<span class="sr-only"> {device}</span></button
						>
					</li>
				{/each}
			</ul>
			<p class="mt-3">
				<button
					type="button"
					class="action-quiet min-h-11"
					onclick={() => void remove('/api/access/sessions', 'Every device is signed out, this one too.')}
					>Sign out everywhere</button
				>
			</p>
		</section>

		<section aria-labelledby="tokens" class="mt-9">
			<h2 id="tokens" class="text-[19px] font-semibold">Tokens</h2>
			<p class="mt-1 max-w-[64ch]">
				For a device or a program that can't type a passcode. Each token opens only what it is for.
			</p>
			<ul class="mt-2 max-w-[48rem]">
				{#each tokens as { id, name, scope, seen } (id)}
					<li class="flex flex-wrap items-center gap-x-4 border-b border-hair py-1">
						<span class="mr-auto"
							><b class="font-semibold">{name}</b>
							<span class="text-[14px] text-soft">{SCOPE_WORDS[scope]}</span></span
						>
						<span class="text-[14px] text-soft">{seen === null ? 'not used yet' : `used ${seen}`}</span>
						<button
							type="button"
							class="min-h-9 underline underline-offset-4"
							onclick={() => void remove(`/api/access/tokens/${id}`, `The token ${name} no longer works.`)}
							>Revoke<span class="sr-only"> {name}</span></button
						>
					</li>
				{/each}
			</ul>
			<TokenForm />
		</section>

		<section aria-labelledby="deeds" class="mt-9">
			<h2 id="deeds" class="text-[19px] font-semibold">Who did what</h2>
			{#if deeds.length === 0}
				<p class="mt-1">Nobody has changed anything since the passcode was set.</p>
			{:else}
				<div class="mt-2 overflow-x-auto">
					<table class="w-full max-w-[60rem] text-left text-[15px]">
						<thead class="text-[13.5px] text-soft">
							<tr class="border-b border-ink">
								<th class="py-1 pr-4 font-normal">When</th>
								<th class="py-1 pr-4 font-normal">Who</th>
								<th class="py-1 font-normal">What</th>
							</tr>
						</thead>
						<tbody>
							{#each deeds as { who, what, path, at, times }, i (i)}
								<tr class="border-b border-hair align-top" title={path}>
									<td class="figure py-1 pr-4 whitespace-nowrap">{at}</td>
									<td class="py-1 pr-4">{who}</td>
									<td class="py-1">{what}{times > 1 ? ` (${times} times)` : ''}</td>
								</tr>
							{/each}
						</tbody>
					</table>
				</div>
			{/if}
		</section>
	{/if}

	<section aria-labelledby="phones" class="mt-9">
		<h2 id="phones" class="text-[19px] font-semibold">Phones and other computers</h2>
		{#if https}
			<p class="mt-1 max-w-[64ch]">
				This Wendle uses https with its own certificate. Tell each phone once to trust it.
			</p>
			<p class="mt-3"><a class="action-quiet min-h-11" href="/trust">Show how to trust it on a phone</a></p>
		{:else}
			<p class="mt-1 max-w-[64ch]">
				Once a passcode is set, start Wendle for your network with
				<code class="figure">HOST=0.0.0.0 npm start -- --https</code>. It makes a certificate, and shows how a
				phone comes to trust it.
			</p>
		{/if}
	</section>
</div>
