<script lang="ts">
	import type { Spool } from '$lib/core';
	import type { Frame } from './dots';
	import { metalPath } from './metal';

	let { spool, frame }: { spool: Spool; frame: Frame } = $props();
	const id = $props.id();
</script>

<pattern id="{id}-hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
	<path d="M0 0V7" stroke="var(--soft)" stroke-width="1" />
</pattern>
<path
	d={metalPath(spool, frame)}
	fill="url(#{id}-hatch)"
	stroke="var(--ink)"
	stroke-width="1.5"
	stroke-linejoin="round"
/>
