import type { Clash } from '$lib/setup/merge';
import type { SetupForm } from '$lib/setup/form';
import type { UnitSystem } from '$lib/wording/units';
import type { WordedIssue } from '$lib/wording/issues';
import { v4 as uuid } from 'uuid';
import type { z } from 'zod';
import { currentSetup, saved } from '../../state/answers';
import { send, type Reply } from '../../state/api';
import { staleAnswer } from '../../state/write';
import { Autosave, type SaveOutcome } from '../../state/autosave.svelte';

interface SavedAs {
	readonly id: string;
	readonly spoolId: string;
	readonly version: number;
}
/** A spool that a new set-up is for, and the version of it that was seen. */
export interface OfSpool {
	readonly spoolId: string;
	readonly spoolVersion: number;
}
/** What is there when somebody else saved meanwhile: of a set-up that is not saved yet, its spool. */
type Current = z.output<Awaited<ReturnType<typeof currentSetup>>>;

/** What a save comes to; the first one says what was made. */
type Answer = z.output<Awaited<ReturnType<typeof saved>>>;

/** A save that was sent: sent again, as it was, until the server has answered. */
interface Attempt {
	readonly writeId: string;
	readonly form: SetupForm;
	readonly send: (writeId: string) => Promise<Reply<Answer>>;
}

interface Options {
	readonly known: SavedAs | undefined;
	readonly of: OfSpool | undefined;
	readonly units: () => UnitSystem;
	readonly form: () => SetupForm;
	/** The form itself, as it is edited: what somebody else saved is put into it. */
	readonly live: () => SetupForm;
	readonly oncreate: (id: string) => void;
	/** The server has it as it is here. */
	readonly onsaved: (id: string) => void;
	/** Somebody else's changes were put into the form. */
	readonly onmerged: () => void;
}

/** What the server says of the first field it will not take: its name, and what is wrong. */
async function whatIsWrong([first]: readonly WordedIssue[]): Promise<string | undefined> {
	if (!first || first.path.length < 2) return first?.message;
	const { fieldName } = await import('$lib/wording/clash');
	return `${fieldName(first.path.slice(1).map(String))}: ${first.message}`;
}

const textOf = (form: SetupForm): string => JSON.stringify(form);

/**
 * Where a set-up is kept: creates it at the first change, then saves over the version last seen. What another window saved
 * meanwhile is put together with what is here, field by field; a field that both changed is asked about.
 */
export class SetupStore {
	known = $state<SavedAs>();
	/** Fields that another window changed differently. */
	clashes = $state.raw<readonly Clash[]>([]);
	/** Why the server would not take it, or why it could not. */
	trouble = $state<string>();
	/** What is wrong with a field, as the server says. */
	issues = $state.raw<readonly WordedIssue[]>([]);
	readonly autosave: Autosave;
	readonly #options: Options;
	#of: OfSpool | undefined;
	/** What both windows had in common last, and the units its bare numbers are in. */
	#base: { readonly form: SetupForm; readonly units: UnitSystem };
	#attempt: Attempt | undefined;

	constructor(options: Options) {
		this.#options = options;
		this.known = options.known;
		this.#of = options.of;
		this.#base = this.#inCommon(options.form());
		this.autosave = new Autosave(() => this.#save());
		if (options.known) this.autosave.state = 'saved';
	}

	#inCommon = (form: SetupForm): { form: SetupForm; units: UnitSystem } => ({
		form,
		units: this.#options.units()
	});

	async #save(): Promise<SaveOutcome> {
		const attempt = (this.#attempt ??= this.#next());
		const reply = await attempt.send(attempt.writeId);
		this.issues = reply.kind === 'refused' ? reply.issues : [];
		this.trouble =
			reply.kind === 'ok'
				? undefined
				: reply.kind === 'refused'
					? await whatIsWrong(reply.issues)
					: reply.message;
		// Whether it was done nobody knows: it is sent again as it was, before anything newer.
		if (reply.kind === 'unreachable') return 'failed';
		this.#attempt = undefined;
		if (reply.kind === 'ok') return this.#saved(attempt.form, reply.value);
		if (reply.status === 409) return this.#merge(await staleAnswer(reply, currentSetup));
		return 'refused';
	}

	#next(): Attempt {
		const form = this.#options.form();
		const [known, of] = [this.known, this.#of];
		return {
			writeId: uuid(),
			form,
			send: (writeId) =>
				known
					? send(
							'PUT',
							`/api/setups/${known.id}`,
							{ form, version: known.version },
							{ writeId, answer: saved }
						)
					: send('POST', '/api/setups', { form, ...of }, { writeId, answer: saved })
		};
	}

	#saved(form: SetupForm, { id, spoolId, version }: Answer): Promise<SaveOutcome> | SaveOutcome {
		const created = !this.known;
		this.known = this.known ? { ...this.known, version } : { id: id!, spoolId: spoolId!, version };
		this.#base = this.#inCommon(form);
		if (created) this.#options.oncreate(this.known.id);
		// It may have been changed while it was on its way.
		if (textOf(this.#options.form()) !== textOf(form)) return this.#save();
		this.#options.onsaved(this.known.id);
		return 'saved';
	}

	/** Somebody else saved meanwhile: what does not clash is put together and saved, the rest is asked. */
	async #merge(current: Current | undefined): Promise<SaveOutcome> {
		if (!current) return 'refused';
		// Two windows with one set-up are rare: what puts them together comes when it is wanted.
		const [{ become, merge }, { settleSetup }] = await Promise.all([
			import('$lib/setup/merge'),
			import('$lib/setup/settle')
		]);
		const base = settleSetup(this.#base.form, this.#base.units);
		const theirs = 'form' in current ? current.form : { spool: current.spool, fill: base.fill };
		if ('form' in current && this.known) this.known = { ...this.known, version: current.version };
		else if ('spool' in current) this.#of = { spoolId: current.spoolId, spoolVersion: current.spoolVersion };
		const mine = this.#options.form();
		const { value, clashes } = merge(base, settleSetup(mine, this.#options.units()), theirs, mine);
		this.#base = this.#inCommon(theirs);
		this.trouble = undefined;
		this.issues = [];
		become(this.#options.live(), value);
		this.#options.onmerged();
		this.clashes = clashes;
		return clashes.length > 0 ? 'held' : this.#save();
	}

	/**
	 * What the server has now, as the page was told anew: it is shown where nothing here waits to be saved. Where something does, its
	 * save puts both together.
	 */
	async follow(now: SavedAs | undefined, form: SetupForm): Promise<void> {
		const isNews = (): boolean =>
			now?.id === this.known?.id && now!.version > this.known!.version && this.autosave.state === 'saved';
		if (!now || !isNews()) return;
		const { become } = await import('$lib/setup/merge');
		if (!isNews()) return;
		this.known = now;
		this.#base = this.#inCommon(form);
		become(this.#options.live(), form);
		this.#options.onmerged();
	}

	/** Ends a conflict: of each field that clashes theirs is taken, or mine stays. */
	async settle(takesTheirs: readonly boolean[]): Promise<void> {
		const { become, withValue } = await import('$lib/setup/merge');
		const form = this.clashes.reduce(
			(merged, { path, theirs }, i) => (takesTheirs[i] ? withValue(merged, path, theirs) : merged),
			this.#options.form()
		);
		this.clashes = [];
		become(this.#options.live(), form);
		this.autosave.release();
		this.autosave.touch();
	}
}
