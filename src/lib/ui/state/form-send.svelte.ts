import type { WordedIssue } from '$lib/wording/issues';
import { troubleOf, type AnswerShape, type Reply } from './api';
import { usedAnswer, Write } from './write';

/** A form that is sent: one write at a time, and what is wrong with what it says. */
export class FormSend {
	readonly #write: Write;
	readonly #beside: (issue: WordedIssue) => boolean;
	issues = $state.raw<readonly WordedIssue[]>([]);
	/** What is said under the form: all that is not said beside a field. */
	trouble = $state<string>();
	busy = $state(false);

	/**
	 * @param once one thing is made here, however often it is tried
	 * @param beside whether an issue is said beside its field
	 */
	constructor({
		once = false,
		beside = () => false
	}: { readonly once?: boolean; readonly beside?: (issue: WordedIssue) => boolean } = {}) {
		this.#write = new Write({ once });
		this.#beside = beside;
	}

	/** Sends it; what it came to, or undefined while it is being sent already. An earlier try that had arrived counts as this one. */
	async send<T>(
		method: 'POST' | 'PUT',
		path: string,
		body: unknown,
		answer: AnswerShape<T>
	): Promise<Reply<T> | undefined> {
		if (this.busy) return undefined;
		this.busy = true;
		const sent = await this.#write.send(method, path, body, answer);
		const earlier = await usedAnswer(sent, answer);
		const reply: Reply<T> = earlier === undefined ? sent : { kind: 'ok', value: earlier };
		this.busy = false;
		this.issues = reply.kind === 'refused' ? reply.issues : [];
		const isSaid = this.issues.length > 0 && this.issues.every(this.#beside);
		this.trouble = isSaid ? undefined : troubleOf(reply, 'What you typed stays here');
		return reply;
	}

	/** A changed field is no longer what was complained about. */
	changed(...fields: readonly string[]): void {
		this.issues = this.issues.filter(({ path }) => !fields.includes(String(path.at(-1))));
	}
}
