/**
 * Imports run downward only: routes → server services → repositories → schema → core; ui → schema, core.
 * Checked with a planted violation in scripts/boundaries.test.ts, so that a green run means something.
 */
const lib = (path) => `^src/lib/${path}`;

/** @type {import('dependency-cruiser').IConfiguration} */
module.exports = {
	forbidden: [
		{
			name: 'no-cycles',
			severity: 'error',
			comment: 'Two files that need each other are one file, or need a third.',
			from: {},
			to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } }
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
		{
			name: 'schema-above-core-only',
			severity: 'error',
			from: { path: lib('schema/'), pathNot: '\\.test\\.ts$' },
			to: { path: '^src/', pathNot: [lib('schema/'), lib('core/')] }
		},
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
			to: { path: lib('server/services/') }
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
