import type { SetupForm } from '$lib/schema/setup';
import { send } from '../../state/api';
import { Autosave, type SaveOutcome } from '../../state/autosave.svelte';

interface Known {
	id: string;
	version: number;
}

/** Where a set-up is kept: creates it at the first change, then saves over the version last seen. */
export class SetupStore {
	known = $state<Known>();
	/** What another window saved meanwhile. */
	conflict = $state<{ form: SetupForm; version: number }>();
	/** Why the server would not take it. */
	refusal = $state<string>();
	readonly autosave: Autosave;
	readonly #form: () => SetupForm;
	readonly #spoolId: string | undefined;
	readonly #oncreate: (id: string) => void;

	constructor(options: {
		known: Known | undefined;
		spoolId: string | undefined;
		form: () => SetupForm;
		oncreate: (id: string) => void;
	}) {
		this.known = options.known;
		this.#spoolId = options.spoolId;
		this.#form = options.form;
		this.#oncreate = options.oncreate;
		this.autosave = new Autosave(() => this.#save());
		if (options.known) this.autosave.state = 'saved';
	}

	async #save(): Promise<SaveOutcome> {
		this.refusal = undefined;
		return this.known ? this.#update(this.known) : this.#create();
	}

	async #create(): Promise<SaveOutcome> {
		const body = { form: this.#form(), ...(this.#spoolId !== undefined && { spoolId: this.#spoolId }) };
		const reply = await send<Known>('POST', '/api/setups', body);
		if (reply.kind === 'ok') {
			this.known = { id: reply.value.id, version: reply.value.version };
			this.#oncreate(reply.value.id);
			return 'saved';
		}
		if (reply.kind === 'refused') this.refusal = reply.issues[0]?.message;
		return 'failed';
	}

	async #update({ id, version }: Known): Promise<SaveOutcome> {
		const reply = await send<{ version: number }>('PUT', `/api/setups/${id}`, {
			form: this.#form(),
			version
		});
		if (reply.kind === 'ok') {
			this.known = { id, version: reply.value.version };
			return 'saved';
		}
		if (reply.kind === 'unreachable') return 'failed';
		if (reply.status === 409) {
			const { current } = reply.body as { current: { form: SetupForm; version: number } };
			this.conflict = { form: current.form, version: current.version };
			return 'held';
		}
		this.refusal = reply.issues[0]?.message;
		return 'failed';
	}

	/** Ends a conflict: the other version has been taken over, or this one is to be written over it. */
	settleConflict(keepMine: boolean): void {
		if (!this.conflict || !this.known) return;
		this.known = { id: this.known.id, version: this.conflict.version };
		this.conflict = undefined;
		this.autosave.release();
		if (keepMine) this.autosave.touch();
	}
}
