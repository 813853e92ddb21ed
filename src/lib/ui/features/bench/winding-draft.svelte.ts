import { isUnder, type JobSetup, type TwistSource } from '$lib/core';
import type { BenchJob } from '$lib/bench/work';
import type { TravelForm, WindingForm } from '$lib/inventory/winding';
import type { CutChoice } from '$lib/stock/cut-choice';
import type { WordedIssue } from '$lib/wording/issues';
import { showSmall } from '$lib/wording/units';
import { id } from '../../state/answers';
import { troubleOf, type Reply } from '../../state/api';
import { notify } from '../../state/notices.svelte';
import type { Preferences } from '../../state/preferences.svelte';
import { usedAnswer, Write } from '../../state/write';

/** What is saved at the end of a winding, and of which job. */
export interface Finished {
	readonly setupId: string;
	readonly job: JobSetup;
	readonly doing: BenchJob;
	/** It was wound elsewhere, so nothing is assumed about how. */
	readonly elsewhere: boolean;
	/** The run that this ends; none when nothing was done in it. */
	readonly run: () => string | undefined;
	/** What was counted and read on the way. */
	readonly counted: { turns: number | undefined; depthMm: number | undefined; gapMm: number | undefined };
	/** What has to be over first: the last tick must not arrive after the job is closed. False when it cannot be now. */
	readonly before: () => Promise<boolean>;
	/** Who winds now; empty where nobody said. */
	readonly winder: string;
	/** Where what goes on can come from; none for those who keep no stock. */
	readonly cuts: readonly CutChoice[];
	readonly onrecorded: (record: string) => void;
}

type Typed = Omit<WindingForm, 'travelled'>;

/** A winding as it is being written down: what was counted and read stands in it until somebody types something else. */
export class WindingDraft {
	readonly #of: () => Finished;
	readonly #preferences: Preferences;
	// One winding is written down here, however often it is tried.
	readonly #write = new Write({ once: true });
	/** What was typed over what was counted. */
	#typed = $state<Partial<Typed>>({});
	travels = $state<(TravelForm | undefined)[]>([]);
	/** What was chosen in the place of what most likely serves. */
	#cutFrom = $state<Readonly<Record<string, string | null>>>({});
	issues = $state<readonly WordedIssue[]>([]);
	trouble = $state<string>();
	busy = $state(false);
	/** Strands that were wound on now, each with how it came off what it was on: at this bench, from something that turned. */
	readonly winds: JobSetup['parts'];

	constructor(of: () => Finished, preferences: Preferences) {
		this.#of = of;
		this.#preferences = preferences;
		const { job, doing, elsewhere } = of();
		this.winds = job.parts.filter(
			({ id: part, role }) =>
				!isUnder(role) && (doing.kind !== 'swap' || doing.on.some((on) => on.part === part))
		);
		this.travels = this.winds.map(({ id: part }) =>
			elsewhere
				? undefined
				: { part, source: sourceOf(part, job, doing), leaving: 'turning', seen: 'clockwise' }
		);
	}

	readonly form: Typed = $derived.by(() => {
		const { counted, winder } = this.#of();
		const { units, today } = this.#preferences;
		const small = (mm: number | undefined): string => (mm === undefined ? '' : showSmall(mm, units));
		return {
			woundOn: today.toString(),
			turns: counted.turns ? String(Math.round(counted.turns)) : '',
			depth: small(counted.depthMm),
			gap: small(counted.gapMm),
			note: '',
			who: winder,
			...this.#typed
		};
	});

	/** In a swap the backing lies as it did. */
	readonly asksBacking: boolean = $derived.by(() => {
		const { job, doing } = this.#of();
		return (
			doing.kind !== 'swap' ||
			doing.on.some((on) => job.parts.some(({ id: part, role }) => part === on.part && role === 'backing'))
		);
	});

	/** The source of each strand on the shelf; null for one that comes from elsewhere. */
	readonly cutFrom: Readonly<Record<string, string | null>> = $derived.by(() => {
		const { cuts, elsewhere } = this.#of();
		// What was wound elsewhere was cut elsewhere, unless somebody says otherwise.
		const likely = cuts.map(({ part, chosen }) => [part, elsewhere ? null : chosen] as const);
		return { ...Object.fromEntries(likely), ...this.#cutFrom };
	});
	setCutFrom(part: string, source: string | null): void {
		this.#cutFrom = { ...this.#cutFrom, [part]: source };
	}

	/** A changed field is no longer what was complained about. */
	set(field: keyof Typed, value: string): void {
		this.#typed = { ...this.#typed, [field]: value };
		this.issues = this.issues.filter(({ path }) => path[0] !== field);
	}
	error(field: keyof Typed): string | undefined {
		return this.issues.find(({ path }) => path[0] === field)?.message;
	}

	async save(): Promise<void> {
		if (this.busy) return;
		this.busy = true;
		const { setupId, run, before, onrecorded } = this.#of();
		const { form } = this;
		this.#preferences.winder = form.who.trim();
		const ready = await before();
		const runId = run();
		const reply: Reply<{ id: string }> = ready
			? await this.#write.send(
					'POST',
					`/api/setups/${setupId}/records`,
					{
						...form,
						travelled: $state.snapshot(this.travels).filter((travel) => travel !== undefined),
						...(runId !== undefined && { run: runId }),
						...(this.#of().cuts.length > 0 && { cutFrom: this.cutFrom })
					},
					id
				)
			: { kind: 'unreachable' };
		this.busy = false;
		// An earlier try had reached the server, or another window was first: with what was typed there.
		const earlier = await usedAnswer(reply, id);
		if (earlier) {
			void notify(
				'This winding is already on the rack, from an earlier try or another window, with what you typed there. To change it, open the past windings of this set-up, undo it, and save it again.'
			);
			return onrecorded(earlier.id);
		}
		this.issues = reply.kind === 'refused' ? reply.issues : [];
		// What is wrong with a field is said beside it.
		const beside = this.issues.some(({ path }) => String(path[0]) in form);
		this.trouble = beside ? undefined : troubleOf(reply, 'What you typed stays here');
		if (reply.kind === 'ok') onrecorded(reply.value.id);
	}
}

/** What a strand came off, most likely: a new line's spool, a coil, another reel. */
function sourceOf(part: string, job: JobSetup, doing: BenchJob): TwistSource {
	if (doing.kind === 'reverse') return doing.way === 'ground' ? 'laid-out' : 'reel';
	const from = doing.kind === 'swap' ? doing.on.find((on) => on.part === part)?.from : 'new';
	if (from === 'new' && job.schools.newLine === 'stretched') return 'laid-out';
	if (doing.kind === 'swap' && job.schools.swapPlace === 'water') return 'loose';
	return from === 'reel' ? 'reel' : from === 'coil' ? 'maker-coil' : 'line-spool';
}
