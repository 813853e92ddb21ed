import type { SetupForm } from '$lib/setup/form';
import type { LearntHere } from '$lib/setup/learnt-here';
import { learntOfSetup } from '../../state/answers';
import { send } from '../../state/api';

/** What the answers hang on that the rack may know of. */
const describedIn = ({ spool, fill }: SetupForm): string => JSON.stringify([spool, fill.stack]);

/** What a set-up starts from: what the rack has learnt of its spool, strands and winder, asked for anew when they change. */
export class StartingPoint {
	learnt = $state.raw<LearntHere>();
	#described: string;

	constructor(learnt: LearntHere | undefined, form: SetupForm) {
		this.learnt = learnt;
		this.#described = describedIn(form);
	}

	/** Asks once for each description. Without an answer the earlier one stands, which holds for what it was asked for. */
	async follow(id: string, form: SetupForm): Promise<void> {
		const described = describedIn(form);
		if (described === this.#described) return;
		this.#described = described;
		const reply = await send('GET', `/api/setups/${id}/learnt`, undefined, { answer: learntOfSetup });
		if (reply.kind === 'ok' && described === this.#described) this.learnt = reply.value.learnt ?? undefined;
	}
}
