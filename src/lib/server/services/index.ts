/** What routes may call: services bound to the one open database. */
import { database } from '../db';
import * as careService from './care';
import * as handsService from './hands';
import * as photos from './photos';
import * as practiceService from './practice';
import * as runs from './runs';
import * as setups from './setups';

export { calendarFile } from './calendar';
export { openApiDocument } from './openapi';
export { followRun } from './runs';

type Tail<A extends unknown[]> = A extends [unknown, ...infer Rest] ? Rest : never;

const bound =
	<A extends [Awaited<ReturnType<typeof database>>, ...unknown[]], R>(service: (...args: A) => Promise<R>) =>
	async (...args: Tail<A>): Promise<R> =>
		service(...([await database(), ...args] as unknown as A));

export const rack = bound(setups.rack);
export const loadSetup = bound(setups.loadSetup);
export const spools = bound(setups.spools);
export const hands = bound(handsService.hands);
export const forgetHand = bound(handsService.forgetHand);
export const rememberHand = bound(handsService.rememberHand);
export const startRun = bound(runs.startRun);
export const addEvents = bound(runs.addEvents);
export const runEvents = bound(runs.runEvents);
export const loadSpool = bound(setups.loadSpool);
export const recordsOf = bound(setups.recordsOf);
export const recordById = bound(setups.recordById);
export const createSetup = bound(setups.createSetup);
export const saveSetup = bound(setups.saveSetup);
export const saveWays = bound(setups.saveWays);
export const runBegun = bound(runs.runBegun);
export const tempo = bound(runs.tempo);
export const keepPhoto = bound(photos.keepPhoto);
export const photo = bound(photos.photo);
export const recordWinding = bound(setups.recordWinding);
export const removeSpool = bound(setups.removeSpool);
export const restoreSpool = bound(setups.restoreSpool);
export const practice = bound(practiceService.practice);
export const practised = bound(practiceService.practised);
export const setSeason = bound(practiceService.setSeason);
export const care = bound(careService.care);
export const addCareEvents = bound(careService.addCareEvents);
export const setCareRules = bound(careService.setCareRules);
