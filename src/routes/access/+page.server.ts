import { access } from '$lib/server/access';
import { authority } from '$lib/server/access/authority';
import { zoneOf } from '$lib/server/today';
import { showMoment } from '$lib/wording/dates';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends, locals }) => {
	depends('wendle:access');
	const { set, sessions, tokens, deeds } = await access();
	const shown = (moment: string): string => showMoment(new Date(moment), locals.locale, zoneOf(locals.zone));
	const { visitor } = locals;
	return {
		set,
		sessions: sessions.map(({ id, role, device, seenAt }) => ({
			id,
			role,
			device,
			seen: shown(seenAt),
			isThis: visitor.kind === 'session' && visitor.session.id === id
		})),
		tokens: tokens.map(({ id, name, scope, seenAt }) => ({ id, name, scope, seen: seenAt && shown(seenAt) })),
		deeds: deeds.map(({ who, what, path, lastAt, times }) => ({ who, what, path, times, at: shown(lastAt) })),
		https: authority() !== undefined
	};
};
