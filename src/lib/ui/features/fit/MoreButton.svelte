<script lang="ts">
	import Chevron from '@lucide/svelte/icons/chevron-down';

	/** Opens the details of a phrase, in the sentence right behind it. */
	interface Props {
		label: string;
		open: boolean;
		onclick?: () => void;
	}
	let { label, open = $bindable(), onclick }: Props = $props();
</script>

<button
	type="button"
	class="inline-grid size-6 place-items-center rounded-sm align-middle text-soft hover:text-ink"
	aria-label={label}
	aria-expanded={open}
	onclick={() => (onclick ? onclick() : (open = !open))}
	><Chevron size={15} class={open ? 'rotate-180' : ''} /></button
>
