import {
	findMaterial,
	handAsLay,
	learnHand,
	observeHand,
	priorHand,
	WINDING_HANDS,
	type HandBelief,
	type WindingHand
} from '$lib/core';
import type { HandSummary } from '$lib/inventory/hand';
import type { Winding } from '$lib/inventory/winding';
import { DEFAULT_UNITS } from '$lib/wording/units';
import { workOut } from '$lib/setup/evaluate-form';
import type { Knex } from 'knex';
import { write, type WriteId } from '../db/write';
import { done, type Outcome } from '../outcome';
import { clearReset, listResets, recordTimes, setReset } from '../repositories/hands';
import { listWindings } from '../repositories/windings';

interface Observed {
	readonly winding: WindingHand;
	readonly material: string;
	readonly belief: HandBelief;
	readonly record: Winding;
}

/** What a finished fill says of the hand that wound it; nothing when it was not counted, or lies over a bed. */
function observed(record: Winding): Observed[] {
	const { turns, depthMm, form, typed } = record;
	// Backing that stayed while the line over it was swapped was counted once, not again.
	if (typed.turns.trim() === '') return [];
	const worked = turns === null || depthMm === null ? undefined : workOut(form, DEFAULT_UNITS);
	if (!worked?.ok || turns === null || depthMm === null || turns <= 0) return [];
	const { known, material, stopIndex } = worked.value;
	// A spool whose arbor was only estimated says more about the estimate than about the hand.
	if (!material || stopIndex !== 0 || known.estimated.length > 0) return [];
	if (!(depthMm < known.spool.rimRadiusMm - known.spool.arborRadiusMm)) return [];
	const belief = observeHand({ spool: known.spool, diameterMm: material.diameterMm, turns, depthMm });
	return [{ winding: form.fill.winding, material: material.slug, belief, record }];
}

function summaryOf(
	winding: WindingHand,
	material: string,
	all: readonly Observed[],
	since: string | undefined,
	times: Map<string, string>
): HandSummary {
	const found = findMaterial(material);
	const spread = found.ok ? found.value.diameterSpread : 0.05;
	const prior = priorHand(WINDING_HANDS[winding].layEfficiency, spread);
	const fills = all.map(({ belief, record }) => ({
		recordId: record.id,
		spool: record.form.spool.name || 'Unnamed spool',
		woundOn: record.woundOn.toString(),
		...handAsLay(belief),
		counts: since === undefined || (times.get(record.id) ?? '') > since
	}));
	const counting = all.filter((_, i) => fills[i]!.counts).map(({ belief }) => belief);
	return {
		winding,
		material,
		prior: handAsLay(prior),
		posterior: handAsLay(learnHand(prior, counting)),
		fills
	};
}

/** What the finished fills say of every hand and backing that was wound, with the data behind it. */
export async function hands(db: Knex): Promise<HandSummary[]> {
	const seen = (await listWindings(db)).flatMap(observed);
	const resets = await listResets(db);
	const times = await recordTimes(db);
	const keys = new Map(
		seen.map(({ winding, material }) => [`${winding}/${material}`, { winding, material }])
	);
	return [...keys.values()].map(({ winding, material }) => {
		const own = seen.filter((o) => o.winding === winding && o.material === material);
		const since = resets.find((r) => r.winding === winding && r.material === material)?.resetAt;
		return summaryOf(winding, material, own, since, times);
	});
}

/** Forgets what the fills so far said of a hand, or counts them again; they stay written down. */
export const forgetHand = (
	db: Knex,
	asked: WriteId,
	{ winding, material, forget }: { winding: string; material: string; forget: boolean }
): Promise<Outcome<null>> =>
	write(db, asked, async (trx, now) => {
		await (forget ? setReset(trx, winding, material, now) : clearReset(trx, winding, material));
		return done(null);
	});
