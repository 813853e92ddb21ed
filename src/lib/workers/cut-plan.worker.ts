import { ended, planCuts, type CutPlan, type CutQuestion } from '$lib/core';
import { expose } from 'comlink';
import wasm from 'highs/runtime?url';
import { highsSolver } from './highs';
import type { Answered, CutPlanWorker } from './protocol';

/** The solver is loaded with the first plan. */
let solver: ReturnType<typeof highsSolver> | undefined;

async function plan(question: CutQuestion, onProgress: (share: number) => void): Promise<Answered<CutPlan>> {
	try {
		solver ??= highsSolver(wasm);
		return { ok: true, value: ended(planCuts(question, await solver), onProgress) };
	} catch {
		return { ok: false, reason: 'no-answer' };
	}
}

const worker: CutPlanWorker = { plan };
expose(worker);
