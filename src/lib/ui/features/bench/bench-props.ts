import type { BenchJob } from '$lib/bench/work';
import type { StandingRemedy } from '$lib/bench/standing';
import type { Tempo } from '$lib/core';
import type { Winding } from '$lib/inventory/winding';
import type { SetupForm } from '$lib/setup/form';
import type { Workout } from '$lib/setup/evaluate-form';
import type { CutChoice } from '$lib/stock/cut-choice';
import type { BenchForm } from '../../state/cookies';
import type { Begun } from './bench-state.svelte';

/** What the bench is given: a set-up, what is done with it, and who does it. */
export interface BenchProps {
	setup: { id: string; form: SetupForm };
	workout: Workout;
	records: readonly Winding[];
	/** The run that the server says this set-up is in. */
	begun: Begun | undefined;
	tempo: Tempo;
	/** What is done with the set-up. */
	doing: BenchJob;
	/** It was wound elsewhere, and is only written down. */
	wound: boolean;
	/** It is wound, and this is wrong with it. */
	wrong: StandingRemedy | undefined;
	/** Everyone who has wound here, the one who wound last first. */
	winders: readonly string[];
	/** Who winds now; empty where nobody said. */
	winder: string;
	/** The order that this is wound for. */
	order: { readonly id: string; readonly number: number; readonly who: string } | undefined;
	/** Where what goes on can be cut from; none for those who keep no stock. */
	cuts: readonly CutChoice[];
	/** Step by step, or on one screen. */
	form: BenchForm;
}
