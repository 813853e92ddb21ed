import { SESSION_COOKIE, SESSION_DAYS, signIn, signOut } from '$lib/server/access';
import { PasscodeGiven, Whoever } from '$lib/inventory/access';
import { described, writeOperation } from '$lib/server/api/operation';
import { endStreams, parseBody, readText, reading, refuse } from '$lib/server/http';
import type { RequestEvent } from './$types';

const DAY_S = 86_400;

export const GET = reading(
	'Who asks, and whether a passcode is asked for',
	{ answer: Whoever },
	({ locals: { visitor } }: RequestEvent) => ({
		role: visitor.kind === 'open' || visitor.kind === 'session' ? visitor.role : null,
		asked: visitor.kind !== 'open'
	})
);

export const POST = described(
	writeOperation({
		summary: 'Sign in with a passcode: a cookie says so from then on',
		body: PasscodeGiven,
		status: 204,
		hasOwnId: true
	}),
	async ({ request, cookies, url, getClientAddress }: RequestEvent) => {
		const text = await readText(request);
		if (!text.ok) return text.response;
		const read = parseBody(text.value, PasscodeGiven);
		if (!read.ok) return read.response;
		const { passcode, device = '' } = read.value;
		const came = await signIn(passcode, device.trim() || deviceOf(request), getClientAddress());
		if (came.kind === 'wait') {
			const wait = Math.ceil(came.seconds / 60);
			const response = refuse(
				429,
				'too_many_tries',
				`Too many wrong passcodes came from here. Try again in ${wait} ${wait === 1 ? 'minute' : 'minutes'}.`
			);
			response.headers.set('retry-after', String(came.seconds));
			return response;
		}
		if (came.kind === 'wrong')
			return refuse(403, 'wrong_passcode', "That isn't a passcode of this Wendle. Ask whoever set it up.");
		cookies.set(SESSION_COOKIE, came.secret, {
			path: '/',
			httpOnly: true,
			sameSite: 'strict',
			secure: url.protocol === 'https:',
			maxAge: SESSION_DAYS * DAY_S
		});
		return new Response(null, { status: 204 });
	}
);

export const DELETE = described(
	{ summary: 'Sign this device out', responses: { '204': { description: 'Done.' } } },
	async ({ cookies, url, locals: { visitor } }: RequestEvent) => {
		if (visitor.kind === 'session') await signOut(visitor.session.id);
		cookies.delete(SESSION_COOKIE, { path: '/', secure: url.protocol === 'https:' });
		endStreams();
		return new Response(null, { status: 204 });
	}
);

const deviceOf = (request: Request): string =>
	/mobi|android|iphone|ipad/i.test(request.headers.get('user-agent') ?? '')
		? 'a phone or tablet'
		: 'a computer';
