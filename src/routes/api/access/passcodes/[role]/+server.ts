import { badPasscode, mayNotGo, setPasscode } from '$lib/server/access';
import { PasscodeSet, ROLES } from '$lib/inventory/access';
import { endStreams, writing } from '$lib/server/http';
import { done, gone, refused } from '$lib/server/outcome';
import type { RequestEvent } from './$types';

export const PUT = writing(
	{
		summary: 'Set the passcode of a role, or take it away; its devices are signed out',
		body: PasscodeSet,
		status: 204
	},
	async (_, { passcode }, { params }: RequestEvent) => {
		const role = ROLES.find((one) => one === params.role);
		if (!role) return gone('role');
		const wrong = passcode === null ? await mayNotGo(role) : await badPasscode(role, passcode);
		if (wrong !== undefined)
			return refused({
				kind: 'bad',
				issues: [{ code: 'bad_passcode', path: ['passcode'], message: wrong }]
			});
		await setPasscode(role, passcode);
		endStreams();
		return done(null);
	}
);
