import { dayOf } from '$lib/core';
import { workOut } from '$lib/setup/evaluate-form';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readWish, type Wish } from './wish';
import { setupOfWish } from './wish-setup';

/** A Tuesday. */
const today = dayOf('2026-12-01');
const spools = [
	{ id: 'beck', name: 'Beck reel', hand: 'left' },
	{ id: 'beck-6', name: 'Beck reel 6', hand: 'right' }
] as const;
const read = (text: string): Wish => readWish(text, { today, spools });
const marked = (text: string): string[] => read(text).notUnderstood.map((stretch) => stretch.text.trim());

describe('readWish', () => {
	it('reads a whole wish as people say it', () => {
		const { said, notUnderstood } = read('WF6F on my 6, left hand, 20 lb, by Saturday');
		expect(notUnderstood).toEqual([]);
		expect(said).toEqual({
			line: { what: 'line', line: { taper: 'WF', number: 6, density: 'F' } },
			reel: { what: 'reel', name: 'my 6', spoolId: undefined },
			hand: { what: 'hand', hand: 'left' },
			backing: { what: 'backing', material: 'polyester-20', assumed: 'taken as 20 lb polyester' },
			due: { what: 'due', day: dayOf('2026-12-05') }
		});
	});

	it.each([
		['dt4f, right-hand wind', { line: 'DT4F', hand: 'right' }],
		['#8 intermediate with 30lb gel spun', { line: 'WF8I', backing: 'gel-spun-30' }],
		['6 wt floating line, gel-spun 50 lb', { line: 'WF6F', backing: 'gel-spun-50' }],
		['WF-8-S and polyester 30', { line: 'WF8S', backing: 'polyester-30' }],
		[
			'WF5F, 30 lb backing, 5 mm gap, 9 ft leader',
			{ line: 'WF5F', backing: 'polyester-30', gap: '5 mm', leader: '9 ft' }
		],
		['gap of 3/16 in', { gap: undefined }],
		['WF7F by 12 Dec', { line: 'WF7F', due: '2026-12-12' }],
		['WF7F due Dec 3rd', { due: '2026-12-03' }],
		['WF7F for tomorrow', { due: '2026-12-02' }],
		['WF7F by 3 March', { due: '2027-03-03' }],
		['WF7F by 2027-01-04', { due: '2027-01-04' }],
		['WF7F on Tuesday', { due: '2026-12-08' }],
		['WF7F by Thu', { due: '2026-12-03' }]
	])('reads "%s"', (text, expected) => {
		const { said } = read(text);
		const got = {
			line: said.line && `${said.line.line.taper}${said.line.line.number}${said.line.line.density}`,
			backing: said.backing?.material,
			hand: said.hand?.hand,
			gap: said.gap?.gap,
			leader: said.leader?.leader,
			due: said.due?.day.toString()
		};
		expect(got).toMatchObject(expected);
	});

	it('finds the reel on the rack with the longest name that is said', () => {
		expect(read('WF6F on the beck reel 6').said.reel).toMatchObject({ spoolId: 'beck-6' });
		expect(read('Beck reel, WF5F').said.reel).toMatchObject({ spoolId: 'beck' });
		expect(read('WF5F on the Beck reels').said.reel).toMatchObject({ spoolId: undefined });
	});

	it('reads a head by its weight, with its length', () => {
		expect(read('480 gr head 28 ft, 30 lb').said.head).toEqual({
			what: 'head',
			mass: '480 gr',
			length: '28 ft'
		});
	});

	it('says what it took for granted', () => {
		expect(read('WF6').said.line).toMatchObject({ assumed: 'taken as WF6F' });
		expect(read('#6').said.line).toMatchObject({ assumed: 'taken as WF6F' });
		expect(read('WF6S').said.line).not.toHaveProperty('assumed');
		expect(read('20 lb mono').said.backing).toEqual({ what: 'backing', material: 'mono-20' });
	});

	it('marks what it does not understand, and never guesses', () => {
		expect(marked('WF6F, the usual stuff, 20 lb')).toEqual(['usual stuff']);
		expect(marked('WF6F and WF5F')).toEqual(['WF5F']);
		expect(marked('WF6F, 480 gr head')).toEqual(['480 gr head']);
		expect(marked('WF16F')).toEqual(['WF16F']);
		expect(marked('WF6F, 25 lb')).toEqual(['25 lb']);
		expect(marked('WF6F by next Saturday')).toEqual(['by next Saturday']);
		expect(marked('WF6F by 5/12')).toEqual(['by 5/12']);
		expect(marked('WF6F by 31 Nov')).toEqual(['by 31 Nov']);
		expect(read('WF6F and WF5F').notUnderstood[0]?.why).toBe('There is a line already.');
	});

	it('keeps every letter of any text, and ends', () => {
		const words = fc.constantFrom(
			'WF6F',
			'20 lb',
			'on my',
			'by',
			'Saturday',
			'5/12',
			', ',
			' ',
			'left',
			'é',
			'12 Dec',
			'9 ft leader'
		);
		fc.assert(
			fc.property(
				fc.oneof(
					fc.string({ maxLength: 60 }),
					fc.array(words).map((all) => all.join(' '))
				),
				(text) => {
					expect(
						read(text)
							.stretches.map((stretch) => stretch.text)
							.join('')
					).toBe(text);
				}
			),
			{ seed: 18 }
		);
	});
});

describe('setupOfWish', () => {
	it('makes a set-up of a wish that works out once its reel is described', () => {
		const setup = setupOfWish(read('DT5F on my 5, right hand, 30 lb gel spun, 5 mm gap'), 'yd-mm');
		expect(setup.spool).toMatchObject({ name: 'my 5', hand: 'right' });
		expect(setup.fill.gap).toBe('5 mm');
		const spool = { ...setup.spool, way: 'measured', rim: '92 mm', arbor: '55 mm', width: '22 mm' } as const;
		const worked = workOut({ ...setup, spool }, 'yd-mm');
		expect(worked.ok && worked.value.parts.map(({ short }) => short)).toEqual(['30 lb gel-spun', 'DT5F']);
	});

	it('leaves the spool on the rack as it is', () => {
		const { spool } = setupOfWish(read('WF5F'), 'yd-mm');
		const own = { ...spool, name: 'Beck reel', rim: '80 mm' };
		expect(setupOfWish(read('WF6F, right hand'), 'yd-mm', own).spool).toBe(own);
	});

	it('puts a head on a running line', () => {
		const roles = setupOfWish(read('480 gr head 28 ft'), 'yd-mm').fill.stack.map(({ role, length }) => [
			role,
			length
		]);
		expect(roles).toEqual([
			['backing', ''],
			['running-line', '100 ft'],
			['head', '28 ft']
		]);
	});
});
