import { KNOTS } from '$lib/core';
import { describe, expect, it } from 'vitest';
import { KnotCurves, knotCurves, KnotList, knotList } from './knot-curves';

const ask = (slug: string, query = '') => knotCurves(slug, new URLSearchParams(query));

describe('knots over the wire', () => {
	it('are listed with their stages and how many wraps they take', () => {
		const { knots } = KnotList.parse(knotList());
		expect(knots.map(({ slug }) => slug)).toEqual(KNOTS.map(({ slug }) => slug));
	});
	it('give the curves of a stage, the last one with the usual wraps when nothing is said', async () => {
		const asked = await ask('nail-knot');
		if (asked.kind !== 'ok') throw new Error(asked.kind);
		const curves = KnotCurves.parse(asked.curves);
		expect(curves).toMatchObject({ slug: 'nail-knot', stage: 7, wraps: 6 });
		expect(curves.strands.map(({ role, start, end }) => [role, start, end])).toEqual([
			['line', 'standing', 'tag'],
			['leader', 'standing', 'tag']
		]);
		expect(await ask('nail-knot', 'stage=1&wraps=9')).toMatchObject({
			kind: 'ok',
			curves: { stage: 1, wraps: 9 }
		});
	});
	it('are mirrored for the left hand', async () => {
		const [right, left] = [await ask('blood-knot'), await ask('blood-knot', 'mirrored=true')];
		if (right.kind !== 'ok' || left.kind !== 'ok') throw new Error('not answered');
		expect(left.curves.strands.map(({ points }) => points.map(([x, y, z]) => [0 - x, y, z]))).toEqual(
			right.curves.strands.map(({ points }) => points.map(([x, y, z]) => [x + 0, y, z]))
		);
	});
	it('say what an object is: a sleeve is no arbor', async () => {
		const asked = await ask('wire-crimp');
		if (asked.kind !== 'ok') throw new Error(asked.kind);
		const roles = asked.curves.strands.map(({ role }) => role);
		expect(roles).toContain('sleeve');
		expect(roles).not.toContain('arbor');
	});
	it.each([
		['nail-knot', 'stage=8', 'stage'],
		['nail-knot', 'stage=0', 'stage'],
		['nail-knot', 'stage=last', 'stage'],
		['nail-knot', 'wraps=3', 'wraps'],
		['nail-knot', 'wraps=-5', 'wraps'],
		['nail-knot', 'mirrored=yes', 'mirrored'],
		['uni-arbor', 'wraps=9000', 'wraps']
	])('%s?%s is refused with what to do', async (slug, query, field) => {
		expect(await ask(slug, query)).toMatchObject({ kind: 'bad', field });
	});
	it('know nothing of a knot that is not drawn', async () => {
		expect(await ask('granny')).toEqual({ kind: 'none' });
	});
});
