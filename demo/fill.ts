import { dayOf, jobSteps, type Day, type RunEvent } from '../src/lib/core';
import { DEFAULT_UNITS } from '../src/lib/wording/units';
import { jobOf } from '../src/lib/bench/job';
import { workOut } from '../src/lib/setup/evaluate-form';
import { todayIn } from '../src/lib/server/today';
import { openDatabase } from '../src/lib/server/db/open';
import { practised, setSeason } from '../src/lib/server/services/practice';
import { addEvents, startRun } from '../src/lib/server/services/runs';
import { addCareEvents, bring } from '../src/lib/server/services/care';
import { strandsNow, spoolOfStrand } from '../src/lib/server/services/inventory';
import { createOrder, moveOrder, orderById } from '../src/lib/server/services/orders';
import { loadSetup } from '../src/lib/server/services/saved';
import { createSetup, rack, saveSetup } from '../src/lib/server/services/setups';
import { planSwap } from '../src/lib/server/services/swaps';
import { recordWinding } from '../src/lib/server/services/windings';
import { BROUGHT, LIFE, SUMMER_SWAP, type LifeOf } from './life';
import { KIT_ROOM, NEXT_SEASON, PRACTISED, type DemoSpool } from './kit-room';
import { ORDERS, type DemoOrder } from './orders';
import { addPlan, addStock, cutFromShelf } from './fill-stock';
import { valueOf } from '../src/lib/server/outcome';

type Database = Awaited<ReturnType<typeof openDatabase>>;

/** How much longer the warden takes than planned; and when the job of a day begins. */
const WARDENS_TEMPO = 1.15;
const BEGINS = 'T18:30:00Z';

/** The run of a job: its first steps done one after another, its turns counted as they were written down. */
function runOf({ form, wound, begun = 0 }: DemoSpool): RunEvent[] {
	const worked = workOut(form, DEFAULT_UNITS);
	if (!worked.ok) throw new Error(`${form.spool.name} does not work out: ${JSON.stringify(worked.issues)}`);
	const job = jobOf(form, worked.value);
	const steps = jobSteps(job);
	let at = Date.parse(`${wound?.woundOn ?? '2026-06-01'}${BEGINS}`);
	return steps.slice(0, wound ? steps.length : begun).flatMap((step, i): RunEvent[] => {
		const { id, seconds, part } = step;
		at += Math.round(1000 * WARDENS_TEMPO * seconds);
		const turns = Number(wound?.turns);
		return [
			...(step.kind === 'wind' && part !== undefined && part === job.stopPart && turns > 0
				? [{ id: `turns-${i}`, at: at - 1000, kind: 'turns', part, turns } as const]
				: []),
			{ id: `step-${i}`, at, kind: 'step', step: id, done: true, plannedSeconds: Math.round(seconds) }
		];
	});
}

async function add(db: Database, spool: DemoSpool): Promise<void> {
	const { form, wound } = spool;
	const { name } = form.spool;
	const { id } = valueOf(await createSetup(db, { id: `demo-setup-${name}` }, form, DEFAULT_UNITS));
	const events = runOf(spool);
	if (events.length > 0) {
		await startRun(db, `demo-${id}`, id);
		await addEvents(db, `demo-${id}`, events);
	}
	if (!wound) return;
	valueOf(await recordWinding(db, { id: `demo-winding-${name}` }, id, wound, DEFAULT_UNITS));
}

/** What happened to what is on a spool since it was wound. */
async function addLife(db: Database, spoolId: string, events: LifeOf['events'], of: string): Promise<void> {
	for (const [i, [day, whose, what]] of events.entries()) {
		const now = await strandsNow(db);
		const there = now.kept.filter(
			({ id, kind }) =>
				spoolOfStrand(now)(id) === spoolId &&
				(whose === 'all' || (whose === 'backing') === (kind === 'backing'))
		);
		await addCareEvents(
			db,
			there.map(({ id }, n) => ({
				keptId: id,
				event: { id: `demo-${of}-${i}-${n}`, day: dayOf(day), at: Date.parse(`${day}${BEGINS}`) + i, ...what }
			}))
		);
	}
}

/** A swap, done at the bench: the floating line on a coil, another on in its place. */
async function addSwap(db: Database, spoolId: string): Promise<void> {
	const { on, called, coil, day, gap, after } = SUMMER_SWAP;
	const made = { way: 'class', class: on } as const;
	const swap = { spoolId, keep: 1, on: [{ role: 'line', made, length: '', note: called } as const] };
	const { setupId } = valueOf(await planSwap(db, { id: 'demo-swap-plan' }, swap, DEFAULT_UNITS));
	const at = Date.parse(`${day}${BEGINS}`);
	await startRun(db, 'demo-swap', setupId, 'swap');
	await addEvents(db, 'demo-swap', [
		{ id: 'coil', at, kind: 'coil', part: 'line', label: coil },
		{ id: 'tug', at: at + 60_000, kind: 'tug', result: 'passed' }
	]);
	await recordWinding(
		db,
		{ id: 'demo-swap-winding' },
		setupId,
		{ woundOn: day, turns: '', depth: '', gap, note: '', who: 'the warden' },
		DEFAULT_UNITS
	);
	await addLife(db, spoolId, after, 'after');
}

/** The knots the warden went through, and the day the spools are next wound. */
async function addPractice(db: Database): Promise<void> {
	for (const [i, { slug, right, on }] of PRACTISED.entries())
		await practised(db, { id: `demo-practice-${i}`, slug, right, asked: 3 }, new Date(`${on}${BEGINS}`));
	await setSeason(db, { id: 'demo-season' }, dayOf(NEXT_SEASON));
}

/** Fills an empty database with the demo. One with anything in it, even on its way out, is left alone. */
export async function fillDemo(directory: string): Promise<boolean> {
	const db = await openDatabase(directory);
	try {
		const [{ count } = { count: 0 }] = await db('spools').count({ count: '*' });
		if (Number(count) > 0) return false;
		for (const spool of KIT_ROOM) await add(db, spool);
		await addPractice(db);
		const spools = new Map((await rack(db)).map(({ id, form }) => [form.name, id]));
		for (const { spool, events } of LIFE) await addLife(db, spools.get(spool)!, events, spool.slice(0, 4));
		await addSwap(db, spools.get(SUMMER_SWAP.spool)!);
		const came = dayOf(BROUGHT.came);
		await bring(db, { ...BROUGHT, came }, came);
		return (await rack(db)).length > 0;
	} finally {
		await db.destroy();
	}
}

/** The share of the steps of a reel on the bench that is done. */
const BEGUN_SHARE = 0.4;

/** Describes the spool of an ordered reel as the warden measured it. */
async function describe(
	db: Database,
	setupId: string,
	{ mm, hand }: DemoOrder['reels'][number]
): Promise<void> {
	const setup = await loadSetup(db, setupId);
	if (!setup || !mm) return;
	const [rim, arbor, width] = mm.map((size) => `${size} mm`) as [string, string, string];
	const spool = { ...setup.form.spool, way: 'measured', rim, arbor, width, ...(hand && { hand }) } as const;
	const form = { spool, fill: setup.form.fill };
	valueOf(await saveSetup(db, { id: `demo-spool-${setupId}` }, setupId, form, setup.version, DEFAULT_UNITS));
}

/** A reel that was wound on a day, or is begun: with the run that it came of. */
async function windOrdered(db: Database, setupId: string, day: Day, finished: boolean): Promise<void> {
	const setup = await loadSetup(db, setupId);
	if (!setup) return;
	const wound = {
		woundOn: day.toString(),
		turns: '',
		depth: '',
		gap: finished ? setup.form.fill.gap : '',
		note: '',
		who: 'the warden'
	};
	const steps = runOf({ form: setup.form, wound });
	const events = finished ? steps : steps.slice(0, Math.ceil(BEGUN_SHARE * steps.length));
	await startRun(db, `demo-${setupId}`, setupId);
	valueOf(await addEvents(db, `demo-${setupId}`, events));
	if (!finished) return;
	const cutFrom = await cutFromShelf(db, setupId);
	valueOf(
		await recordWinding(db, { id: `demo-winding-${setupId}` }, setupId, wound, DEFAULT_UNITS, {}, { cutFrom })
	);
}

async function addOrder(db: Database, order: DemoOrder, i: number, today: Day): Promise<void> {
	const { who, due, state, notes = '', price, reels } = order;
	const day = due === undefined ? undefined : today.add({ days: due });
	const takenIn = (day ?? today).subtract({ days: 4 });
	const asked = {
		who,
		due: day?.toString() ?? '',
		notes,
		prices: price === undefined ? [] : [{ what: 'Winding', amount: price }],
		reels: reels.map(({ wish }) => ({ wish }))
	};
	const earliest = takenIn.compare(today) > 0 ? today : takenIn;
	const { id } = valueOf(await createOrder(db, { id: `demo-order-${i}` }, asked, DEFAULT_UNITS, earliest));
	const setups = (await orderById(db, id))!.reels.map(({ setupId }) => setupId);
	for (const [n, setupId] of setups.entries()) await describe(db, setupId, reels[n]!);
	const finished = state === 'done' || state === 'handed-over';
	// Of two reels on the bench the first is wound and the second begun.
	for (const [n, setupId] of setups.entries())
		if (finished || state === 'bench')
			await windOrdered(db, setupId, earliest, finished || n < setups.length - 1);
	valueOf(await moveOrder(db, { id: `demo-move-${i}` }, id, state));
}

/** Fills the shelf and takes in a season of orders, around today. Where there are orders already, they are left alone. */
export async function fillOrders(directory: string, today = todayIn(undefined)): Promise<boolean> {
	const db = await openDatabase(directory);
	try {
		const [{ count } = { count: 0 }] = await db('orders').count({ count: '*' });
		if (Number(count) > 0) return false;
		await addStock(db, today);
		for (const [i, order] of ORDERS.entries()) await addOrder(db, order, i, today);
		await addPlan(db);
		return true;
	} finally {
		await db.destroy();
	}
}
