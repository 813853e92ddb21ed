/** How the ways in are called. */

export const ROLE_WORDS: Readonly<Record<string, { readonly name: string; readonly may: string }>> = {
	owner: { name: 'Owner', may: 'may do everything' },
	bench: { name: 'Bench', may: 'may wind, write down, take in orders and look after lines' },
	viewer: { name: 'Viewer', may: 'may look at everything but Your data, and change nothing' }
};

export const SCOPE_WORDS: Readonly<Record<string, string>> = {
	counter: 'A turn counter: adds to a job at the bench',
	calendar: 'The calendar file, and nothing else',
	'command-line': 'The command line and your own programs',
	metrics: "The server's figures at /metrics"
};
