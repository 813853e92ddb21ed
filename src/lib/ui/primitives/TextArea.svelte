<script lang="ts">
	/** A few lines of text. */
	interface Props {
		label: string;
		value: string;
		oninput: (value: string) => void;
	}
	let { label, value, oninput }: Props = $props();
	const id = $props.id();
	/** As much as anybody writes beside something. */
	const MOST = 2000;
</script>

<label for={id} class="block text-[13px] text-soft">{label}</label>
<textarea
	{id}
	rows="2"
	maxlength={MOST}
	bind:value={() => value, oninput}
	class="w-full border-b-[1.5px] border-ink bg-transparent py-1 text-[17px]"
></textarea>
