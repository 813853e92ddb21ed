import { send, troubleOf, type Reply } from './api';
import { dismiss, notify } from './notices.svelte';

/** A change of any kind that can be undone, wherever it was made. */
export interface Change {
	/** What happened, as its notice says it: "Trout 5 is off the rack." */
	readonly said: string;
	/** What the notice's button says, where it can say more than Undo. */
	readonly label?: string;
	/** Undoes the change. Asked twice it does it once. */
	readonly undo: () => Promise<Reply<unknown>>;
	/** Makes the change again after it was undone. */
	readonly redo?: () => Promise<Reply<unknown>>;
	/** What stays as it is while the server doesn't answer: "The spool is still off the rack". */
	readonly stays: string;
	/** Shows what is there now, after undoing or redoing. */
	readonly refresh: () => Promise<unknown>;
}

/** A page with changes of its own that undoes them itself: fields of a set-up, turns at the bench. */
export interface PageUndo {
	/** What the page would undo now, and when that was done; undefined when nothing is left to undo on it. */
	readonly last: () => { readonly said: string; readonly at: number } | undefined;
	readonly undo: () => void;
}

/** How what was made at an address of the API is undone, and made again. */
export const made = (path: string): Pick<Change, 'undo' | 'redo'> => ({
	undo: () => send('DELETE', path),
	redo: () => send('POST', `${path}/restore`)
});
/** How what was taken away at an address of the API is brought back, and taken away again. */
export const takenAway = (path: string): Pick<Change, 'undo' | 'redo'> => ({
	undo: () => send('POST', `${path}/restore`),
	redo: () => send('DELETE', path)
});

/** Changes that are remembered, in this window. */
const MOST_CHANGES = 50;

let changes = $state.raw<readonly (Change & { readonly at: number })[]>([]);
let page = $state.raw<PageUndo>();
let busy = false;

const noticeOf = (change: Change): string => `change: ${change.said}`;

/** The last change that was made in this window, of whatever kind; undefined when nothing is left to undo. */
function lastChange(): { readonly said: string; readonly undo: () => void } | undefined {
	const own = page?.last();
	const change = changes.at(-1);
	if (own && (!change || own.at > change.at)) return { said: own.said, undo: page!.undo };
	return change && { said: change.said, undo: () => void undoChange(change) };
}

/** What Undo would undo now; undefined when there is nothing. */
export const undoable = (): string | undefined => lastChange()?.said;

/** Undoes the last change. */
export const undoLast = (): void => lastChange()?.undo();

async function undoChange(change: Change): Promise<void> {
	if (busy) return;
	busy = true;
	await dismiss(noticeOf(change));
	const reply = await change.undo();
	busy = false;
	// A change that no answer came about can be undone again; what was refused never can.
	if (reply.kind !== 'unreachable') changes = changes.filter(({ undo }) => undo !== change.undo);
	const trouble = troubleOf(reply, change.stays);
	if (trouble !== undefined) return notify(trouble);
	await change.refresh();
	await notify('Undone.', change.redo && { action: { label: 'Redo', onClick: () => void redo(change) } });
}

async function redo(change: Change): Promise<void> {
	const trouble = troubleOf(await change.redo!(), 'It is still undone');
	if (trouble !== undefined) return notify(trouble);
	await change.refresh();
	await tellChange(change);
}

/** Says what happened, and remembers how it is undone: from the notice, with the button in the head of every page, and with Ctrl+Z. */
export async function tellChange(change: Change): Promise<void> {
	rememberChange(change);
	await notify(change.said, {
		id: noticeOf(change),
		action: { label: change.label ?? 'Undo', onClick: () => void undoChange(change) }
	});
}

/** Remembers how something is undone that its page shows already, and that needs no notice. */
export function rememberChange(change: Change): void {
	changes = [...changes, { ...change, at: Date.now() }].slice(-MOST_CHANGES);
}

/** While a page is open its own changes count as well: the newest of all is undone first. Call it within an effect: it ends with the page. */
export function providePageUndo(own: PageUndo): () => void {
	page = own;
	return () => {
		if (page === own) page = undefined;
	};
}
