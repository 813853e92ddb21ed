/**
 * The shapes of the server's answers, the same that the API is described by. Each is loaded with the first answer that it
 * reads, so that no page waits for them.
 */

const setup = () => import('$lib/setup/answers');
const hand = () => import('$lib/inventory/hand');
const careShapes = () => import('$lib/inventory/care');
const run = () => import('$lib/bench/run');

export const id = async () => (await setup()).Id;
export const saved = async () => (await setup()).Saved;
export const currentSetup = async () => (await setup()).Current;
export const learntOfSetup = async () => (await import('$lib/setup/learnt-here')).LearntOfSetup;
export const spoolPage = async () => {
	const { pageShape, SavedSpool } = await setup();
	return pageShape(SavedSpool);
};
export const hands = async () => (await hand()).Hands;
export const promises = async () => (await import('$lib/inventory/promise')).GapPromises;
export const careHistory = async () => (await careShapes()).CareHistory;
export const currentRules = async () => (await careShapes()).CurrentRules;
export const plannedSwap = async () => (await import('$lib/inventory/swap-answer')).SwapResponse;
export const ended = async () => (await run()).Ended;
export const runEvents = async () => (await run()).RunEvents;
export const addedEvents = async () => (await run()).AddedEvents;
export const practice = async () => (await import('$lib/bench/practice')).Practice;

const order = () => import('$lib/orders/order');
export const savedOrder = async () => (await order()).SavedOrder;
export const currentOrder = async () => (await order()).Order.pick({ version: true, form: true });
export const nextReel = async () => (await import('$lib/orders/board')).NextReel.nullable();

export const madeStock = async () => (await setup()).Made;

export const broughtList = async () => (await import('$lib/inventory/list/rows')).BroughtList;
export const found = async () => (await import('$lib/inventory/found')).FoundAnswer;
export const aboutPerson = async () => (await import('$lib/inventory/people')).AboutPerson;

export const tokenMade = async () => (await import('$lib/inventory/access')).TokenMade;

const archive = () => import('$lib/inventory/archive');
export const archivePreview = async () => (await archive()).ArchivePreview;
export const broughtIn = async () => (await archive()).BroughtIn;
