import type { Day } from '$lib/core';

/** Today, by the clock of the server, in UTC. */
export const today = (): Day => new Date().toISOString().slice(0, 10);
