/**
 * Imports run downward only: routes → services → repositories → stock → orders → bench → inventory → setup → wording → core; ui → the same,
 * never server. `scripts/check-boundaries.mjs` plants violations in a copy, so that a green run means something.
 */
const lib = (path) => `^src/lib/${path}`;

/** Rooms between the core and the server, each standing on those before it. */
const ROOMS = ['wording', 'setup', 'inventory', 'bench', 'orders', 'stock'];

/** @type {import('dependency-cruiser').IConfiguration} */
module.exports = {
	forbidden: [
		{
			name: 'no-cycles',
			severity: 'error',
			comment: 'Two files that need each other are one file, or need a third.',
			from: {},
			to: { circular: true }
		},
		{
			name: 'features-need-each-other-one-way',
			severity: 'error',
			scope: 'folder',
			from: { path: lib('ui/features/') },
			to: { circular: true, path: lib('ui/features/') }
		},
		{
			name: 'core-stands-alone',
			severity: 'error',
			comment:
				'The core is pure TypeScript: nothing but itself, seeded random numbers, and days of the calendar.',
			from: { path: lib('core/'), pathNot: '\\.(test|bench)\\.ts$' },
			to: {
				pathNot: [lib('core/'), '(^|node_modules/)pure-rand/', '(^|node_modules/)@internationalized/date/']
			}
		},
		{
			name: 'one-door-into-the-core',
			severity: 'error',
			comment: 'Everyone outside comes in by core/index.ts.',
			from: { pathNot: [lib('core/'), '\\.(test|bench)\\.ts$', '^scripts/'] },
			to: { path: lib('core/.+'), pathNot: lib('core/index\\.ts$') }
		},
		...ROOMS.map((room, i) => ({
			name: `${room}-stands-on-what-is-below`,
			severity: 'error',
			from: { path: lib(`${room}/`), pathNot: '\\.test\\.ts$' },
			to: {
				path: '^src/',
				pathNot: [lib('core/'), ...ROOMS.slice(0, i + 1).map((below) => lib(`${below}/`))]
			}
		})),
		{
			name: 'server-never-sees-ui',
			severity: 'error',
			from: { path: lib('server/') },
			to: { path: [lib('ui/'), '^src/routes/'] }
		},
		{
			name: 'repositories-below-services',
			severity: 'error',
			from: { path: [lib('server/repositories/'), lib('server/db/')] },
			to: { path: [lib('server/services/'), lib('server/api/')] }
		},
		{
			name: 'ui-never-sees-server',
			severity: 'error',
			from: { path: lib('ui/') },
			to: { path: [lib('server/'), '^src/routes/'] }
		},
		{
			name: 'routes-call-services',
			severity: 'error',
			comment: 'Routes parse, call a service and return; they do not touch rows.',
			from: { path: '^src/routes/' },
			to: { path: [lib('server/repositories/'), lib('server/db/')] }
		},
		{
			name: 'reference-is-for-tests',
			severity: 'error',
			from: { path: '^src/', pathNot: '\\.(test|bench)\\.ts$' },
			to: { path: lib('core/fit/reference\\.ts$') }
		}
	],
	options: {
		doNotFollow: { path: 'node_modules' },
		tsPreCompilationDeps: true,
		tsConfig: { fileName: 'tsconfig.json' },
		webpackConfig: { fileName: 'scripts/depcruise-alias.cjs' },
		enhancedResolveOptions: { extensions: ['.ts', '.js', '.svelte', '.svelte.ts', '.json'] }
	}
};
