import { describe, expect, it } from 'vitest';
import type { CareRow } from '$lib/inventory/care-rows';
import { byReel, sharedJobs } from './groups';

const row = (id: string, at: Partial<CareRow>, due: string[] = []): CareRow =>
	({
		kept: { id, label: id },
		where: 'on a coil: shed',
		spoolId: null,
		retired: false,
		dues: due.map((job) => ({ job, overdue: true })),
		...at
	}) as unknown as CareRow;
const alder = { spoolId: 'a', where: 'Alder 6' };

describe('rows by reel', () => {
	it('stands each reel where its first strand stood, with what is on no reel under headings of its own', () => {
		const rows = [
			row('line', alder),
			row('coiled', {}),
			row('worn', { retired: true, where: 'retired' }),
			row('backing', alder)
		].map((one) => ({ row: one }));
		expect(
			byReel(rows).map(({ heading, spoolId, rows: own }) => [
				heading,
				spoolId,
				own.map(({ row: { kept } }) => kept.id)
			])
		).toEqual([
			['Alder 6', 'a', ['line', 'backing']],
			['On coils', undefined, ['coiled']],
			['Retired', undefined, ['worn']]
		]);
	});
});

describe('jobs that several strands share', () => {
	it('are due for two at least, and are not judged strand by strand', () => {
		const rows = [
			row('line', alder, ['clean', 'tug-test']),
			row('backing', alder, ['clean', 'tug-test', 'rinse'])
		];
		expect(sharedJobs(rows).map(({ job, keptIds }) => [job, keptIds])).toEqual([
			['clean', ['line', 'backing']]
		]);
	});
	it('leave out strands for which the job only comes later', () => {
		const later = {
			...row('tip', alder),
			dues: [{ job: 'clean', overdue: false }]
		} as unknown as CareRow;
		expect(sharedJobs([row('line', alder, ['clean']), later])).toEqual([]);
	});
});
