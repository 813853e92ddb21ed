import type { RunEvent } from '$lib/core';
import { describe, expect, it } from 'vitest';
import { RunLog } from './run-log';

const turns = (id: string): RunEvent => ({ id, at: 1, kind: 'turns', part: 'backing', turns: 1 });
const full = (): Promise<never> => Promise.reject(new DOMException('full', 'QuotaExceededError'));
/** A browser that opens its store, and then takes nothing. */
const refusing = () =>
	Promise.resolve({
		get: () => Promise.resolve(undefined),
		getAll: () => Promise.resolve([]),
		getAllFromIndex: () => Promise.resolve([]),
		put: full,
		delete: full,
		transaction: () => ({ store: { put: full }, objectStore: () => ({ getAllKeys: full }), done: full() })
	} as never);
const photo = { id: 'p', jpeg: new Blob(['x']), sent: 0 } as const;

describe('a browser that keeps nothing', () => {
	it.each([
		['has no store', () => Promise.reject(new Error('private'))],
		['opens its store and refuses every write', refusing]
	])('%s: everything is in the page, and says so', async (_, open) => {
		const log = new RunLog(open);
		expect(log.onlyHere).toBe(false);
		await log.setRun('setup', 'run', 3);
		expect(await log.runOf('setup')).toEqual({ run: 'run', arrival: 3 });
		await log.put('run', [turns('a'), turns('b')], false);
		await log.put('other', [turns('c')], false);
		expect((await log.load('run')).unsent.map(({ id }) => id)).toEqual(['a', 'b']);
		expect(log.onlyHere).toBe(true);
		// What the server has is safe there.
		await log.put('run', [turns('a'), turns('b')], true);
		await log.put('other', [turns('c')], true);
		expect(await log.load('run')).toEqual({ events: [turns('a'), turns('b')], unsent: [] });
		expect(log.onlyHere).toBe(false);
		await log.putPhoto(photo);
		expect([await log.unsentPhotos(), log.onlyHere]).toEqual([[photo], true]);
		expect(await log.photo('p')).toBe(photo.jpeg);
		await log.endRun('setup');
		expect(await log.runOf('setup')).toBeUndefined();
	});
});
