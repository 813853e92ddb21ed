import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Autosave, type SaveOutcome } from './autosave.svelte';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

/** A save that ends when the test says so. */
function held(): {
	save: () => Promise<SaveOutcome>;
	end: (outcome: SaveOutcome) => Promise<void>;
	calls: () => number;
} {
	let settle: ((outcome: SaveOutcome) => void) | undefined;
	let calls = 0;
	return {
		save: () => (calls++, new Promise((resolve) => (settle = resolve))),
		end: async (outcome) => {
			settle!(outcome);
			await vi.advanceTimersByTimeAsync(0);
		},
		calls: () => calls
	};
}

describe('autosave', () => {
	it('saves once after a pause, however much was typed', async () => {
		const { save, end, calls } = held();
		const autosave = new Autosave(save);
		for (let i = 0; i < 5; i++) {
			autosave.touch();
			await vi.advanceTimersByTimeAsync(100);
		}
		expect([autosave.state, calls()]).toEqual(['waiting', 0]);
		await vi.advanceTimersByTimeAsync(500);
		expect([autosave.state, calls()]).toEqual(['saving', 1]);
		await end('saved');
		expect(autosave.state).toBe('saved');
	});
	it('saves again what changed while it was saving, one request at a time', async () => {
		const { save, end, calls } = held();
		const autosave = new Autosave(save);
		autosave.touch();
		await vi.advanceTimersByTimeAsync(500);
		autosave.touch();
		await vi.advanceTimersByTimeAsync(2000);
		expect(calls()).toBe(1);
		await end('saved');
		await vi.advanceTimersByTimeAsync(500);
		expect(calls()).toBe(2);
		await end('saved');
		expect(autosave.state).toBe('saved');
	});
	it('tries again until it has gone through', async () => {
		const { save, end, calls } = held();
		const autosave = new Autosave(save);
		autosave.touch();
		await vi.advanceTimersByTimeAsync(500);
		await end('failed');
		expect(autosave.state).toBe('failed');
		await vi.advanceTimersByTimeAsync(3100);
		expect(calls()).toBe(2);
		await end('saved');
		expect(autosave.state).toBe('saved');
	});
	it('waits for a decision when something newer is saved elsewhere', async () => {
		const { save, end, calls } = held();
		const autosave = new Autosave(save);
		autosave.touch();
		await vi.advanceTimersByTimeAsync(500);
		await end('held');
		autosave.touch();
		await vi.advanceTimersByTimeAsync(10_000);
		expect([autosave.state, calls()]).toEqual(['held', 1]);
		autosave.release();
		autosave.touch();
		await vi.advanceTimersByTimeAsync(500);
		expect(calls()).toBe(2);
	});
	it('flush saves at once, and does nothing when nothing changed', async () => {
		const { save, end, calls } = held();
		const autosave = new Autosave(save);
		await autosave.flush();
		expect(calls()).toBe(0);
		autosave.touch();
		const flushed = autosave.flush();
		await end('saved');
		await flushed;
		expect([autosave.state, calls()]).toEqual(['saved', 1]);
	});
});
