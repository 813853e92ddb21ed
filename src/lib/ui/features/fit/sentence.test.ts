import { newComponent, newSetup } from '$lib/setup/presets';
import type { ComponentForm, SetupForm } from '$lib/setup/form';
import { workOut, type Workout } from '$lib/setup/evaluate-form';
import { describe, expect, it } from 'vitest';
import { judgement, measureNext } from './sentence';

function setup(
	measures: [rim: string, arbor: string, width: string],
	edit: (form: SetupForm) => void = () => {}
): SetupForm {
	const form = newSetup();
	const [rim, arbor, width] = measures;
	Object.assign(form.spool, { way: 'measured', rim, arbor, width });
	edit(form);
	return form;
}
const worked = (form: SetupForm): Workout => {
	const result = workOut(form, 'yd-mm');
	if (!result.ok) throw new Error(JSON.stringify(result.issues));
	return result.value;
};
const wf = (number: number): ComponentForm =>
	newComponent('line', 'line', { way: 'class', class: { taper: 'WF', number, density: 'F' } });
const TROUT: [string, string, string] = ['84 mm', '38 mm', '21 mm'];

describe('the judging sentence', () => {
	it('says how far to wind, in the units shown', () => {
		const workout = worked(setup(TROUT));
		expect(judgement(workout, 'yd-mm')).toMatch(
			/^Fits\. Wind until the backing is \d+\.\d mm below the rim\. That is plenty of backing/
		);
		expect(judgement(workout, 'yd-in')).toMatch(/until the backing is 0\.\d\d in below/);
	});
	it('says what would bring more backing when there is little', () => {
		const workout = worked(setup(TROUT, ({ fill }) => (fill.stack[1] = wf(10))));
		expect(judgement(workout, 'yd-mm')).toMatch(
			/less backing than usual: .* To make more room: (30 lb|gel-spun)/
		);
	});
	it('says what would work when the line is too big', () => {
		const far = worked(setup(['62 mm', '36 mm', '18 mm'], ({ fill }) => (fill.stack[1] = wf(9))));
		expect(judgement(far, 'yd-mm')).toMatch(
			/^Too much line .* What would work: a WF\dF fits over \d+ yd .* \d+\.\d mm wide/
		);
		const near = worked(setup(['70 mm', '36 mm', '18 mm'], ({ fill }) => (fill.stack[1] = wf(7))));
		expect(judgement(near, 'yd-mm')).toMatch(/cut \d+ yd off its rear/);
	});
	it('says of a length that one owns what gap it leaves, and how much to leave off or to add', () => {
		const own = (length: string) =>
			worked(
				setup(TROUT, ({ fill }) => {
					Object.assign(fill.stack[0]!, { length, solve: false });
				})
			);
		const right = worked(setup(TROUT)).fit.solved!.lengthMm / 914.4;
		expect(judgement(own('200 yd'), 'yd-mm')).toMatch(
			/^200 yd of backing leaves a gap of \d\.\d mm, and you want 4\.0 mm\. Leave \d+ yd off: wind \d+ yd, and stop \d+\.\d mm below the rim\.$/
		);
		expect(judgement(own('300 yd'), 'yd-mm')).toMatch(
			/^With 300 yd .* is \d+\.\d mm too high, and it rubs\. Leave .* Keep the rest/
		);
		expect(judgement(own('60 yd'), 'yd-mm')).toMatch(/Another \d+ yd would leave it\.$/);
		expect(judgement(own(`${right.toFixed(0)} yd`), 'yd-mm')).toMatch(/leaves the gap you want\.$/);
	});
	it('names the measurement that is worth improving', () => {
		expect(measureNext(worked(setup(TROUT)))).toContain('the backing, with wraps on a rule');
		expect(
			measureNext(worked(setup(['84 mm', '38 mm', '8 mm'], ({ fill }) => (fill.stack[1]!.length = '15 yd'))))
		).toContain('width');
	});
});
