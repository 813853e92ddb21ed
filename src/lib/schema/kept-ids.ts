import type { CareEvent } from '$lib/core';

/** What a winding says is put right by taking the winding back, not the event. */
export const isFromRecord = ({ id }: CareEvent): boolean =>
	/:(came|on|off|respooled|changed|tugged)$/.test(id);
