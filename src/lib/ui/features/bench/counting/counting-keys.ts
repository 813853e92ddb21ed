import type { HandsBusy } from '../../../state/hands-busy.svelte';
import type { Run } from '../../../state/run.svelte';
import { isShortcut } from '../../../state/shortcuts';
import type { WindingState } from '../winding.svelte';

/** The keys that count: a pedal types T. Handles a key of the window, where it is one of them. */
export function countingKeys(
	run: () => Run,
	winding: () => WindingState,
	hands: HandsBusy
): (event: KeyboardEvent) => void {
	const KEYS: Record<string, () => void> = {
		t: () => winding().add(hands.get('batch')),
		'+': () => winding().add(1),
		'-': () => winding().add(-1),
		z: () => void run().undo(),
		x: () => winding().loseCount()
	};
	return (event) => {
		const act = KEYS[event.key];
		if (!act || !isShortcut(event)) return;
		event.preventDefault();
		act();
	};
}
