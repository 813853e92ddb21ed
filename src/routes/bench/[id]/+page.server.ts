import { BENCH_FORM_COOKIE, readBenchForm } from '$lib/ui/state/cookies';
import { missingSetup } from '$lib/server/missing';
import { readStanding } from '$lib/bench/standing';
import { jobText, readJob } from '$lib/bench/work';
import {
	benchJob,
	cutChoices,
	learntHere,
	loadSetup,
	orderOfSetup,
	windingsOf,
	winders,
	runBegun,
	tempo
} from '$lib/server/services';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, depends, url, locals, cookies }) => {
	depends('wendle:bench');
	const setup = await loadSetup(params.id);
	if (!setup) return missingSetup(params.id);
	const doing = await benchJob(params.id, readJob(url.searchParams.get('job')));
	return {
		setup,
		doing,
		wound: url.searchParams.has('wound'),
		wrong: readStanding(url.searchParams.get('wrong')),
		records: await windingsOf(params.id),
		form: readBenchForm(cookies.get(BENCH_FORM_COOKIE)),
		order: await orderOfSetup(params.id),
		cuts: await cutChoices(params.id),
		begun: await runBegun(params.id, jobText(doing)),
		tempo: [...(await tempo())],
		learnt: await learntHere(setup.form, {
			setupId: setup.id,
			spoolId: setup.spoolId,
			who: locals.winder,
			today: locals.today
		}),
		...(await winders(locals.winder))
	};
};
