import { ROLES, type Role, type Scope } from '$lib/inventory/access';
import { QUESTION_NAMES } from '../api/question-names';

/** Whether a role may do what another may. */
export const covers = (role: Role, wanted: Role): boolean => ROLES.indexOf(role) >= ROLES.indexOf(wanted);

/** What anybody may ask for: the way in, and whether the server is well. */
const OPEN: readonly RegExp[] = [
	/^\/sign-in$/,
	/^\/trust$/,
	/^\/authority\.crt$/,
	/^\/api\/session$/,
	/^\/healthz$/,
	/^\/readyz$/
];

/** What only the owner may do, or see. */
const OWNERS: readonly { readonly path: RegExp; readonly writes?: true }[] = [
	{ path: /^\/access$/ },
	{ path: /^\/api\/access(\/|$)/ },
	{ path: /^\/metrics$/ },
	{ path: /^\/data(\/|$)/ },
	{ path: /^\/api\/(archive|backups|people|tables|unreadable|address)(\/|$)/ },
	{ path: /^\/unreadable(\/|$)/ },
	{ path: /^\/api\/care\/rules$/, writes: true }
];

/** What is asked with a body and writes nothing: the questions of the core, and what is looked for. */
const QUESTIONS: ReadonlySet<string> = new Set([...QUESTION_NAMES, 'find'].map((name) => `/api/${name}`));

/** Who is needed for a request; undefined where anybody may. What nobody thought of is read by viewers and written at the bench. */
export function neededFor(method: string, path: string): Role | undefined {
	if (OPEN.some((open) => open.test(path))) return undefined;
	const reads = method === 'GET' || method === 'HEAD';
	if (OWNERS.some((one) => one.path.test(path) && (!one.writes || !reads))) return 'owner';
	return reads || QUESTIONS.has(path) ? 'viewer' : 'bench';
}

/** What each kind of token reaches. */
const REACHES: Record<Scope, (method: string, path: string) => boolean> = {
	counter: (_, path) => /^\/api\/runs\/[^/]+(\/(events|live))?$/.test(path),
	calendar: (method, path) => method !== 'POST' && path === '/calendar.ics',
	'command-line': (_, path) => path.startsWith('/api/') && !path.startsWith('/api/access'),
	metrics: (_, path) => path === '/metrics'
};
export const reaches = (scope: Scope, method: string, path: string): boolean => REACHES[scope](method, path);
