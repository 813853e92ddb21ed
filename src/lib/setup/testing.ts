import { newSetup } from './presets';
import type { SetupForm } from './form';
import { workOut, type Workout } from './evaluate-form';

/** What tests of set-ups begin with. */

/** A set-up on a measured spool, an ordinary #5 over polyester. */
export const measured = (rim = '84 mm', arbor = '38 mm', width = '21 mm'): SetupForm => {
	const form = newSetup();
	return { ...form, spool: { ...form.spool, way: 'measured', rim, arbor, width } };
};

/** What it amounts to, or a failure that says why nothing. */
export function worked(form: SetupForm): Workout {
	const result = workOut(form, 'yd-mm');
	if (!result.ok) throw new Error(JSON.stringify(result.issues));
	return result.value;
}

/** Every issue with the field it belongs to: "spool.rim: missing_value". */
export const codes = (form: SetupForm): string[] => {
	const result = workOut(form, 'yd-mm');
	return result.ok ? [] : result.issues.map((issue) => `${issue.path.join('.')}: ${issue.code}`);
};
