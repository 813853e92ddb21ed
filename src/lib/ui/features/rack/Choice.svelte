<script lang="ts">
	/** A spool is chosen anywhere on it, not only on its box. */
	let { name, on, onclick }: { name: string; on: boolean; onclick: () => void } = $props();
</script>

<label
	class="absolute -inset-x-1.5 inset-y-0 z-10 cursor-pointer {on
		? 'outline-[3px] -outline-offset-[3px] outline-ink'
		: ''}"
>
	<span class="sr-only">Choose {name}</span>
	<input
		type="checkbox"
		class="absolute top-1.5 right-1.5 size-6 accent-ink"
		checked={on}
		onchange={onclick}
	/>
</label>
