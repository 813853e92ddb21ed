<script lang="ts">
	/** The colour of a strand; empty while nobody has looked. */
	let { value, oninput }: { value: string; oninput: (value: string) => void } = $props();
	const id = $props.id();
</script>

<div>
	<label for={id} class="block text-[13px] text-soft">Colour</label>
	<div class="flex h-8 items-center gap-2">
		<input
			{id}
			type="color"
			class="h-7 w-10 border border-ink bg-transparent p-0.5"
			value={value || '#808080'}
			oninput={(event) => oninput(event.currentTarget.value)}
		/>
		<span class="text-[13.5px] text-soft">{value ? '' : 'not said'}</span>
	</div>
</div>
