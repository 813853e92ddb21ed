import { goto } from '$app/navigation';
import type { Unreadable } from '$lib/inventory/unreadable';
import { troubleOf } from '../../state/api';
import { Write } from '../../state/write';
import { notify } from '../../state/notices.svelte';
import { refreshAll } from '../../state/refresh';

/** What can be done with an entry that can't be read. */
export class Acts {
	readonly #write = new Write();

	/** Where the entry's own text is. */
	static address = ({ table, id }: Pick<Unreadable, 'table' | 'id'>): string =>
		`/unreadable/${table}/${encodeURIComponent(id)}`;

	/** True when it was done: the rack is read again, and says so. */
	async #act(
		method: 'PUT' | 'POST' | 'DELETE',
		path: string,
		said: string,
		body?: unknown
	): Promise<string | undefined> {
		const reply = await this.#write.send(method, `/api${path}`, body);
		const trouble = troubleOf(reply, 'Nothing was changed');
		if (trouble !== undefined) return trouble;
		// eslint-disable-next-line svelte/no-navigation-without-resolve -- the rack is at the root of every address
		await goto('/');
		await refreshAll();
		await notify(said);
		return undefined;
	}

	mend = (entry: Unreadable, text: string): Promise<string | undefined> =>
		this.#act('PUT', Acts.address(entry), 'Wendle can read it again.', { text });
	restore = (entry: Unreadable): Promise<string | undefined> =>
		this.#act('POST', `${Acts.address(entry)}/former`, 'The version before is back.');
	takeOff = (entry: Unreadable): Promise<string | undefined> =>
		this.#act('DELETE', Acts.address(entry), 'It is off the rack. Its text is kept in the data file.');
}
