/** What routes may call: services bound to the one open database. */
import { database, dataFile, troubleBehind } from '../db';
import { failures } from '../log';
import * as address from './address';
import * as archiveService from './archive';
import * as backupsService from './backups';
import * as bench from './bench';
import * as careService from './care';
import * as findService from './find';
import * as handsService from './hands';
import * as learntService from './learnt';
import * as told from './learnt-told';
import * as promisesService from './promises';
import * as inventory from './inventory';
import * as orders from './orders';
import * as lists from './lists';
import * as peopleService from './people';
import * as photos from './photos';
import * as practiceService from './practice';
import * as runs from './runs';
import * as sample from './sample';
import * as saved from './saved';
import * as setups from './setups';
import * as stock from './stock';
import * as stockNeeds from './stock-needs';
import * as swaps from './swaps';
import * as tablesService from './tables';
import * as unreadableService from './unreadable';
import * as windings from './windings';
import { error } from '@sveltejs/kit';

export { archiveSchema } from './archive-file';
export { calendarFile } from './calendar';
export { isArchiveId, MOST_PARTS } from './incoming';
export { followOrders } from './order-progress';
export { followRun } from './runs';

type Tail<A extends unknown[]> = A extends [unknown, ...infer Rest] ? Rest : never;

/** What is wrong with the file or the disk is told as such, not as a mistake of the program's. */
async function telling<R>(work: () => Promise<R>): Promise<R> {
	try {
		return await work();
	} catch (thrown) {
		const trouble = troubleBehind(thrown, dataFile());
		if (!trouble) throw thrown;
		failures.error({ code: trouble.code }, trouble.message);
		error(503, { message: trouble.message, code: trouble.code });
	}
}

const bound =
	<A extends [Awaited<ReturnType<typeof database>>, ...unknown[]], R>(service: (...args: A) => Promise<R>) =>
	(...args: Tail<A>): Promise<R> =>
		telling(async () => service(...([await database(), ...args] as unknown as A)));

export const openSample = (): Promise<void> => telling(sample.openSample);
export const throwAwaySample = (): Promise<void> => telling(sample.throwAwaySample);
export const backups = (): ReturnType<typeof backupsService.backups> => telling(backupsService.backups);
export const backUp = (): ReturnType<typeof backupsService.backUp> => telling(backupsService.backUp);
export const backupPath = (name: string): Promise<string | undefined> =>
	telling(() => backupsService.backupPath(name));
export const restore = (name: string): ReturnType<typeof backupsService.restore> =>
	telling(() => backupsService.restore(name));
export const exportArchive = bound(archiveService.exportArchive);
export const previewIncoming = bound(archiveService.previewIncoming);
export const bringInIncoming = bound(archiveService.bringInIncoming);
export const undoImport = bound(archiveService.undoImport);
export const keepIncoming = (...part: Parameters<typeof archiveService.keepIncoming>) =>
	telling(() => archiveService.keepIncoming(...part));
export { isTable } from './tables';
export const csvOf = bound(tablesService.csvOf);
export const spreadsheetOf = bound(tablesService.spreadsheetOf);
export const rack = bound(setups.rack);
export const spoolWithWindings = bound(setups.spoolWithWindings);
export const loadSetup = bound(saved.loadSetup);
export const listSetups = bound(setups.listSetups);
export const everyWinding = bound(windings.everyWinding);
export const matchable = bound(setups.matchable);
export const spools = bound(setups.spools);
export const hands = bound(handsService.hands);
export const forgetHand = bound(handsService.forgetHand);
export const learntHere = bound(learntService.learntHere);
export const countWinding = bound(learntService.countWinding);
export const learntTold = bound(told.learntTold);
export const winders = bound(told.winders);
export const promisesKept = bound(promisesService.promisesKept);
export const startRun = bound(runs.startRun);
export const addEvents = bound(runs.addEvents);
export const runEvents = bound(runs.runEvents);
export const loadSpool = bound(setups.loadSpool);
export const windingsOf = bound(windings.windingsOf);
export const windingById = bound(windings.windingById);
export const createSetup = bound(setups.createSetup);
export const saveSetup = bound(setups.saveSetup);
export const saveTechniques = bound(setups.saveTechniques);
export const runBegun = bound(runs.runBegun);
export const tempo = bound(runs.tempo);
export const keepPhoto = bound(photos.keepPhoto);
export const photo = bound(photos.photo);
export const photoIds = bound(photos.photoIds);
export const deletePhoto = bound(photos.deletePhoto);
export const restorePhoto = bound(photos.restorePhoto);
export const recordWinding = bound(windings.recordWinding);
export const removeSpool = bound(setups.removeSpool);
export const restoreSpool = bound(setups.restoreSpool);
export const addressFor = bound(address.addressFor);
export const setAddress = bound(address.setAddress);
export const find = bound(findService.find);
export const anyOrder = bound(orders.anyOrder);
export const board = bound(orders.board);
export const orderById = bound(orders.orderById);
export const orderOfSetup = bound(orders.orderOfSetup);
export const createOrder = bound(orders.createOrder);
export const saveOrder = bound(orders.saveOrder);
export const moveOrder = bound(orders.moveOrder);
export const takeNext = bound(orders.takeNext);
export const removeOrder = bound(orders.removeOrder);
export const anyStock = bound(stock.anyStock);
export const stockPage = bound(stockNeeds.stockPage);
export const stockEntries = bound(stockNeeds.stockEntries);
export const stockById = bound(stock.stockById);
export const cutChoices = bound(stockNeeds.cutChoices);
export const createStock = bound(stock.createStock);
export const saveStock = bound(stock.saveStock);
export const removeStock = bound(stock.removeStock);
export const addStockEvent = bound(stock.addStockEvent);
export const takeBackStockEvent = bound(stock.takeBackStockEvent);
export const confirmStockEvent = bound(stock.confirmStockEvent);
export const keepPlan = bound(stock.keepPlan);
export const people = bound(peopleService.people);
export const aboutPerson = bound(peopleService.aboutPerson);
export const forgetPerson = bound(peopleService.forgetPerson);
export const listedHere = bound(lists.listedHere);
export const bringList = bound(lists.bringList);
export const undoList = bound(lists.undoList);
export const practice = bound(practiceService.practice);
export const practised = bound(practiceService.practised);
export const season = bound(practiceService.season);
export const setSeason = bound(practiceService.setSeason);
export const care = bound(careService.care);
export const carePage = bound(careService.carePage);
export const careHistory = bound(careService.history);
export const addCareEvents = bound(careService.addCareEvents);
export const bring = bound(careService.bring);
export const describeBrought = bound(careService.describeBrought);
export const brought = bound(careService.brought);
export const setCareRules = bound(careService.setCareRules);
export const strandsNow = bound(inventory.strandsNow);
export const benchJob = bound(bench.benchJob);
export const endJob = bound(bench.endJob);
export const woundAs = bound(bench.woundAs);
export const swapChoice = bound(swaps.swapChoice);
export const planSwap = bound(swaps.planSwap);
export const dropSetup = bound(setups.dropSetup);
export const unreadable = bound(unreadableService.unreadable);
export const unreadableText = bound(unreadableService.unreadableText);
export const unreadableBehind = bound(unreadableService.unreadableBehind);
export const mend = bound(unreadableService.mend);
export const restoreFormer = bound(unreadableService.restoreFormer);
export const setAside = bound(unreadableService.setAside);
export const takeBackWinding = bound(windings.takeBackWinding);
/** Whether the data is there and can be read. */
export const isReady = (): Promise<boolean> =>
	database().then(
		async (db) => (await db.raw('select 1')) !== undefined,
		() => false
	);
